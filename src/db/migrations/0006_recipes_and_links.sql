CREATE TABLE "recipe_correction" (
	"workspace_id" uuid NOT NULL,
	"words" text NOT NULL,
	"task" text,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "recipe_correction_workspace_id_words_pk" PRIMARY KEY("workspace_id","words")
);
--> statement-breakpoint
CREATE TABLE "shown_plan" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"workspace_id" uuid NOT NULL,
	"kitchen_id" uuid NOT NULL,
	"token_hash" text NOT NULL,
	"with_prices" boolean NOT NULL,
	"document" jsonb NOT NULL,
	"bytes" integer GENERATED ALWAYS AS (octet_length(document::text)) STORED NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"expires_at" timestamp with time zone NOT NULL,
	CONSTRAINT "shown_plan_token_hash_unique" UNIQUE("token_hash")
);
--> statement-breakpoint
ALTER TABLE "recipe_correction" ADD CONSTRAINT "recipe_correction_workspace_id_workspace_id_fk" FOREIGN KEY ("workspace_id") REFERENCES "public"."workspace"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "shown_plan" ADD CONSTRAINT "shown_plan_workspace_id_workspace_id_fk" FOREIGN KEY ("workspace_id") REFERENCES "public"."workspace"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "shown_plan" ADD CONSTRAINT "shown_plan_kitchen_id_kitchen_id_fk" FOREIGN KEY ("kitchen_id") REFERENCES "public"."kitchen"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "shown_plan_kitchen" ON "shown_plan" USING btree ("workspace_id","kitchen_id");