CREATE TABLE "own_parts" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"workshop_id" uuid NOT NULL,
	"part_id" text NOT NULL,
	"document" jsonb NOT NULL,
	"retired" boolean DEFAULT false NOT NULL,
	"author" text NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
ALTER TABLE "own_parts" ADD CONSTRAINT "own_parts_workshop_id_workshops_id_fk" FOREIGN KEY ("workshop_id") REFERENCES "public"."workshops"("id") ON DELETE no action ON UPDATE no action;
--> statement-breakpoint
ALTER TABLE own_parts ENABLE ROW LEVEL SECURITY;
--> statement-breakpoint
ALTER TABLE own_parts FORCE ROW LEVEL SECURITY;
--> statement-breakpoint
CREATE POLICY own_workshop ON own_parts USING (workshop_id = own_workshop()) WITH CHECK (workshop_id = own_workshop());
--> statement-breakpoint
GRANT SELECT, INSERT ON own_parts TO meridex_app;
--> statement-breakpoint
CREATE INDEX own_parts_by_part ON own_parts (workshop_id, part_id, created_at DESC);
