CREATE TABLE "shelf_items" (
	"id" text PRIMARY KEY NOT NULL,
	"batch_id" text,
	"batch_number" integer,
	"name" text NOT NULL,
	"container" text NOT NULL,
	"count" integer NOT NULL,
	"grams" double precision NOT NULL,
	"left_g" double precision NOT NULL,
	"thrown_g" double precision DEFAULT 0 NOT NULL,
	"place" text NOT NULL,
	"made_on" text NOT NULL,
	"use_by" text,
	"keeping" jsonb,
	"put_at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
CREATE INDEX "shelf_items_left" ON "shelf_items" USING btree ("left_g","made_on");