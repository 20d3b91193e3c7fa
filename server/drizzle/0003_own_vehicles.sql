CREATE TABLE "own_vehicles" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"workshop_id" uuid NOT NULL,
	"name" text NOT NULL,
	"document" jsonb NOT NULL,
	"author" text NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
ALTER TABLE "own_vehicles" ADD CONSTRAINT "own_vehicles_workshop_id_workshops_id_fk" FOREIGN KEY ("workshop_id") REFERENCES "public"."workshops"("id") ON DELETE no action ON UPDATE no action;
--> statement-breakpoint
ALTER TABLE own_vehicles ENABLE ROW LEVEL SECURITY;
--> statement-breakpoint
ALTER TABLE own_vehicles FORCE ROW LEVEL SECURITY;
--> statement-breakpoint
CREATE POLICY own_workshop ON own_vehicles USING (workshop_id = own_workshop()) WITH CHECK (workshop_id = own_workshop());
--> statement-breakpoint
GRANT SELECT, INSERT ON own_vehicles TO meridex_app;
--> statement-breakpoint
CREATE INDEX own_vehicles_by_name ON own_vehicles (workshop_id, name, created_at DESC);
