ALTER TABLE "ingredients" ADD COLUMN "trans_fat_g" double precision;--> statement-breakpoint
ALTER TABLE "ingredients" ADD COLUMN "cholesterol_mg" double precision;