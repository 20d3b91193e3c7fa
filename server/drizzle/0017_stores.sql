-- What lies on a workshop's shelf, as it was counted: what jobs have taken is reckoned off it.
CREATE TABLE "shelf_counts" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"workshop_id" uuid NOT NULL REFERENCES "workshops" ("id"),
	"key" text NOT NULL,
	"what" text NOT NULL,
	"unit" text NOT NULL,
	"base" double precision NOT NULL,
	"author" text NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
-- What suppliers ask: a list is never changed, a newer one of its supplier takes its place.
CREATE TABLE "price_lists" (
	"id" uuid PRIMARY KEY NOT NULL,
	"workshop_id" uuid NOT NULL REFERENCES "workshops" ("id"),
	"supplier" text NOT NULL,
	"listed_on" date NOT NULL,
	"items" jsonb NOT NULL,
	"retired" boolean DEFAULT false NOT NULL,
	"author" text NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
-- What of a supplier's list a line of an order is, where a person said so.
CREATE TABLE "price_choices" (
	"workshop_id" uuid NOT NULL REFERENCES "workshops" ("id"),
	"supplier" text NOT NULL,
	"key" text NOT NULL,
	"code" text NOT NULL,
	"author" text NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "price_choices_pk" PRIMARY KEY ("workshop_id", "supplier", "key")
);
--> statement-breakpoint
CREATE INDEX shelf_counts_by_key ON shelf_counts (workshop_id, key, created_at);
--> statement-breakpoint
CREATE INDEX price_lists_by_supplier ON price_lists (workshop_id, supplier, created_at);
--> statement-breakpoint
ALTER TABLE shelf_counts ENABLE ROW LEVEL SECURITY;
--> statement-breakpoint
ALTER TABLE shelf_counts FORCE ROW LEVEL SECURITY;
--> statement-breakpoint
CREATE POLICY own_workshop ON shelf_counts USING (workshop_id = own_workshop()) WITH CHECK (workshop_id = own_workshop());
--> statement-breakpoint
ALTER TABLE price_lists ENABLE ROW LEVEL SECURITY;
--> statement-breakpoint
ALTER TABLE price_lists FORCE ROW LEVEL SECURITY;
--> statement-breakpoint
CREATE POLICY own_workshop ON price_lists USING (workshop_id = own_workshop()) WITH CHECK (workshop_id = own_workshop());
--> statement-breakpoint
ALTER TABLE price_choices ENABLE ROW LEVEL SECURITY;
--> statement-breakpoint
ALTER TABLE price_choices FORCE ROW LEVEL SECURITY;
--> statement-breakpoint
CREATE POLICY own_workshop ON price_choices USING (workshop_id = own_workshop()) WITH CHECK (workshop_id = own_workshop());
--> statement-breakpoint
GRANT SELECT, INSERT ON shelf_counts, price_lists, price_choices TO meridex_app;
--> statement-breakpoint
GRANT UPDATE (code, author, created_at) ON price_choices TO meridex_app;
--> statement-breakpoint
GRANT UPDATE (retired) ON price_lists TO meridex_app;
