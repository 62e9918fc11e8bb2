ALTER TABLE "model" ADD COLUMN "removed_at" timestamp with time zone;--> statement-breakpoint
ALTER TABLE "project" ADD COLUMN "number" text DEFAULT '' NOT NULL;