CREATE TABLE "tile" (
	"model_id" text PRIMARY KEY NOT NULL,
	"revision" integer NOT NULL,
	"figure" text NOT NULL,
	"markup" text NOT NULL
);
--> statement-breakpoint
ALTER TABLE "model" ADD COLUMN "title" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "model" ADD COLUMN "nodes" integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "model" ADD COLUMN "members" integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "model" ADD COLUMN "cases" integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "tile" ADD CONSTRAINT "tile_model_id_model_id_fk" FOREIGN KEY ("model_id") REFERENCES "public"."model"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
UPDATE "model" SET
	"title" = coalesce("content"->>'title', ''),
	"nodes" = json_array_length("content"->'nodes'),
	"members" = json_array_length("content"->'members'),
	"cases" = json_array_length("content"->'cases');
