-- That somebody looked a plan through, as it was at a revision.
CREATE TABLE "reviews" (
	"id" uuid PRIMARY KEY NOT NULL,
	"workshop_id" uuid NOT NULL REFERENCES "workshops" ("id"),
	"job_id" uuid NOT NULL,
	"revision" integer NOT NULL,
	"note" text NOT NULL,
	"author" text NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "reviews_job" FOREIGN KEY ("job_id", "workshop_id") REFERENCES "jobs" ("id", "workshop_id")
);
--> statement-breakpoint
CREATE INDEX reviews_by_job ON reviews (job_id, created_at);
--> statement-breakpoint
ALTER TABLE reviews ENABLE ROW LEVEL SECURITY;
--> statement-breakpoint
ALTER TABLE reviews FORCE ROW LEVEL SECURITY;
--> statement-breakpoint
CREATE POLICY own_workshop ON reviews USING (workshop_id = own_workshop()) WITH CHECK (workshop_id = own_workshop());
--> statement-breakpoint
-- A review stays as it was given.
GRANT SELECT, INSERT ON reviews TO meridex_app;
