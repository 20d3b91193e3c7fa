-- Every row belongs to a workshop, and the database itself keeps the workshops apart.
-- The application connects as meridex_app, which owns nothing and cannot bypass these policies.
DO $$
BEGIN
  IF NOT EXISTS (SELECT FROM pg_roles WHERE rolname = 'meridex_app') THEN
    CREATE ROLE meridex_app LOGIN NOSUPERUSER NOCREATEDB NOCREATEROLE NOBYPASSRLS;
  END IF;
END $$;
--> statement-breakpoint
CREATE FUNCTION own_workshop() RETURNS uuid LANGUAGE sql STABLE AS
$$ SELECT nullif(current_setting('app.workshop_id', true), '')::uuid $$;
--> statement-breakpoint
DO $$
DECLARE t text;
BEGIN
  FOREACH t IN ARRAY ARRAY['accounts', 'sessions', 'customers', 'vehicles', 'jobs', 'design_revisions', 'ticks', 'readings'] LOOP
    EXECUTE format('ALTER TABLE %I ENABLE ROW LEVEL SECURITY', t);
    EXECUTE format('ALTER TABLE %I FORCE ROW LEVEL SECURITY', t);
    EXECUTE format('CREATE POLICY own_workshop ON %I USING (workshop_id = own_workshop()) WITH CHECK (workshop_id = own_workshop())', t);
  END LOOP;
END $$;
--> statement-breakpoint
ALTER TABLE workshops ENABLE ROW LEVEL SECURITY;
--> statement-breakpoint
ALTER TABLE workshops FORCE ROW LEVEL SECURITY;
--> statement-breakpoint
CREATE POLICY own_workshop ON workshops USING (id = own_workshop()) WITH CHECK (id = own_workshop());
--> statement-breakpoint
-- Before anyone is signed in only one row can be seen: the account whose address was typed, the session whose token was sent.
CREATE POLICY by_typed_address ON accounts FOR SELECT USING (email = nullif(current_setting('app.sign_in_email', true), ''));
--> statement-breakpoint
CREATE POLICY by_sent_token ON sessions FOR SELECT USING (token_hash = nullif(current_setting('app.session_hash', true), ''));
--> statement-breakpoint
-- What is kept is only ever added to: no UPDATE or DELETE on revisions, ticks and readings.
GRANT SELECT, INSERT ON workshops, accounts, sessions, customers, vehicles, jobs, design_revisions, ticks, readings TO meridex_app;
--> statement-breakpoint
GRANT UPDATE ON customers, vehicles, jobs TO meridex_app;
--> statement-breakpoint
GRANT DELETE ON sessions TO meridex_app;
--> statement-breakpoint
CREATE INDEX revisions_newest ON design_revisions (job_id, number DESC);
--> statement-breakpoint
CREATE INDEX ticks_by_job ON ticks (job_id, created_at);
--> statement-breakpoint
CREATE INDEX readings_by_job ON readings (job_id, created_at);
