ALTER TABLE "lot" ADD COLUMN "thawed_on" date;--> statement-breakpoint
ALTER TABLE "lot" ADD COLUMN "made_on" date;--> statement-breakpoint
ALTER TABLE "lot" ADD COLUMN "made_kind" text;