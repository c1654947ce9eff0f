CREATE TABLE "round" (
	"household_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"seq" bigint NOT NULL,
	"retired" boolean DEFAULT false NOT NULL,
	"name" text NOT NULL,
	"kind" text NOT NULL,
	"rhythm" jsonb NOT NULL,
	"starts_on" date NOT NULL,
	"person_ids" jsonb NOT NULL,
	"nook_ids" jsonb NOT NULL,
	"steps" text[] NOT NULL,
	"minutes" integer NOT NULL,
	CONSTRAINT "round_household_id_id_pk" PRIMARY KEY("household_id","id")
);
--> statement-breakpoint
CREATE TABLE "round_tick" (
	"household_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"seq" bigint NOT NULL,
	"retired" boolean DEFAULT false NOT NULL,
	"round_id" uuid NOT NULL,
	"due_on" date NOT NULL,
	"what" text NOT NULL,
	"step" text,
	"to_on" date,
	"person_id" uuid,
	"on" date NOT NULL,
	"minutes" integer,
	CONSTRAINT "round_tick_household_id_id_pk" PRIMARY KEY("household_id","id")
);
--> statement-breakpoint
CREATE INDEX "round_by_seq" ON "round" USING btree ("household_id","seq");--> statement-breakpoint
CREATE INDEX "round_tick_by_seq" ON "round_tick" USING btree ("household_id","seq");--> statement-breakpoint
CREATE INDEX "round_tick_round" ON "round_tick" USING btree ("household_id","round_id");
--> statement-breakpoint
SELECT protect_household_table('round');--> statement-breakpoint
SELECT protect_household_table('round_tick');
