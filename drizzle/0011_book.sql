ALTER TABLE "batch_events" ADD COLUMN "made_by" text;--> statement-breakpoint
ALTER TABLE "batches" ADD COLUMN "summarised_seq" integer;--> statement-breakpoint
ALTER TABLE "batches" ADD COLUMN "over_at" timestamp with time zone;--> statement-breakpoint
ALTER TABLE "batches" ADD COLUMN "made_by" text;--> statement-breakpoint
ALTER TABLE "batches" ADD COLUMN "has_landed" boolean;--> statement-breakpoint
ALTER TABLE "batches" ADD COLUMN "is_rescued" boolean;--> statement-breakpoint
ALTER TABLE "batches" ADD COLUMN "weighed_g" double precision;--> statement-breakpoint
ALTER TABLE "batches" ADD COLUMN "yield_g" double precision;--> statement-breakpoint
ALTER TABLE "batches" ADD COLUMN "cost" double precision;--> statement-breakpoint
ALTER TABLE "batches" ADD COLUMN "words" text;--> statement-breakpoint
CREATE INDEX "batches_started" ON "batches" USING btree ("started_at");