CREATE TABLE "absence" (
	"household_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"seq" bigint NOT NULL,
	"retired" boolean DEFAULT false NOT NULL,
	"kind" text NOT NULL,
	"from_on" date NOT NULL,
	"to_on" date NOT NULL,
	"people" integer NOT NULL,
	"note" text NOT NULL,
	CONSTRAINT "absence_household_id_id_pk" PRIMARY KEY("household_id","id")
);
--> statement-breakpoint
CREATE TABLE "purchase" (
	"household_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"seq" bigint NOT NULL,
	"retired" boolean DEFAULT false NOT NULL,
	"item_id" uuid,
	"name" text NOT NULL,
	"shop_id" uuid,
	"for_day" date NOT NULL,
	"packs" integer NOT NULL,
	"pack_thousandths" bigint,
	"price_minor" integer,
	"state" text NOT NULL,
	"instead" text NOT NULL,
	"note" text NOT NULL,
	"by_person_id" uuid,
	"at_instant" text,
	CONSTRAINT "purchase_household_id_id_pk" PRIMARY KEY("household_id","id")
);
--> statement-breakpoint
CREATE TABLE "shop" (
	"household_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"seq" bigint NOT NULL,
	"retired" boolean DEFAULT false NOT NULL,
	"name" text NOT NULL,
	"rule" text NOT NULL,
	"starts_on" date NOT NULL,
	"budget_minor" integer,
	"aisles" text[] NOT NULL,
	"sort" integer NOT NULL,
	CONSTRAINT "shop_household_id_id_pk" PRIMARY KEY("household_id","id")
);
--> statement-breakpoint
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
ALTER TABLE "bin" ADD COLUMN "level" jsonb;--> statement-breakpoint
ALTER TABLE "item" ADD COLUMN "restock" jsonb;--> statement-breakpoint
ALTER TABLE "item" ADD COLUMN "packs" jsonb;--> statement-breakpoint
ALTER TABLE "item" ADD COLUMN "front" jsonb;--> statement-breakpoint
ALTER TABLE "item" ADD COLUMN "keep_days" integer;--> statement-breakpoint
ALTER TABLE "lot" ADD COLUMN "batch" text;--> statement-breakpoint
ALTER TABLE "lot" ADD COLUMN "book_thousandths" bigint;--> statement-breakpoint
CREATE INDEX "absence_by_seq" ON "absence" USING btree ("household_id","seq");--> statement-breakpoint
CREATE INDEX "purchase_by_seq" ON "purchase" USING btree ("household_id","seq");--> statement-breakpoint
CREATE INDEX "shop_by_seq" ON "shop" USING btree ("household_id","seq");--> statement-breakpoint
CREATE INDEX "use_by_seq" ON "use" USING btree ("household_id","seq");--> statement-breakpoint
SELECT protect_household_table('use');
--> statement-breakpoint
SELECT protect_household_table('shop');
--> statement-breakpoint
SELECT protect_household_table('purchase');
--> statement-breakpoint
SELECT protect_household_table('absence');
