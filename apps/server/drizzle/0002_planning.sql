CREATE TABLE "clear_out" (
	"household_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"seq" bigint NOT NULL,
	"retired" boolean DEFAULT false NOT NULL,
	"space_id" uuid NOT NULL,
	"started_at" text NOT NULL,
	"minutes" integer,
	"finished_at" text,
	CONSTRAINT "clear_out_household_id_id_pk" PRIMARY KEY("household_id","id")
);
--> statement-breakpoint
CREATE TABLE "container" (
	"household_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"seq" bigint NOT NULL,
	"retired" boolean DEFAULT false NOT NULL,
	"name" text NOT NULL,
	"look" text NOT NULL,
	"family" text NOT NULL,
	"colour" text NOT NULL,
	"top_width_tenth_mm" integer NOT NULL,
	"top_depth_tenth_mm" integer NOT NULL,
	"base_width_tenth_mm" integer,
	"base_depth_tenth_mm" integer,
	"height_tenth_mm" integer NOT NULL,
	"has_lid" boolean NOT NULL,
	"open_height_tenth_mm" integer,
	"inner_volume_ml" integer,
	"inside_width_tenth_mm" integer,
	"inside_depth_tenth_mm" integer,
	"inside_height_tenth_mm" integer,
	"stack_pitch_tenth_mm" integer,
	"nest_pitch_tenth_mm" integer,
	"max_load_grams" integer,
	"weight_grams" integer,
	"price_minor" integer,
	"owned" integer NOT NULL,
	"free" boolean NOT NULL,
	CONSTRAINT "container_household_id_id_pk" PRIMARY KEY("household_id","id")
);
--> statement-breakpoint
CREATE TABLE "plan" (
	"household_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"seq" bigint NOT NULL,
	"retired" boolean DEFAULT false NOT NULL,
	"space_id" uuid NOT NULL,
	"name" text NOT NULL,
	"status" text NOT NULL,
	"sort" double precision NOT NULL,
	"groups" jsonb NOT NULL,
	"shelves" jsonb NOT NULL,
	"placed" jsonb NOT NULL,
	"budget_minor" integer,
	"family" text,
	"move_shelves" boolean NOT NULL,
	"seed" bigint NOT NULL,
	"bought" jsonb NOT NULL,
	CONSTRAINT "plan_household_id_id_pk" PRIMARY KEY("household_id","id")
);
--> statement-breakpoint
CREATE TABLE "verdict" (
	"household_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"seq" bigint NOT NULL,
	"retired" boolean DEFAULT false NOT NULL,
	"clear_out_id" uuid NOT NULL,
	"lot_id" uuid NOT NULL,
	"verdict" text NOT NULL,
	"to_nook_id" uuid,
	CONSTRAINT "verdict_household_id_id_pk" PRIMARY KEY("household_id","id")
);
--> statement-breakpoint
ALTER TABLE "bin" ADD COLUMN "container_id" uuid;--> statement-breakpoint
ALTER TABLE "bin" ADD COLUMN "standing" jsonb;--> statement-breakpoint
ALTER TABLE "household" ADD COLUMN "currency" text;--> statement-breakpoint
ALTER TABLE "item" ADD COLUMN "traits" jsonb;--> statement-breakpoint
ALTER TABLE "shelf" ADD COLUMN "build" jsonb;--> statement-breakpoint
ALTER TABLE "space" ADD COLUMN "build" jsonb;--> statement-breakpoint
CREATE INDEX "clear_out_by_seq" ON "clear_out" USING btree ("household_id","seq");--> statement-breakpoint
CREATE INDEX "container_by_seq" ON "container" USING btree ("household_id","seq");--> statement-breakpoint
CREATE INDEX "plan_by_seq" ON "plan" USING btree ("household_id","seq");--> statement-breakpoint
CREATE INDEX "verdict_by_seq" ON "verdict" USING btree ("household_id","seq");--> statement-breakpoint
ALTER TABLE container ENABLE ROW LEVEL SECURITY;
--> statement-breakpoint
ALTER TABLE container FORCE ROW LEVEL SECURITY;
--> statement-breakpoint
CREATE POLICY container_own ON container USING (household_id = current_household()) WITH CHECK (household_id = current_household());
--> statement-breakpoint
GRANT SELECT, INSERT, UPDATE ON container TO every_nook_app;
--> statement-breakpoint
ALTER TABLE plan ENABLE ROW LEVEL SECURITY;
--> statement-breakpoint
ALTER TABLE plan FORCE ROW LEVEL SECURITY;
--> statement-breakpoint
CREATE POLICY plan_own ON plan USING (household_id = current_household()) WITH CHECK (household_id = current_household());
--> statement-breakpoint
GRANT SELECT, INSERT, UPDATE ON plan TO every_nook_app;
--> statement-breakpoint
ALTER TABLE clear_out ENABLE ROW LEVEL SECURITY;
--> statement-breakpoint
ALTER TABLE clear_out FORCE ROW LEVEL SECURITY;
--> statement-breakpoint
CREATE POLICY clear_out_own ON clear_out USING (household_id = current_household()) WITH CHECK (household_id = current_household());
--> statement-breakpoint
GRANT SELECT, INSERT, UPDATE ON clear_out TO every_nook_app;
--> statement-breakpoint
ALTER TABLE verdict ENABLE ROW LEVEL SECURITY;
--> statement-breakpoint
ALTER TABLE verdict FORCE ROW LEVEL SECURITY;
--> statement-breakpoint
CREATE POLICY verdict_own ON verdict USING (household_id = current_household()) WITH CHECK (household_id = current_household());
--> statement-breakpoint
GRANT SELECT, INSERT, UPDATE ON verdict TO every_nook_app;
