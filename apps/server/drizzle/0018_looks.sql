CREATE TABLE "look" (
	"household_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"secret_hash" text NOT NULL,
	"what" text NOT NULL,
	"space_id" uuid,
	"made_by" uuid NOT NULL,
	"made_at" timestamp (3) with time zone NOT NULL,
	"ends_at" timestamp (3) with time zone NOT NULL,
	"last_opened_at" timestamp (3) with time zone,
	CONSTRAINT "look_household_id_id_pk" PRIMARY KEY("household_id","id"),
	CONSTRAINT "look_secret_hash_unique" UNIQUE("secret_hash")
);
--> statement-breakpoint
ALTER TABLE "calendar_feed" ADD COLUMN "holds" text[] DEFAULT '{"rounds"}' NOT NULL;--> statement-breakpoint
ALTER TABLE "item" ADD COLUMN "before" jsonb;--> statement-breakpoint
SELECT protect_household_table('look');--> statement-breakpoint
-- Whoever holds the secret finds out what it shows of which home, and reads no other.
CREATE POLICY look_by_secret ON look FOR SELECT
  USING (secret_hash = current_setting('app.feed', true));
