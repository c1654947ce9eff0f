-- The server connects as a role that owns nothing; these policies, forced, leave it only the rows of the household
-- that its transaction has set. A query that forgets its WHERE returns nothing from anybody else's home.
DO $$ BEGIN
  IF NOT EXISTS (SELECT FROM pg_roles WHERE rolname = 'every_nook_app') THEN
    CREATE ROLE every_nook_app NOLOGIN NOSUPERUSER NOCREATEDB NOCREATEROLE NOBYPASSRLS;
  END IF;
EXCEPTION WHEN duplicate_object OR unique_violation THEN NULL;
END $$;
--> statement-breakpoint
GRANT USAGE ON SCHEMA public TO every_nook_app;
--> statement-breakpoint
CREATE FUNCTION current_household() RETURNS uuid LANGUAGE sql STABLE AS
$$ SELECT nullif(current_setting('app.household', true), '')::uuid $$;
--> statement-breakpoint
CREATE FUNCTION current_account() RETURNS uuid LANGUAGE sql STABLE AS
$$ SELECT nullif(current_setting('app.account', true), '')::uuid $$;
--> statement-breakpoint
GRANT SELECT, INSERT, UPDATE ON account, session TO every_nook_app;
--> statement-breakpoint
ALTER TABLE household ENABLE ROW LEVEL SECURITY;
--> statement-breakpoint
ALTER TABLE household FORCE ROW LEVEL SECURITY;
--> statement-breakpoint
CREATE POLICY household_own ON household USING (household_id = current_household()) WITH CHECK (household_id = current_household());
--> statement-breakpoint
GRANT SELECT, INSERT, UPDATE ON household TO every_nook_app;
--> statement-breakpoint
ALTER TABLE person ENABLE ROW LEVEL SECURITY;
--> statement-breakpoint
ALTER TABLE person FORCE ROW LEVEL SECURITY;
--> statement-breakpoint
CREATE POLICY person_own ON person USING (household_id = current_household()) WITH CHECK (household_id = current_household());
--> statement-breakpoint
GRANT SELECT, INSERT, UPDATE ON person TO every_nook_app;
--> statement-breakpoint
ALTER TABLE room ENABLE ROW LEVEL SECURITY;
--> statement-breakpoint
ALTER TABLE room FORCE ROW LEVEL SECURITY;
--> statement-breakpoint
CREATE POLICY room_own ON room USING (household_id = current_household()) WITH CHECK (household_id = current_household());
--> statement-breakpoint
GRANT SELECT, INSERT, UPDATE ON room TO every_nook_app;
--> statement-breakpoint
ALTER TABLE space ENABLE ROW LEVEL SECURITY;
--> statement-breakpoint
ALTER TABLE space FORCE ROW LEVEL SECURITY;
--> statement-breakpoint
CREATE POLICY space_own ON space USING (household_id = current_household()) WITH CHECK (household_id = current_household());
--> statement-breakpoint
GRANT SELECT, INSERT, UPDATE ON space TO every_nook_app;
--> statement-breakpoint
ALTER TABLE shelf ENABLE ROW LEVEL SECURITY;
--> statement-breakpoint
ALTER TABLE shelf FORCE ROW LEVEL SECURITY;
--> statement-breakpoint
CREATE POLICY shelf_own ON shelf USING (household_id = current_household()) WITH CHECK (household_id = current_household());
--> statement-breakpoint
GRANT SELECT, INSERT, UPDATE ON shelf TO every_nook_app;
--> statement-breakpoint
ALTER TABLE bin ENABLE ROW LEVEL SECURITY;
--> statement-breakpoint
ALTER TABLE bin FORCE ROW LEVEL SECURITY;
--> statement-breakpoint
CREATE POLICY bin_own ON bin USING (household_id = current_household()) WITH CHECK (household_id = current_household());
--> statement-breakpoint
GRANT SELECT, INSERT, UPDATE ON bin TO every_nook_app;
--> statement-breakpoint
ALTER TABLE item ENABLE ROW LEVEL SECURITY;
--> statement-breakpoint
ALTER TABLE item FORCE ROW LEVEL SECURITY;
--> statement-breakpoint
CREATE POLICY item_own ON item USING (household_id = current_household()) WITH CHECK (household_id = current_household());
--> statement-breakpoint
GRANT SELECT, INSERT, UPDATE ON item TO every_nook_app;
--> statement-breakpoint
ALTER TABLE lot ENABLE ROW LEVEL SECURITY;
--> statement-breakpoint
ALTER TABLE lot FORCE ROW LEVEL SECURITY;
--> statement-breakpoint
CREATE POLICY lot_own ON lot USING (household_id = current_household()) WITH CHECK (household_id = current_household());
--> statement-breakpoint
GRANT SELECT, INSERT, UPDATE ON lot TO every_nook_app;
--> statement-breakpoint
ALTER TABLE line ENABLE ROW LEVEL SECURITY;
--> statement-breakpoint
ALTER TABLE line FORCE ROW LEVEL SECURITY;
--> statement-breakpoint
CREATE POLICY line_own ON line USING (household_id = current_household()) WITH CHECK (household_id = current_household());
--> statement-breakpoint
GRANT SELECT, INSERT, UPDATE ON line TO every_nook_app;
--> statement-breakpoint
ALTER TABLE ledger_event ENABLE ROW LEVEL SECURITY;
--> statement-breakpoint
ALTER TABLE ledger_event FORCE ROW LEVEL SECURITY;
--> statement-breakpoint
CREATE POLICY ledger_event_own ON ledger_event USING (household_id = current_household()) WITH CHECK (household_id = current_household());
--> statement-breakpoint
GRANT SELECT, INSERT, UPDATE ON ledger_event TO every_nook_app;
--> statement-breakpoint
ALTER TABLE command_log ENABLE ROW LEVEL SECURITY;
--> statement-breakpoint
ALTER TABLE command_log FORCE ROW LEVEL SECURITY;
--> statement-breakpoint
CREATE POLICY command_log_own ON command_log USING (household_id = current_household()) WITH CHECK (household_id = current_household());
--> statement-breakpoint
GRANT SELECT, INSERT, UPDATE ON command_log TO every_nook_app;
--> statement-breakpoint
ALTER TABLE household_seq ENABLE ROW LEVEL SECURITY;
--> statement-breakpoint
ALTER TABLE household_seq FORCE ROW LEVEL SECURITY;
--> statement-breakpoint
CREATE POLICY household_seq_own ON household_seq USING (household_id = current_household()) WITH CHECK (household_id = current_household());
--> statement-breakpoint
GRANT SELECT, INSERT, UPDATE ON household_seq TO every_nook_app;
--> statement-breakpoint
ALTER TABLE membership ENABLE ROW LEVEL SECURITY;
--> statement-breakpoint
ALTER TABLE membership FORCE ROW LEVEL SECURITY;
--> statement-breakpoint
CREATE POLICY membership_own ON membership
  USING (household_id = current_household() OR account_id = current_account())
  WITH CHECK (household_id = current_household());
--> statement-breakpoint
GRANT SELECT, INSERT ON membership TO every_nook_app;
--> statement-breakpoint
ALTER TABLE invitation ENABLE ROW LEVEL SECURITY;
--> statement-breakpoint
ALTER TABLE invitation FORCE ROW LEVEL SECURITY;
--> statement-breakpoint
-- Whoever holds the code may read and use the invitation it belongs to, and no other.
CREATE POLICY invitation_by_code ON invitation
  USING (household_id = current_household() OR code_hash = current_setting('app.invitation', true))
  WITH CHECK (household_id = current_household());
--> statement-breakpoint
GRANT SELECT, INSERT, UPDATE ON invitation TO every_nook_app;
