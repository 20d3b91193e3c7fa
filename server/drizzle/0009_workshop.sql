ALTER TABLE "workshops" ADD COLUMN "settings" jsonb DEFAULT '{}'::jsonb NOT NULL;
--> statement-breakpoint
GRANT UPDATE (name, settings) ON workshops TO meridex_app;
--> statement-breakpoint
ALTER TABLE "sessions" ADD COLUMN "browser" text DEFAULT '' NOT NULL;
--> statement-breakpoint
-- Hashes of typed addresses and a count: of no workshop, since nobody is signed in yet.
CREATE TABLE "failed_sign_ins" (
	"address_hash" text PRIMARY KEY NOT NULL,
	"count" integer NOT NULL,
	"last_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
GRANT SELECT, INSERT, UPDATE, DELETE ON failed_sign_ins TO meridex_app;
--> statement-breakpoint
-- What hangs on something of a workshop names that workshop in its key: a tick cannot name another workshop’s job.
ALTER TABLE "accounts" ADD CONSTRAINT "accounts_of_workshop" UNIQUE ("id", "workshop_id");
--> statement-breakpoint
ALTER TABLE "customers" ADD CONSTRAINT "customers_of_workshop" UNIQUE ("id", "workshop_id");
--> statement-breakpoint
ALTER TABLE "vehicles" ADD CONSTRAINT "vehicles_of_workshop" UNIQUE ("id", "workshop_id");
--> statement-breakpoint
ALTER TABLE "jobs" ADD CONSTRAINT "jobs_of_workshop" UNIQUE ("id", "workshop_id");
--> statement-breakpoint
ALTER TABLE "sessions" ADD CONSTRAINT "sessions_account" FOREIGN KEY ("account_id", "workshop_id") REFERENCES "accounts" ("id", "workshop_id");
--> statement-breakpoint
ALTER TABLE "vehicles" ADD CONSTRAINT "vehicles_customer" FOREIGN KEY ("customer_id", "workshop_id") REFERENCES "customers" ("id", "workshop_id");
--> statement-breakpoint
ALTER TABLE "jobs" ADD CONSTRAINT "jobs_customer" FOREIGN KEY ("customer_id", "workshop_id") REFERENCES "customers" ("id", "workshop_id");
--> statement-breakpoint
ALTER TABLE "jobs" ADD CONSTRAINT "jobs_vehicle" FOREIGN KEY ("vehicle_id", "workshop_id") REFERENCES "vehicles" ("id", "workshop_id");
--> statement-breakpoint
DO $$
DECLARE t text;
BEGIN
  FOREACH t IN ARRAY ARRAY['design_revisions', 'job_summaries', 'ticks', 'readings', 'trip_runs'] LOOP
    EXECUTE format('ALTER TABLE %I ADD CONSTRAINT %I FOREIGN KEY (job_id, workshop_id) REFERENCES jobs (id, workshop_id)', t, t || '_job');
  END LOOP;
END $$;
