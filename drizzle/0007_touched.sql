CREATE SEQUENCE "public"."formulas_touched" INCREMENT BY 1 MINVALUE 1 MAXVALUE 9223372036854775807 START WITH 1 CACHE 1;--> statement-breakpoint
DROP INDEX "formulas_live";--> statement-breakpoint
ALTER TABLE "formulas" ADD COLUMN "touched" bigint DEFAULT nextval('formulas_touched') NOT NULL;--> statement-breakpoint
CREATE INDEX "formulas_live" ON "formulas" USING btree ("deleted_at","touched");--> statement-breakpoint
UPDATE "formulas" SET "touched" = "numbered"."place" FROM (SELECT "id", row_number() OVER (ORDER BY "updated_at", "id" DESC) AS "place" FROM "formulas") AS "numbered" WHERE "formulas"."id" = "numbered"."id";--> statement-breakpoint
SELECT setval('formulas_touched', (SELECT count(*) + 1 FROM "formulas"), false);
