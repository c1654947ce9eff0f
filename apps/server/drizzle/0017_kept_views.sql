CREATE TABLE "kept_view" (
	"household_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"seq" bigint NOT NULL,
	"retired" boolean DEFAULT false NOT NULL,
	"name" text NOT NULL,
	"rows" text NOT NULL,
	"shown" text NOT NULL,
	"place_id" uuid,
	"category" text,
	"counted" text NOT NULL,
	"words" text NOT NULL,
	"sort" text NOT NULL,
	"down" boolean NOT NULL,
	"group_by" text NOT NULL,
	"hidden" jsonb NOT NULL,
	CONSTRAINT "kept_view_household_id_id_pk" PRIMARY KEY("household_id","id")
);
--> statement-breakpoint
CREATE INDEX "kept_view_by_seq" ON "kept_view" USING btree ("household_id","seq");--> statement-breakpoint
SELECT protect_household_table('kept_view');
