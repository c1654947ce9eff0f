CREATE TABLE "backlog" (
	"household_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"seq" bigint NOT NULL,
	"retired" boolean DEFAULT false NOT NULL,
	"words" text NOT NULL,
	"started_at" text NOT NULL,
	"ended_at" text,
	"planned_minutes" integer NOT NULL,
	"put_away" integer NOT NULL,
	"given_away" integer NOT NULL,
	"left" integer NOT NULL,
	"person_id" uuid,
	CONSTRAINT "backlog_household_id_id_pk" PRIMARY KEY("household_id","id")
);
--> statement-breakpoint
CREATE TABLE "calendar_feed" (
	"household_id" uuid PRIMARY KEY NOT NULL,
	"secret_hash" text,
	"created_at" timestamp (3) with time zone NOT NULL,
	CONSTRAINT "calendar_feed_secret_hash_unique" UNIQUE("secret_hash")
);
--> statement-breakpoint
CREATE TABLE "care_entry" (
	"household_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"seq" bigint NOT NULL,
	"retired" boolean DEFAULT false NOT NULL,
	"person_id" uuid NOT NULL,
	"item_id" uuid,
	"at" text NOT NULL,
	"amount" text NOT NULL,
	"temperature_tenth_c" integer,
	"by_id" uuid,
	"by_name" text NOT NULL,
	CONSTRAINT "care_entry_household_id_id_pk" PRIMARY KEY("household_id","id")
);
--> statement-breakpoint
CREATE TABLE "in_place" (
	"household_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"seq" bigint NOT NULL,
	"retired" boolean DEFAULT false NOT NULL,
	"on" date NOT NULL,
	"places" integer NOT NULL,
	"in_place" integer NOT NULL,
	CONSTRAINT "in_place_household_id_id_pk" PRIMARY KEY("household_id","id")
);
--> statement-breakpoint
CREATE TABLE "kit" (
	"household_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"seq" bigint NOT NULL,
	"retired" boolean DEFAULT false NOT NULL,
	"name" text NOT NULL,
	"nook_id" uuid,
	"parts" jsonb NOT NULL,
	"kit_ids" jsonb NOT NULL,
	"looked_on" date,
	"looked_by_id" uuid,
	CONSTRAINT "kit_household_id_id_pk" PRIMARY KEY("household_id","id")
);
--> statement-breakpoint
CREATE TABLE "loan" (
	"household_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"seq" bigint NOT NULL,
	"retired" boolean DEFAULT false NOT NULL,
	"what_id" uuid NOT NULL,
	"thousandths" bigint,
	"way" text NOT NULL,
	"to" text NOT NULL,
	"what" text NOT NULL,
	"by_id" uuid,
	"out_on" date NOT NULL,
	"due_on" date,
	"back_on" date,
	"packed" jsonb NOT NULL,
	CONSTRAINT "loan_household_id_id_pk" PRIMARY KEY("household_id","id")
);
--> statement-breakpoint
CREATE TABLE "medicine" (
	"household_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"seq" bigint NOT NULL,
	"retired" boolean DEFAULT false NOT NULL,
	"item_id" uuid NOT NULL,
	"ingredient" text,
	"for_what" text[] NOT NULL,
	"person_ids" jsonb NOT NULL,
	"limits" jsonb NOT NULL,
	CONSTRAINT "medicine_household_id_id_pk" PRIMARY KEY("household_id","id")
);
--> statement-breakpoint
CREATE TABLE "photo" (
	"household_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"seq" bigint NOT NULL,
	"retired" boolean DEFAULT false NOT NULL,
	"of_id" uuid NOT NULL,
	"hash" text NOT NULL,
	"width" integer NOT NULL,
	"height" integer NOT NULL,
	"bytes" integer NOT NULL,
	"taken_at" text NOT NULL,
	"moment" text NOT NULL,
	"by_id" uuid,
	CONSTRAINT "photo_household_id_id_pk" PRIMARY KEY("household_id","id")
);
--> statement-breakpoint
CREATE TABLE "photo_file" (
	"household_id" uuid NOT NULL,
	"hash" text NOT NULL,
	"type" text NOT NULL,
	"size" integer NOT NULL,
	"content" "bytea" NOT NULL,
	"created_at" timestamp (3) with time zone NOT NULL,
	CONSTRAINT "photo_file_household_id_hash_pk" PRIMARY KEY("household_id","hash")
);
--> statement-breakpoint
CREATE TABLE "tour" (
	"household_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"seq" bigint NOT NULL,
	"retired" boolean DEFAULT false NOT NULL,
	"space_id" uuid NOT NULL,
	"started_at" text NOT NULL,
	"ended_at" text,
	"seen_ids" jsonb NOT NULL,
	"skipped_ids" jsonb NOT NULL,
	CONSTRAINT "tour_household_id_id_pk" PRIMARY KEY("household_id","id")
);
--> statement-breakpoint
CREATE TABLE "waiting_place" (
	"household_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"seq" bigint NOT NULL,
	"retired" boolean DEFAULT false NOT NULL,
	"nook_id" uuid NOT NULL,
	"waits_for" text NOT NULL,
	"usual_days" integer NOT NULL,
	CONSTRAINT "waiting_place_household_id_id_pk" PRIMARY KEY("household_id","id")
);
--> statement-breakpoint
CREATE TABLE "wish" (
	"household_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"seq" bigint NOT NULL,
	"retired" boolean DEFAULT false NOT NULL,
	"nook_id" uuid NOT NULL,
	"kind" text NOT NULL,
	"words" text NOT NULL,
	"done_on" date,
	CONSTRAINT "wish_household_id_id_pk" PRIMARY KEY("household_id","id")
);
--> statement-breakpoint
ALTER TABLE "household" ADD COLUMN "poison_centre" text;--> statement-breakpoint
ALTER TABLE "lot" ADD COLUMN "condition" text;--> statement-breakpoint
ALTER TABLE "round" ADD COLUMN "at" text;--> statement-breakpoint
ALTER TABLE "round" ADD COLUMN "swaps" jsonb;--> statement-breakpoint
CREATE INDEX "backlog_by_seq" ON "backlog" USING btree ("household_id","seq");--> statement-breakpoint
CREATE INDEX "care_entry_by_seq" ON "care_entry" USING btree ("household_id","seq");--> statement-breakpoint
CREATE INDEX "care_entry_person" ON "care_entry" USING btree ("household_id","person_id");--> statement-breakpoint
CREATE INDEX "in_place_by_seq" ON "in_place" USING btree ("household_id","seq");--> statement-breakpoint
CREATE INDEX "kit_by_seq" ON "kit" USING btree ("household_id","seq");--> statement-breakpoint
CREATE INDEX "loan_by_seq" ON "loan" USING btree ("household_id","seq");--> statement-breakpoint
CREATE INDEX "medicine_by_seq" ON "medicine" USING btree ("household_id","seq");--> statement-breakpoint
CREATE INDEX "medicine_item" ON "medicine" USING btree ("household_id","item_id");--> statement-breakpoint
CREATE INDEX "photo_by_seq" ON "photo" USING btree ("household_id","seq");--> statement-breakpoint
CREATE INDEX "tour_by_seq" ON "tour" USING btree ("household_id","seq");--> statement-breakpoint
CREATE INDEX "tour_space" ON "tour" USING btree ("household_id","space_id");--> statement-breakpoint
CREATE INDEX "waiting_place_by_seq" ON "waiting_place" USING btree ("household_id","seq");--> statement-breakpoint
CREATE INDEX "waiting_place_nook" ON "waiting_place" USING btree ("household_id","nook_id");--> statement-breakpoint
CREATE INDEX "wish_by_seq" ON "wish" USING btree ("household_id","seq");--> statement-breakpoint
CREATE INDEX "wish_nook" ON "wish" USING btree ("household_id","nook_id");
--> statement-breakpoint
SELECT protect_household_table('in_place');--> statement-breakpoint
SELECT protect_household_table('backlog');--> statement-breakpoint
SELECT protect_household_table('kit');--> statement-breakpoint
SELECT protect_household_table('loan');--> statement-breakpoint
SELECT protect_household_table('waiting_place');--> statement-breakpoint
SELECT protect_household_table('wish');--> statement-breakpoint
SELECT protect_household_table('medicine');--> statement-breakpoint
SELECT protect_household_table('care_entry');--> statement-breakpoint
SELECT protect_household_table('photo');--> statement-breakpoint
SELECT protect_household_table('tour');--> statement-breakpoint
SELECT protect_household_table('photo_file');--> statement-breakpoint
SELECT protect_household_table('calendar_feed');--> statement-breakpoint
-- Whoever holds the secret finds out which home it belongs to, and reads no other.
CREATE POLICY calendar_feed_by_secret ON calendar_feed FOR SELECT
  USING (secret_hash = current_setting('app.feed', true));
