ALTER TABLE "ingredients" ALTER COLUMN "allergens" DROP NOT NULL;--> statement-breakpoint
ALTER TABLE "ingredients" ADD COLUMN "may_contain" jsonb DEFAULT '[]'::jsonb NOT NULL;--> statement-breakpoint
UPDATE "ingredients" SET "allergens" = NULL WHERE "origin" = 'own' AND "allergens" = '[]'::jsonb;
