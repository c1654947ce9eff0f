CREATE TABLE "tour_stop" (
	"household_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"seq" bigint NOT NULL,
	"retired" boolean DEFAULT false NOT NULL,
	"tour_id" uuid NOT NULL,
	"stop_id" uuid NOT NULL,
	"how" text NOT NULL,
	"by_id" uuid,
	"at" text NOT NULL,
	CONSTRAINT "tour_stop_household_id_id_pk" PRIMARY KEY("household_id","id")
);
--> statement-breakpoint
ALTER TABLE "loan" ADD COLUMN "for_what" text;--> statement-breakpoint
CREATE INDEX "tour_stop_by_seq" ON "tour_stop" USING btree ("household_id","seq");--> statement-breakpoint
CREATE INDEX "tour_stop_tour" ON "tour_stop" USING btree ("household_id","tour_id");--> statement-breakpoint
SELECT protect_household_table('tour_stop');
