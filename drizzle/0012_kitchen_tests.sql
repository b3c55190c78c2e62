CREATE TABLE "kitchen_tests" (
	"batch_id" text NOT NULL,
	"key" text NOT NULL,
	"about" text NOT NULL,
	"residual" double precision NOT NULL,
	"se" double precision NOT NULL,
	"chocolate" text,
	"is_doubted" boolean NOT NULL,
	CONSTRAINT "kitchen_tests_batch_id_key_pk" PRIMARY KEY("batch_id","key")
);
--> statement-breakpoint
ALTER TABLE "batches" ADD COLUMN "tested_by" integer;--> statement-breakpoint
ALTER TABLE "kitchen_tests" ADD CONSTRAINT "kitchen_tests_batch_id_batches_id_fk" FOREIGN KEY ("batch_id") REFERENCES "public"."batches"("id") ON DELETE cascade ON UPDATE no action;