CREATE TABLE "import_part" (
	"import_id" uuid NOT NULL,
	"workspace_id" uuid NOT NULL,
	"position" integer NOT NULL,
	"beside" integer NOT NULL,
	"kind" text NOT NULL,
	"name" text NOT NULL,
	"at" timestamp with time zone,
	"document" jsonb NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "import_part_import_id_position_beside_pk" PRIMARY KEY("import_id","position","beside")
);
--> statement-breakpoint
ALTER TABLE "import_part" ADD CONSTRAINT "import_part_workspace_id_workspace_id_fk" FOREIGN KEY ("workspace_id") REFERENCES "public"."workspace"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "import_part_workspace" ON "import_part" USING btree ("workspace_id");