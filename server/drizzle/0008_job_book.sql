ALTER TABLE "jobs" ADD COLUMN "deleted_at" timestamp with time zone;
--> statement-breakpoint
CREATE TABLE "job_summaries" (
	"job_id" uuid PRIMARY KEY NOT NULL,
	"workshop_id" uuid NOT NULL,
	"of" text NOT NULL,
	"summary" jsonb NOT NULL
);
--> statement-breakpoint
ALTER TABLE "job_summaries" ADD CONSTRAINT "job_summaries_job_id_jobs_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."jobs"("id") ON DELETE no action ON UPDATE no action;
--> statement-breakpoint
ALTER TABLE "job_summaries" ADD CONSTRAINT "job_summaries_workshop_id_workshops_id_fk" FOREIGN KEY ("workshop_id") REFERENCES "public"."workshops"("id") ON DELETE no action ON UPDATE no action;
--> statement-breakpoint
ALTER TABLE job_summaries ENABLE ROW LEVEL SECURITY;
--> statement-breakpoint
ALTER TABLE job_summaries FORCE ROW LEVEL SECURITY;
--> statement-breakpoint
CREATE POLICY own_workshop ON job_summaries USING (workshop_id = own_workshop()) WITH CHECK (workshop_id = own_workshop());
--> statement-breakpoint
-- What can be worked out again may be written over.
GRANT SELECT, INSERT, UPDATE ON job_summaries TO meridex_app;
