CREATE TABLE "picture_use" (
	"model_id" text NOT NULL,
	"hash" text NOT NULL,
	CONSTRAINT "picture_use_model_id_hash_pk" PRIMARY KEY("model_id","hash")
);
--> statement-breakpoint
CREATE TABLE "picture" (
	"hash" text PRIMARY KEY NOT NULL,
	"image" text NOT NULL
);
--> statement-breakpoint
ALTER TABLE "model" ADD COLUMN "content_revision" integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "picture_use" ADD CONSTRAINT "picture_use_model_id_model_id_fk" FOREIGN KEY ("model_id") REFERENCES "public"."model"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "picture_use" ADD CONSTRAINT "picture_use_hash_picture_hash_fk" FOREIGN KEY ("hash") REFERENCES "public"."picture"("hash") ON DELETE no action ON UPDATE no action;
--> statement-breakpoint
UPDATE "model" SET "content_revision" = "revision";
