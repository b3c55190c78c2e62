ALTER TABLE "ingredients" ALTER COLUMN "measures" SET DATA TYPE json;--> statement-breakpoint
ALTER TABLE "ingredients" ALTER COLUMN "pieces" SET DATA TYPE json;--> statement-breakpoint
ALTER TABLE "formula_lines" ADD COLUMN "tie" text;--> statement-breakpoint
ALTER TABLE "formula_lines" ADD COLUMN "by_volume" boolean;--> statement-breakpoint
ALTER TABLE "ingredients" ADD COLUMN "gelatin_bloom_g" double precision;--> statement-breakpoint
ALTER TABLE "ingredients" ADD COLUMN "ph" double precision;--> statement-breakpoint
ALTER TABLE "ingredients" ADD COLUMN "stock_g" double precision;--> statement-breakpoint
ALTER TABLE "ingredients" ADD COLUMN "note" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "ingredients" ADD COLUMN "origin" text DEFAULT 'typical' NOT NULL;--> statement-breakpoint
ALTER TABLE "ingredients" ADD COLUMN "revision" integer DEFAULT 1 NOT NULL;