CREATE TABLE "bay_weeks" (
	"workshop_id" uuid PRIMARY KEY NOT NULL REFERENCES "workshops" ("id"),
	"document" jsonb NOT NULL,
	"revision" integer NOT NULL,
	"author" text NOT NULL,
	"changed_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
ALTER TABLE bay_weeks ENABLE ROW LEVEL SECURITY;
--> statement-breakpoint
ALTER TABLE bay_weeks FORCE ROW LEVEL SECURITY;
--> statement-breakpoint
CREATE POLICY own_workshop ON bay_weeks USING (workshop_id = own_workshop()) WITH CHECK (workshop_id = own_workshop());
--> statement-breakpoint
GRANT SELECT, INSERT, UPDATE ON bay_weeks TO meridex_app;
