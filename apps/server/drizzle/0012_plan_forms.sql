ALTER TABLE "container" ADD COLUMN "form" text;--> statement-breakpoint
ALTER TABLE "container" ADD COLUMN "sections" integer;--> statement-breakpoint
ALTER TABLE "plan" ADD COLUMN "on_shelf" jsonb;