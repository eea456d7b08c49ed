ALTER TABLE "workspace" DROP CONSTRAINT "workspace_token_hash_unique";--> statement-breakpoint
ALTER TABLE "workspace" DROP COLUMN "token_hash";