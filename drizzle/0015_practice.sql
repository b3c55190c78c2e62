CREATE TABLE "practice_tries" (
	"key" text PRIMARY KEY NOT NULL,
	"learner" text NOT NULL,
	"kind" text NOT NULL,
	"formula" text NOT NULL,
	"is_right" boolean NOT NULL,
	"called" text,
	"miss" double precision,
	"at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
CREATE INDEX "practice_tries_learner" ON "practice_tries" USING btree ("learner","at");