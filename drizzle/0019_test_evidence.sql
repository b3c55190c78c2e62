ALTER TABLE "kitchen_tests" ADD COLUMN "evidence" jsonb;--> statement-breakpoint
ALTER TABLE "kitchen_tests" ADD COLUMN "made_ms" bigint;