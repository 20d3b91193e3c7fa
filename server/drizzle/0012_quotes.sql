CREATE TABLE "quotes" (
	"id" uuid PRIMARY KEY NOT NULL,
	"workshop_id" uuid NOT NULL REFERENCES "workshops" ("id"),
	"job_id" uuid NOT NULL,
	"token_hash" text NOT NULL UNIQUE,
	"revision" integer NOT NULL,
	"document" jsonb NOT NULL,
	"valid_until" date NOT NULL,
	"author" text NOT NULL,
	"withdrawn_at" timestamp with time zone,
	"accepted_option" text,
	"accepted_by" text,
	"accepted_at" timestamp with time zone,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "quotes_job" FOREIGN KEY ("job_id", "workshop_id") REFERENCES "jobs" ("id", "workshop_id")
);
--> statement-breakpoint
CREATE INDEX quotes_by_job ON quotes (job_id, created_at);
--> statement-breakpoint
ALTER TABLE quotes ENABLE ROW LEVEL SECURITY;
--> statement-breakpoint
ALTER TABLE quotes FORCE ROW LEVEL SECURITY;
--> statement-breakpoint
CREATE POLICY own_workshop ON quotes USING (workshop_id = own_workshop()) WITH CHECK (workshop_id = own_workshop());
--> statement-breakpoint
-- Whoever has the link sees that one quote.
CREATE POLICY by_sent_quote ON quotes FOR SELECT USING (token_hash = nullif(current_setting('app.quote_hash', true), ''));
--> statement-breakpoint
-- What was sent stays as it was sent.
GRANT SELECT, INSERT ON quotes TO meridex_app;
--> statement-breakpoint
GRANT UPDATE (token_hash, withdrawn_at, accepted_option, accepted_by, accepted_at) ON quotes TO meridex_app;
