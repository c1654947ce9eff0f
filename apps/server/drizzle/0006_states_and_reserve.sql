CREATE TABLE "keeping" (
	"household_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"seq" bigint NOT NULL,
	"retired" boolean DEFAULT false NOT NULL,
	"name" text NOT NULL,
	"replaces" text NOT NULL,
	"words" text[] NOT NULL,
	"opened_days" integer,
	"cooked_days" integer,
	"freezer_months" integer,
	"source" text NOT NULL,
	CONSTRAINT "keeping_household_id_id_pk" PRIMARY KEY("household_id","id")
);
--> statement-breakpoint
CREATE TABLE "pick" (
	"household_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"seq" bigint NOT NULL,
	"retired" boolean DEFAULT false NOT NULL,
	"lot_id" uuid NOT NULL,
	"amount_thousandths" bigint NOT NULL,
	"for_day" date NOT NULL,
	"thawed_on" date,
	CONSTRAINT "pick_household_id_id_pk" PRIMARY KEY("household_id","id")
);
--> statement-breakpoint
CREATE TABLE "ration" (
	"household_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"seq" bigint NOT NULL,
	"retired" boolean DEFAULT false NOT NULL,
	"name" text NOT NULL,
	"words" text[] NOT NULL,
	"unit" text NOT NULL,
	"per_person_day_thousandths" bigint NOT NULL,
	"nook_id" uuid,
	"source" text NOT NULL,
	CONSTRAINT "ration_household_id_id_pk" PRIMARY KEY("household_id","id")
);
--> statement-breakpoint
ALTER TABLE "item" ADD COLUMN "set" jsonb;--> statement-breakpoint
ALTER TABLE "item" ADD COLUMN "codes" text[];--> statement-breakpoint
ALTER TABLE "lot" ADD COLUMN "decanted_on" date;--> statement-breakpoint
ALTER TABLE "lot" ADD COLUMN "in_use_on" date;--> statement-breakpoint
CREATE INDEX "keeping_by_seq" ON "keeping" USING btree ("household_id","seq");--> statement-breakpoint
CREATE INDEX "pick_by_seq" ON "pick" USING btree ("household_id","seq");--> statement-breakpoint
CREATE INDEX "ration_by_seq" ON "ration" USING btree ("household_id","seq");--> statement-breakpoint
SELECT protect_household_table('keeping');
--> statement-breakpoint
SELECT protect_household_table('pick');
--> statement-breakpoint
SELECT protect_household_table('ration');
