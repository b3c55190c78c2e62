CREATE TABLE "formula_versions" (
	"id" text PRIMARY KEY NOT NULL,
	"formula_id" text NOT NULL,
	"name" text NOT NULL,
	"note" text NOT NULL,
	"file" jsonb NOT NULL,
	"created_at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
ALTER TABLE "formula_lines" ADD COLUMN "stage" text;--> statement-breakpoint
ALTER TABLE "formulas" ADD COLUMN "tags" jsonb;--> statement-breakpoint
ALTER TABLE "formulas" ADD COLUMN "archived_at" timestamp with time zone;--> statement-breakpoint
ALTER TABLE "formulas" ADD COLUMN "base_id" text;--> statement-breakpoint
ALTER TABLE "formulas" ADD COLUMN "variation" jsonb;--> statement-breakpoint
ALTER TABLE "formula_versions" ADD CONSTRAINT "formula_versions_formula_id_formulas_id_fk" FOREIGN KEY ("formula_id") REFERENCES "public"."formulas"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "formula_versions_formula" ON "formula_versions" USING btree ("formula_id","created_at");--> statement-breakpoint
CREATE INDEX "formulas_base" ON "formulas" USING btree ("base_id");