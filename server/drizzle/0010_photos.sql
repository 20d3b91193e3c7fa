CREATE TABLE "photos" (
	"id" uuid PRIMARY KEY NOT NULL,
	"workshop_id" uuid NOT NULL REFERENCES "workshops" ("id"),
	"job_id" uuid NOT NULL,
	"about" text NOT NULL,
	"caption" text NOT NULL,
	"image" bytea NOT NULL,
	"small" bytea NOT NULL,
	"author" text NOT NULL,
	"taken_away_at" timestamp with time zone,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "photos_job" FOREIGN KEY ("job_id", "workshop_id") REFERENCES "jobs" ("id", "workshop_id")
);
--> statement-breakpoint
CREATE INDEX photos_by_job ON photos (job_id, created_at);
--> statement-breakpoint
ALTER TABLE photos ENABLE ROW LEVEL SECURITY;
--> statement-breakpoint
ALTER TABLE photos FORCE ROW LEVEL SECURITY;
--> statement-breakpoint
CREATE POLICY own_workshop ON photos USING (workshop_id = own_workshop()) WITH CHECK (workshop_id = own_workshop());
--> statement-breakpoint
-- A photo is never changed nor lost: it is taken off the lists, and back.
GRANT SELECT, INSERT ON photos TO meridex_app;
--> statement-breakpoint
GRANT UPDATE (taken_away_at) ON photos TO meridex_app;
