ALTER TABLE "person" ADD COLUMN "feed_key" text;--> statement-breakpoint
ALTER TABLE "person" ADD CONSTRAINT "person_feed_key_unique" UNIQUE("feed_key");