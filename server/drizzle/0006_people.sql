ALTER TABLE "accounts" ADD COLUMN "ended_at" timestamp with time zone;
--> statement-breakpoint
ALTER TABLE "sessions" ADD COLUMN "created_at" timestamp with time zone DEFAULT now() NOT NULL;
--> statement-breakpoint
CREATE TABLE "invites" (
	"token_hash" text PRIMARY KEY NOT NULL,
	"workshop_id" uuid NOT NULL,
	"role" text NOT NULL,
	"author" text NOT NULL,
	"expires_at" timestamp with time zone NOT NULL,
	"used_at" timestamp with time zone,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
ALTER TABLE "invites" ADD CONSTRAINT "invites_workshop_id_workshops_id_fk" FOREIGN KEY ("workshop_id") REFERENCES "public"."workshops"("id") ON DELETE no action ON UPDATE no action;
--> statement-breakpoint
ALTER TABLE invites ENABLE ROW LEVEL SECURITY;
--> statement-breakpoint
ALTER TABLE invites FORCE ROW LEVEL SECURITY;
--> statement-breakpoint
CREATE POLICY own_workshop ON invites USING (workshop_id = own_workshop()) WITH CHECK (workshop_id = own_workshop());
--> statement-breakpoint
CREATE POLICY by_sent_invite ON invites FOR SELECT USING (token_hash = nullif(current_setting('app.invite_hash', true), ''));
--> statement-breakpoint
GRANT SELECT, INSERT ON invites TO meridex_app;
--> statement-breakpoint
GRANT UPDATE (used_at) ON invites TO meridex_app;
--> statement-breakpoint
GRANT UPDATE (role, password_hash, ended_at) ON accounts TO meridex_app;
--> statement-breakpoint
-- One row at most, once a workshop was made: the first visitor makes one, and nobody a second time. It belongs to no workshop.
CREATE TABLE "installation" (
	"id" integer PRIMARY KEY DEFAULT 1 NOT NULL CHECK (id = 1),
	"made_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
ALTER TABLE workshops DISABLE ROW LEVEL SECURITY;
--> statement-breakpoint
INSERT INTO installation (id) SELECT 1 WHERE EXISTS (SELECT FROM workshops);
--> statement-breakpoint
ALTER TABLE workshops ENABLE ROW LEVEL SECURITY;
--> statement-breakpoint
GRANT SELECT, INSERT ON installation TO meridex_app;
