CREATE TABLE "pack_tick" (
	"household_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"seq" bigint NOT NULL,
	"retired" boolean DEFAULT false NOT NULL,
	"loan_id" uuid NOT NULL,
	"item_id" uuid NOT NULL,
	"by_id" uuid,
	"on" date NOT NULL,
	CONSTRAINT "pack_tick_household_id_id_pk" PRIMARY KEY("household_id","id")
);
--> statement-breakpoint
CREATE TABLE "pill_fill" (
	"household_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"seq" bigint NOT NULL,
	"retired" boolean DEFAULT false NOT NULL,
	"person_id" uuid NOT NULL,
	"from_on" date NOT NULL,
	"days" integer NOT NULL,
	"parts" jsonb NOT NULL,
	"by_id" uuid,
	"on" date NOT NULL,
	CONSTRAINT "pill_fill_household_id_id_pk" PRIMARY KEY("household_id","id")
);
--> statement-breakpoint
ALTER TABLE "command_log" ADD COLUMN "by_name" text;--> statement-breakpoint
ALTER TABLE "medicine" ADD COLUMN "pills" jsonb;--> statement-breakpoint
CREATE INDEX "pack_tick_by_seq" ON "pack_tick" USING btree ("household_id","seq");--> statement-breakpoint
CREATE INDEX "pack_tick_loan" ON "pack_tick" USING btree ("household_id","loan_id");--> statement-breakpoint
CREATE INDEX "pill_fill_by_seq" ON "pill_fill" USING btree ("household_id","seq");--> statement-breakpoint
CREATE INDEX "pill_fill_person" ON "pill_fill" USING btree ("household_id","person_id");
--> statement-breakpoint
SELECT protect_household_table('pack_tick');--> statement-breakpoint
SELECT protect_household_table('pill_fill');
