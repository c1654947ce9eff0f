CREATE TABLE "as_it_is" (
	"household_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"seq" bigint NOT NULL,
	"retired" boolean DEFAULT false NOT NULL,
	"subject_id" uuid NOT NULL,
	"to_nook_id" uuid NOT NULL,
	"facts" text NOT NULL,
	"said_on" date NOT NULL,
	CONSTRAINT "as_it_is_household_id_id_pk" PRIMARY KEY("household_id","id")
);
--> statement-breakpoint
CREATE TABLE "errand" (
	"household_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"seq" bigint NOT NULL,
	"retired" boolean DEFAULT false NOT NULL,
	"chain" text NOT NULL,
	"sort" integer NOT NULL,
	"subject_id" uuid NOT NULL,
	"from_nook_id" uuid NOT NULL,
	"to_nook_id" uuid NOT NULL,
	"saved_minutes" double precision NOT NULL,
	"done_on" date,
	CONSTRAINT "errand_household_id_id_pk" PRIMARY KEY("household_id","id")
);
--> statement-breakpoint
CREATE TABLE "way" (
	"household_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"seq" bigint NOT NULL,
	"retired" boolean DEFAULT false NOT NULL,
	"from_room_id" uuid NOT NULL,
	"to_room_id" uuid NOT NULL,
	"paces" integer NOT NULL,
	CONSTRAINT "way_household_id_id_pk" PRIMARY KEY("household_id","id")
);
--> statement-breakpoint
ALTER TABLE "bin" ADD COLUMN "handling" jsonb;--> statement-breakpoint
ALTER TABLE "person" ADD COLUMN "takes_steps" boolean;--> statement-breakpoint
ALTER TABLE "space" ADD COLUMN "foot_tenth_mm" integer;--> statement-breakpoint
CREATE INDEX "as_it_is_by_seq" ON "as_it_is" USING btree ("household_id","seq");--> statement-breakpoint
CREATE INDEX "errand_by_seq" ON "errand" USING btree ("household_id","seq");--> statement-breakpoint
CREATE INDEX "way_by_seq" ON "way" USING btree ("household_id","seq");--> statement-breakpoint
SELECT protect_household_table('as_it_is');
--> statement-breakpoint
SELECT protect_household_table('errand');
--> statement-breakpoint
SELECT protect_household_table('way');
