CREATE TABLE "items" (
	"project" text NOT NULL,
	"id" text NOT NULL,
	"kind" text NOT NULL,
	"body" jsonb NOT NULL,
	"revision" integer NOT NULL,
	CONSTRAINT "items_project_id_pk" PRIMARY KEY("project","id")
);
--> statement-breakpoint
CREATE TABLE "journal" (
	"project" text NOT NULL,
	"version" integer NOT NULL,
	"command_id" text NOT NULL,
	"who" text NOT NULL,
	"summary" text NOT NULL,
	"reason" text DEFAULT '' NOT NULL,
	"mode" text NOT NULL,
	"target" integer,
	"changes" jsonb NOT NULL,
	"at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "journal_project_version_pk" PRIMARY KEY("project","version")
);
--> statement-breakpoint
CREATE TABLE "projects" (
	"id" text PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"family" text NOT NULL,
	"version" integer DEFAULT 0 NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"updated_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
ALTER TABLE "items" ADD CONSTRAINT "items_project_projects_id_fk" FOREIGN KEY ("project") REFERENCES "public"."projects"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "journal" ADD CONSTRAINT "journal_project_projects_id_fk" FOREIGN KEY ("project") REFERENCES "public"."projects"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE UNIQUE INDEX "journal_command" ON "journal" USING btree ("project","command_id");--> statement-breakpoint
CREATE INDEX "journal_who" ON "journal" USING btree ("project","who");