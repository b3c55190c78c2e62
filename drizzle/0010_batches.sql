CREATE TABLE "batch_events" (
	"batch_id" text NOT NULL,
	"seq" integer NOT NULL,
	"key" text NOT NULL,
	"tablet" text NOT NULL,
	"tablet_ms" bigint NOT NULL,
	"server_ms" bigint NOT NULL,
	"what" jsonb NOT NULL,
	CONSTRAINT "batch_events_batch_id_seq_pk" PRIMARY KEY("batch_id","seq")
);
--> statement-breakpoint
CREATE TABLE "batches" (
	"id" text PRIMARY KEY NOT NULL,
	"number" integer NOT NULL,
	"formula_id" text NOT NULL,
	"name" text NOT NULL,
	"frozen" jsonb NOT NULL,
	"state" text NOT NULL,
	"started_at" timestamp with time zone NOT NULL,
	CONSTRAINT "batches_number_unique" UNIQUE("number")
);
--> statement-breakpoint
ALTER TABLE "batch_events" ADD CONSTRAINT "batch_events_batch_id_batches_id_fk" FOREIGN KEY ("batch_id") REFERENCES "public"."batches"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE UNIQUE INDEX "batch_events_key" ON "batch_events" USING btree ("batch_id","key");--> statement-breakpoint
CREATE INDEX "batches_state" ON "batches" USING btree ("state","started_at");--> statement-breakpoint
CREATE INDEX "batches_formula" ON "batches" USING btree ("formula_id");