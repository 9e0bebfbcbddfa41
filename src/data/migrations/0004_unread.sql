DROP INDEX "conversation_sort";--> statement-breakpoint
ALTER TABLE "conversation" ADD COLUMN "is_unread" boolean DEFAULT true NOT NULL;--> statement-breakpoint
ALTER TABLE "mailbox" ADD COLUMN "read_by" text;--> statement-breakpoint
ALTER TABLE "mailbox" ADD COLUMN "read_until" timestamp with time zone;--> statement-breakpoint
CREATE INDEX "conversation_sort" ON "conversation" USING btree ("place","is_unread","last_at");