CREATE TABLE "trip_runs" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"workshop_id" uuid NOT NULL,
	"job_id" uuid NOT NULL,
	"revision" integer NOT NULL,
	"trips" integer NOT NULL,
	"one_by_one" boolean NOT NULL,
	"state" text DEFAULT 'waiting' NOT NULL,
	"done" integer DEFAULT 0 NOT NULL,
	"result" jsonb,
	"author" text NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
ALTER TABLE "trip_runs" ADD CONSTRAINT "trip_runs_workshop_id_workshops_id_fk" FOREIGN KEY ("workshop_id") REFERENCES "public"."workshops"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "trip_runs" ADD CONSTRAINT "trip_runs_job_id_jobs_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."jobs"("id") ON DELETE no action ON UPDATE no action;
--> statement-breakpoint
ALTER TABLE trip_runs ENABLE ROW LEVEL SECURITY;
--> statement-breakpoint
ALTER TABLE trip_runs FORCE ROW LEVEL SECURITY;
--> statement-breakpoint
CREATE POLICY own_workshop ON trip_runs USING (workshop_id = own_workshop()) WITH CHECK (workshop_id = own_workshop());
--> statement-breakpoint
-- What was asked for stays; only how far it came is written over.
GRANT SELECT, INSERT ON trip_runs TO meridex_app;
--> statement-breakpoint
GRANT UPDATE (state, done, result) ON trip_runs TO meridex_app;
--> statement-breakpoint
CREATE INDEX trip_runs_by_job ON trip_runs (job_id, created_at DESC);
