CREATE TABLE "catalogue_model" (
	"id" text PRIMARY KEY NOT NULL,
	"type" text NOT NULL,
	"maker" text NOT NULL,
	"length_mm" integer NOT NULL,
	"price_minor" integer NOT NULL,
	"model" jsonb NOT NULL
);
--> statement-breakpoint
CREATE TABLE "kitchen" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"workspace_id" uuid NOT NULL,
	"name" text NOT NULL,
	"document" jsonb NOT NULL,
	"version" integer DEFAULT 1 NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"updated_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "sample_kitchen" (
	"id" text PRIMARY KEY NOT NULL,
	"position" integer NOT NULL,
	"about" text NOT NULL,
	"document" jsonb NOT NULL
);
--> statement-breakpoint
CREATE TABLE "workspace" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"token_hash" text NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "workspace_token_hash_unique" UNIQUE("token_hash")
);
--> statement-breakpoint
ALTER TABLE "kitchen" ADD CONSTRAINT "kitchen_workspace_id_workspace_id_fk" FOREIGN KEY ("workspace_id") REFERENCES "public"."workspace"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "kitchen_workspace" ON "kitchen" USING btree ("workspace_id");