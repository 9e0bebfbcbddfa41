ALTER TABLE "task" ADD COLUMN "repeats" text;--> statement-breakpoint
ALTER TABLE "task" ADD COLUMN "repeats_from" date;