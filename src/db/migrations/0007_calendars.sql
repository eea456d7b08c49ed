CREATE TABLE "edge_calendar" (
	"kitchen_id" uuid PRIMARY KEY NOT NULL,
	"workspace_id" uuid NOT NULL,
	"token_hash" text NOT NULL,
	"document" jsonb NOT NULL,
	"bytes" integer GENERATED ALWAYS AS (octet_length(document::text)) STORED NOT NULL,
	"changed_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "edge_calendar_token_hash_unique" UNIQUE("token_hash")
);
--> statement-breakpoint
ALTER TABLE "edge_calendar" ADD CONSTRAINT "edge_calendar_kitchen_id_kitchen_id_fk" FOREIGN KEY ("kitchen_id") REFERENCES "public"."kitchen"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "edge_calendar" ADD CONSTRAINT "edge_calendar_workspace_id_workspace_id_fk" FOREIGN KEY ("workspace_id") REFERENCES "public"."workspace"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "edge_calendar_workspace" ON "edge_calendar" USING btree ("workspace_id");