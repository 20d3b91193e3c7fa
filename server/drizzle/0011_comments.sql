CREATE TABLE "comments" (
	"id" uuid PRIMARY KEY NOT NULL,
	"workshop_id" uuid NOT NULL REFERENCES "workshops" ("id"),
	"job_id" uuid NOT NULL,
	"about" text NOT NULL,
	"text" text NOT NULL,
	"author" text NOT NULL,
	"settled_by" text,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "comments_job" FOREIGN KEY ("job_id", "workshop_id") REFERENCES "jobs" ("id", "workshop_id")
);
--> statement-breakpoint
CREATE INDEX comments_by_job ON comments (job_id, created_at);
--> statement-breakpoint
ALTER TABLE comments ENABLE ROW LEVEL SECURITY;
--> statement-breakpoint
ALTER TABLE comments FORCE ROW LEVEL SECURITY;
--> statement-breakpoint
CREATE POLICY own_workshop ON comments USING (workshop_id = own_workshop()) WITH CHECK (workshop_id = own_workshop());
--> statement-breakpoint
-- What was said stays as it was said.
GRANT SELECT, INSERT ON comments TO meridex_app;
--> statement-breakpoint
GRANT UPDATE (settled_by) ON comments TO meridex_app;
