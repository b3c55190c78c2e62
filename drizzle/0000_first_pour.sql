CREATE TABLE "formula_lines" (
	"formula_id" text NOT NULL,
	"position" integer NOT NULL,
	"ingredient" text NOT NULL,
	"form" text,
	"grams" double precision NOT NULL,
	"locked" boolean NOT NULL,
	"min_grams" double precision,
	"max_grams" double precision,
	CONSTRAINT "formula_lines_formula_id_position_pk" PRIMARY KEY("formula_id","position")
);
--> statement-breakpoint
CREATE TABLE "formulas" (
	"id" text PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"use" text,
	"note" text,
	"process" jsonb NOT NULL,
	"moments" jsonb NOT NULL,
	"gates" jsonb NOT NULL,
	"own_ingredients" jsonb NOT NULL,
	"yield_target" jsonb,
	"revision" integer NOT NULL,
	"created_at" timestamp with time zone NOT NULL,
	"updated_at" timestamp with time zone NOT NULL,
	"deleted_at" timestamp with time zone
);
--> statement-breakpoint
CREATE TABLE "ingredients" (
	"id" text PRIMARY KEY NOT NULL,
	"position" integer NOT NULL,
	"name" text NOT NULL,
	"group" text NOT NULL,
	"components" jsonb NOT NULL,
	"measures" jsonb NOT NULL,
	"pieces" jsonb NOT NULL,
	"density_g_per_ml" double precision,
	"cocoa_percent" double precision,
	"allergens" jsonb NOT NULL,
	"vegan" boolean NOT NULL,
	"price_eur_per_kg" double precision,
	"keeps" text NOT NULL,
	"caution" text NOT NULL,
	"source" text NOT NULL
);
--> statement-breakpoint
ALTER TABLE "formula_lines" ADD CONSTRAINT "formula_lines_formula_id_formulas_id_fk" FOREIGN KEY ("formula_id") REFERENCES "public"."formulas"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "formula_lines_ingredient" ON "formula_lines" USING btree ("ingredient");--> statement-breakpoint
CREATE INDEX "formulas_live" ON "formulas" USING btree ("deleted_at","updated_at");