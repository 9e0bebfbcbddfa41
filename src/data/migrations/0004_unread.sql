DROP INDEX "conversation_sort";--> statement-breakpoint
ALTER TABLE "letter" ALTER COLUMN "search" SET NOT NULL;--> statement-breakpoint
ALTER TABLE "conversation" ADD COLUMN "is_unread" boolean DEFAULT true NOT NULL;--> statement-breakpoint
ALTER TABLE "mailbox" ADD COLUMN "read_by" text;--> statement-breakpoint
ALTER TABLE "mailbox" ADD COLUMN "read_until" timestamp with time zone;--> statement-breakpoint
CREATE INDEX "conversation_sort" ON "conversation" USING btree ("place","is_unread","last_at");--> statement-breakpoint
-- What a letter is found by is made where it is parsed: PostgreSQL's own parser takes an address for one word, so that its
-- names were not found, and it was the slowest step of taking a letter in.
DROP TRIGGER letter_words ON letter;--> statement-breakpoint
DROP FUNCTION jam_letter_words();
--> statement-breakpoint
-- Files inside a letter are packed already: trying to pack them once more took longer than writing them.
ALTER TABLE raw_letter ALTER COLUMN bytes SET STORAGE EXTERNAL;--> statement-breakpoint
ALTER TABLE letter_copy ALTER COLUMN bytes SET STORAGE EXTERNAL;
