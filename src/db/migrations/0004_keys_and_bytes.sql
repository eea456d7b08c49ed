CREATE TABLE "workspace_key" (
	"token_hash" text PRIMARY KEY NOT NULL,
	"workspace_id" uuid NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
ALTER TABLE "kept" ADD COLUMN "bytes" integer GENERATED ALWAYS AS (octet_length(document::text)) STORED NOT NULL;--> statement-breakpoint
ALTER TABLE "kitchen" ADD COLUMN "bytes" integer GENERATED ALWAYS AS (octet_length(document::text)) STORED NOT NULL;--> statement-breakpoint
ALTER TABLE "workspace" ADD COLUMN "recovery_hash" text;--> statement-breakpoint
ALTER TABLE "workspace" ADD COLUMN "seen_at" timestamp with time zone DEFAULT now() NOT NULL;--> statement-breakpoint
ALTER TABLE "workspace_model" ADD COLUMN "bytes" integer GENERATED ALWAYS AS (octet_length(model::text)) STORED NOT NULL;--> statement-breakpoint
ALTER TABLE "workspace_key" ADD CONSTRAINT "workspace_key_workspace_id_workspace_id_fk" FOREIGN KEY ("workspace_id") REFERENCES "public"."workspace"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "workspace_key_workspace" ON "workspace_key" USING btree ("workspace_id");--> statement-breakpoint
ALTER TABLE "workspace" ADD CONSTRAINT "workspace_recovery_hash_unique" UNIQUE("recovery_hash");--> statement-breakpoint
INSERT INTO "workspace_key" ("token_hash", "workspace_id", "created_at") SELECT "token_hash", "id", "created_at" FROM "workspace";
