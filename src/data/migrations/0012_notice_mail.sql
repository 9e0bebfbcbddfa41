ALTER TABLE "notice" ADD COLUMN "mailed_at" timestamp with time zone;--> statement-breakpoint
ALTER TABLE "notice" ADD COLUMN "answer_key" text;--> statement-breakpoint
ALTER TABLE "person" ADD COLUMN "notice_mail" text DEFAULT 'as it comes' NOT NULL;--> statement-breakpoint
ALTER TABLE "person" ADD COLUMN "digest_times" jsonb DEFAULT '["08:00","13:00","17:00"]'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "outgoing" ADD COLUMN "is_automatic" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "outgoing" ADD COLUMN "reply_to" text;--> statement-breakpoint
CREATE INDEX "notice_unmailed" ON "notice" USING btree ("at") WHERE mailed_at is null and seen_at is null;--> statement-breakpoint
ALTER TABLE "notice" ADD CONSTRAINT "notice_answer_key_unique" UNIQUE("answer_key");