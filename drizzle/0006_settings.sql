ALTER TABLE "ingredients" RENAME COLUMN "price_eur_per_kg" TO "price_per_kg";--> statement-breakpoint
CREATE TABLE "settings" (
	"name" text PRIMARY KEY NOT NULL,
	"value" jsonb NOT NULL
);
