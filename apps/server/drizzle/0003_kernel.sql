CREATE TABLE "device_clock" (
	"household_id" uuid NOT NULL,
	"device_id" uuid NOT NULL,
	"last_at" timestamp (3) with time zone NOT NULL,
	CONSTRAINT "device_clock_household_id_device_id_pk" PRIMARY KEY("household_id","device_id")
);
--> statement-breakpoint
CREATE TABLE "generation" (
	"id" uuid PRIMARY KEY NOT NULL
);
--> statement-breakpoint
ALTER TABLE "bin" ADD COLUMN "code_shape" text GENERATED ALWAYS AS (translate(replace("code", '-', ''), 'LSZBGV', '15286Y')) STORED;--> statement-breakpoint
ALTER TABLE "command_log" ADD COLUMN "said_at" timestamp (3) with time zone;--> statement-breakpoint
ALTER TABLE "command_log" ADD COLUMN "device_id" uuid;--> statement-breakpoint
ALTER TABLE "membership" ADD COLUMN "role" text DEFAULT 'adult' NOT NULL;--> statement-breakpoint
ALTER TABLE "membership" ADD COLUMN "person_id" uuid;--> statement-breakpoint
ALTER TABLE "shelf" ADD COLUMN "code_shape" text GENERATED ALWAYS AS (translate(replace("code", '-', ''), 'LSZBGV', '15286Y')) STORED;--> statement-breakpoint
ALTER TABLE "space" ADD COLUMN "code_shape" text GENERATED ALWAYS AS (translate(replace("code", '-', ''), 'LSZBGV', '15286Y')) STORED;--> statement-breakpoint
CREATE INDEX "account_demo" ON "account" USING btree ("is_demo") WHERE "account"."is_demo";--> statement-breakpoint
CREATE INDEX "bin_parent_bin" ON "bin" USING btree ("household_id","parent_bin_id");--> statement-breakpoint
CREATE INDEX "bin_code_shape" ON "bin" USING btree ("household_id","code_shape") WHERE not "bin"."retired";--> statement-breakpoint
CREATE INDEX "clear_out_space" ON "clear_out" USING btree ("household_id","space_id");--> statement-breakpoint
CREATE INDEX "command_log_undoes" ON "command_log" USING btree ("household_id","undoes") WHERE "command_log"."undoes" is not null;--> statement-breakpoint
CREATE INDEX "command_log_inverse" ON "command_log" USING btree ("household_id","received_at") WHERE "command_log"."inverse" is not null;--> statement-breakpoint
CREATE INDEX "membership_account" ON "membership" USING btree ("account_id");--> statement-breakpoint
CREATE INDEX "plan_space" ON "plan" USING btree ("household_id","space_id");--> statement-breakpoint
CREATE INDEX "session_account" ON "session" USING btree ("account_id");--> statement-breakpoint
CREATE INDEX "session_expires" ON "session" USING btree ("expires_at");--> statement-breakpoint
CREATE INDEX "shelf_code_shape" ON "shelf" USING btree ("household_id","code_shape") WHERE not "shelf"."retired";--> statement-breakpoint
CREATE INDEX "space_code_shape" ON "space" USING btree ("household_id","code_shape") WHERE not "space"."retired";--> statement-breakpoint
CREATE INDEX "verdict_clear_out" ON "verdict" USING btree ("household_id","clear_out_id");--> statement-breakpoint
-- Today's members become adults, the first of each home its owner.
ALTER TABLE membership DISABLE ROW LEVEL SECURITY;
--> statement-breakpoint
UPDATE membership SET role = 'owner' WHERE (household_id, account_id) IN
  (SELECT DISTINCT ON (household_id) household_id, account_id FROM membership ORDER BY household_id, joined_at, account_id);
--> statement-breakpoint
ALTER TABLE membership ENABLE ROW LEVEL SECURITY;
--> statement-breakpoint
-- All that a new table of a household's rows needs: only the rows of the household that the transaction has set.
CREATE FUNCTION protect_household_table(name text) RETURNS void LANGUAGE plpgsql AS $$
BEGIN
  EXECUTE format('ALTER TABLE %I ENABLE ROW LEVEL SECURITY', name);
  EXECUTE format('ALTER TABLE %I FORCE ROW LEVEL SECURITY', name);
  EXECUTE format('CREATE POLICY %I ON %I USING (household_id = current_household()) WITH CHECK (household_id = current_household())', name || '_own', name);
  EXECUTE format('GRANT SELECT, INSERT, UPDATE ON %I TO every_nook_app', name);
END $$;
--> statement-breakpoint
REVOKE ALL ON FUNCTION protect_household_table(text) FROM PUBLIC;
--> statement-breakpoint
SELECT protect_household_table('device_clock');
--> statement-breakpoint
GRANT DELETE ON session TO every_nook_app;
--> statement-breakpoint
GRANT SELECT ON generation TO every_nook_app;
--> statement-breakpoint
INSERT INTO generation VALUES (gen_random_uuid());
--> statement-breakpoint
-- To be called by the owner after the data was put back from a backup: every device then reads everything anew.
CREATE FUNCTION begin_new_generation() RETURNS void LANGUAGE sql AS $$ UPDATE generation SET id = gen_random_uuid() $$;
