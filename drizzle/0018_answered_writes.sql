CREATE TABLE "answered_writes" (
	"key" text PRIMARY KEY NOT NULL,
	"asked" text NOT NULL,
	"answer" json NOT NULL,
	"at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
CREATE INDEX "answered_writes_at" ON "answered_writes" USING btree ("at");