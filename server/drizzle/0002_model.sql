ALTER TABLE "items" ADD COLUMN "model" integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE "journal" ADD COLUMN "model" integer DEFAULT 1 NOT NULL;