CREATE TABLE "use" (
	"household_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"seq" bigint NOT NULL,
	"retired" boolean DEFAULT false NOT NULL,
	"item_id" uuid NOT NULL,
	"digest" text NOT NULL,
	CONSTRAINT "use_household_id_id_pk" PRIMARY KEY("household_id","id")
);
--> statement-breakpoint
ALTER TABLE "lot" ADD COLUMN "book_thousandths" bigint;--> statement-breakpoint
CREATE INDEX "use_by_seq" ON "use" USING btree ("household_id","seq");--> statement-breakpoint
SELECT protect_household_table('use');
