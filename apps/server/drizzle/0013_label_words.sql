ALTER TABLE "bin" ADD COLUMN "label_words" text;--> statement-breakpoint
ALTER TABLE "shelf" ADD COLUMN "label_words" text;