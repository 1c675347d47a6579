CREATE TABLE "files" (
	"hash" text PRIMARY KEY NOT NULL,
	"type" text NOT NULL,
	"size" integer NOT NULL,
	"data" "bytea" NOT NULL,
	"at" timestamp with time zone DEFAULT now() NOT NULL
);
