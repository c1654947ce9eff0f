CREATE TABLE "account" (
	"id" uuid PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"email" text NOT NULL,
	"password_hash" text NOT NULL,
	"is_demo" boolean DEFAULT false NOT NULL,
	"created_at" timestamp (3) with time zone NOT NULL,
	CONSTRAINT "account_email_unique" UNIQUE("email")
);
--> statement-breakpoint
CREATE TABLE "bin" (
	"household_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"seq" bigint NOT NULL,
	"retired" boolean DEFAULT false NOT NULL,
	"shelf_id" uuid NOT NULL,
	"parent_bin_id" uuid,
	"name" text NOT NULL,
	"look" text NOT NULL,
	"has_lid" boolean NOT NULL,
	"code" text NOT NULL,
	"sort" double precision NOT NULL,
	"left_tenth_mm" integer,
	"width_tenth_mm" integer,
	"height_tenth_mm" integer,
	"depth_tenth_mm" integer,
	"tags" text[] NOT NULL,
	CONSTRAINT "bin_household_id_id_pk" PRIMARY KEY("household_id","id")
);
--> statement-breakpoint
CREATE TABLE "command_log" (
	"household_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"seq" bigint,
	"account_id" uuid NOT NULL,
	"intent" text NOT NULL,
	"occurred_at" timestamp (3) with time zone NOT NULL,
	"received_at" timestamp (3) with time zone NOT NULL,
	"undoes" uuid,
	"summary" text[] NOT NULL,
	"inverse" jsonb,
	"refusal" jsonb,
	CONSTRAINT "command_log_household_id_id_pk" PRIMARY KEY("household_id","id")
);
--> statement-breakpoint
CREATE TABLE "household" (
	"household_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"seq" bigint NOT NULL,
	"retired" boolean DEFAULT false NOT NULL,
	"name" text NOT NULL,
	"length_unit" text NOT NULL,
	"date_order" text,
	CONSTRAINT "household_household_id_id_pk" PRIMARY KEY("household_id","id")
);
--> statement-breakpoint
CREATE TABLE "household_seq" (
	"household_id" uuid PRIMARY KEY NOT NULL,
	"seq" bigint NOT NULL
);
--> statement-breakpoint
CREATE TABLE "invitation" (
	"code_hash" text PRIMARY KEY NOT NULL,
	"household_id" uuid NOT NULL,
	"created_by" uuid NOT NULL,
	"expires_at" timestamp (3) with time zone NOT NULL,
	"used_at" timestamp (3) with time zone
);
--> statement-breakpoint
CREATE TABLE "item" (
	"household_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"seq" bigint NOT NULL,
	"retired" boolean DEFAULT false NOT NULL,
	"name" text NOT NULL,
	"category" text NOT NULL,
	"unit" text NOT NULL,
	"synonyms" text[] NOT NULL,
	"tags" text[] NOT NULL,
	"low_at_thousandths" bigint,
	"opened_days" integer,
	"freezer_months" integer,
	CONSTRAINT "item_household_id_id_pk" PRIMARY KEY("household_id","id")
);
--> statement-breakpoint
CREATE TABLE "ledger_event" (
	"household_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"lot_id" uuid NOT NULL,
	"command_id" uuid NOT NULL,
	"kind" text NOT NULL,
	"quantity_thousandths" bigint NOT NULL,
	"occurred_at" timestamp (3) with time zone NOT NULL,
	"reason" text,
	"voids" uuid,
	CONSTRAINT "ledger_event_household_id_id_pk" PRIMARY KEY("household_id","id")
);
--> statement-breakpoint
CREATE TABLE "line" (
	"household_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"seq" bigint NOT NULL,
	"retired" boolean DEFAULT false NOT NULL,
	"text" text NOT NULL,
	"nook_id" uuid,
	CONSTRAINT "line_household_id_id_pk" PRIMARY KEY("household_id","id")
);
--> statement-breakpoint
CREATE TABLE "lot" (
	"household_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"seq" bigint NOT NULL,
	"retired" boolean DEFAULT false NOT NULL,
	"item_id" uuid NOT NULL,
	"nook_id" uuid NOT NULL,
	"pack_size" jsonb,
	"expires_on" date,
	"date_kind" text,
	"opened_on" date,
	"frozen_on" date,
	"note" text NOT NULL,
	"quantity_thousandths" bigint NOT NULL,
	"please_count" boolean NOT NULL,
	"counted_at" jsonb,
	"last_at" jsonb,
	CONSTRAINT "lot_household_id_id_pk" PRIMARY KEY("household_id","id")
);
--> statement-breakpoint
CREATE TABLE "membership" (
	"household_id" uuid NOT NULL,
	"account_id" uuid NOT NULL,
	"joined_at" timestamp (3) with time zone NOT NULL,
	CONSTRAINT "membership_household_id_account_id_pk" PRIMARY KEY("household_id","account_id")
);
--> statement-breakpoint
CREATE TABLE "person" (
	"household_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"seq" bigint NOT NULL,
	"retired" boolean DEFAULT false NOT NULL,
	"name" text NOT NULL,
	"role" text NOT NULL,
	"age_years" integer,
	"reach_tenth_mm" integer,
	"note" text NOT NULL,
	CONSTRAINT "person_household_id_id_pk" PRIMARY KEY("household_id","id")
);
--> statement-breakpoint
CREATE TABLE "room" (
	"household_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"seq" bigint NOT NULL,
	"retired" boolean DEFAULT false NOT NULL,
	"name" text NOT NULL,
	"sort" double precision NOT NULL,
	CONSTRAINT "room_household_id_id_pk" PRIMARY KEY("household_id","id")
);
--> statement-breakpoint
CREATE TABLE "session" (
	"id" uuid PRIMARY KEY NOT NULL,
	"token_hash" text NOT NULL,
	"account_id" uuid NOT NULL,
	"household_id" uuid NOT NULL,
	"device" text NOT NULL,
	"created_at" timestamp (3) with time zone NOT NULL,
	"last_seen_at" timestamp (3) with time zone NOT NULL,
	"expires_at" timestamp (3) with time zone NOT NULL,
	"revoked_at" timestamp (3) with time zone,
	CONSTRAINT "session_token_hash_unique" UNIQUE("token_hash")
);
--> statement-breakpoint
CREATE TABLE "shelf" (
	"household_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"seq" bigint NOT NULL,
	"retired" boolean DEFAULT false NOT NULL,
	"space_id" uuid NOT NULL,
	"name" text NOT NULL,
	"kind" text NOT NULL,
	"code" text NOT NULL,
	"sort" double precision NOT NULL,
	"left_tenth_mm" integer,
	"bottom_tenth_mm" integer,
	"width_tenth_mm" integer,
	"height_tenth_mm" integer,
	"depth_tenth_mm" integer,
	CONSTRAINT "shelf_household_id_id_pk" PRIMARY KEY("household_id","id")
);
--> statement-breakpoint
CREATE TABLE "space" (
	"household_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"seq" bigint NOT NULL,
	"retired" boolean DEFAULT false NOT NULL,
	"room_id" uuid NOT NULL,
	"name" text NOT NULL,
	"kind" text NOT NULL,
	"code" text NOT NULL,
	"width_tenth_mm" integer,
	"height_tenth_mm" integer,
	"depth_tenth_mm" integer,
	"post_width_tenth_mm" integer,
	"locked" boolean NOT NULL,
	"note" text NOT NULL,
	"sort" double precision NOT NULL,
	CONSTRAINT "space_household_id_id_pk" PRIMARY KEY("household_id","id")
);
--> statement-breakpoint
ALTER TABLE "membership" ADD CONSTRAINT "membership_account_id_account_id_fk" FOREIGN KEY ("account_id") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "session" ADD CONSTRAINT "session_account_id_account_id_fk" FOREIGN KEY ("account_id") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "bin_by_seq" ON "bin" USING btree ("household_id","seq");--> statement-breakpoint
CREATE INDEX "bin_shelf" ON "bin" USING btree ("household_id","shelf_id");--> statement-breakpoint
CREATE UNIQUE INDEX "bin_code" ON "bin" USING btree ("household_id",replace("code", '-', '')) WHERE not "bin"."retired";--> statement-breakpoint
CREATE INDEX "command_log_seq" ON "command_log" USING btree ("household_id","seq");--> statement-breakpoint
CREATE INDEX "household_by_seq" ON "household" USING btree ("household_id","seq");--> statement-breakpoint
CREATE INDEX "item_by_seq" ON "item" USING btree ("household_id","seq");--> statement-breakpoint
CREATE INDEX "ledger_event_lot" ON "ledger_event" USING btree ("household_id","lot_id","occurred_at");--> statement-breakpoint
CREATE INDEX "line_by_seq" ON "line" USING btree ("household_id","seq");--> statement-breakpoint
CREATE INDEX "lot_by_seq" ON "lot" USING btree ("household_id","seq");--> statement-breakpoint
CREATE INDEX "lot_nook" ON "lot" USING btree ("household_id","nook_id");--> statement-breakpoint
CREATE INDEX "lot_item" ON "lot" USING btree ("household_id","item_id");--> statement-breakpoint
CREATE INDEX "person_by_seq" ON "person" USING btree ("household_id","seq");--> statement-breakpoint
CREATE INDEX "room_by_seq" ON "room" USING btree ("household_id","seq");--> statement-breakpoint
CREATE INDEX "shelf_by_seq" ON "shelf" USING btree ("household_id","seq");--> statement-breakpoint
CREATE INDEX "shelf_space" ON "shelf" USING btree ("household_id","space_id");--> statement-breakpoint
CREATE UNIQUE INDEX "shelf_code" ON "shelf" USING btree ("household_id",replace("code", '-', '')) WHERE not "shelf"."retired";--> statement-breakpoint
CREATE INDEX "space_by_seq" ON "space" USING btree ("household_id","seq");--> statement-breakpoint
CREATE INDEX "space_room" ON "space" USING btree ("household_id","room_id");--> statement-breakpoint
CREATE UNIQUE INDEX "space_code" ON "space" USING btree ("household_id",replace("code", '-', '')) WHERE not "space"."retired";