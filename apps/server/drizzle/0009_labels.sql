CREATE TABLE "label" (
	"household_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"seq" bigint NOT NULL,
	"retired" boolean DEFAULT false NOT NULL,
	"nook_id" uuid NOT NULL,
	"words" text NOT NULL,
	"contents" text,
	"printed_on" date NOT NULL,
	CONSTRAINT "label_household_id_id_pk" PRIMARY KEY("household_id","id")
);
--> statement-breakpoint
CREATE INDEX "label_by_seq" ON "label" USING btree ("household_id","seq");--> statement-breakpoint
SELECT protect_household_table('label');
