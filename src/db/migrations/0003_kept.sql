CREATE TABLE "kept" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"workspace_id" uuid NOT NULL,
	"kitchen_id" uuid NOT NULL,
	"kind" text NOT NULL,
	"name" text NOT NULL,
	"document" jsonb NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
ALTER TABLE "kept" ADD CONSTRAINT "kept_workspace_id_workspace_id_fk" FOREIGN KEY ("workspace_id") REFERENCES "public"."workspace"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "kept" ADD CONSTRAINT "kept_kitchen_id_kitchen_id_fk" FOREIGN KEY ("kitchen_id") REFERENCES "public"."kitchen"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "kept_kitchen" ON "kept" USING btree ("workspace_id","kitchen_id");