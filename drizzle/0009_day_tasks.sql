CREATE TABLE "day_tasks" (
	"id" text PRIMARY KEY NOT NULL,
	"day" text NOT NULL,
	"formula_id" text NOT NULL,
	"ready_minutes" integer NOT NULL
);
--> statement-breakpoint
ALTER TABLE "day_tasks" ADD CONSTRAINT "day_tasks_formula_id_formulas_id_fk" FOREIGN KEY ("formula_id") REFERENCES "public"."formulas"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "day_tasks_day" ON "day_tasks" USING btree ("day");