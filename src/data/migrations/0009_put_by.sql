ALTER TABLE "conversation" ADD COLUMN "put_until" timestamp with time zone;--> statement-breakpoint
ALTER TABLE "conversation" ADD COLUMN "returned_at" timestamp with time zone;--> statement-breakpoint
ALTER TABLE "person" ADD COLUMN "reviewed_at" timestamp with time zone;--> statement-breakpoint
ALTER TABLE "task" ADD COLUMN "put_until" timestamp with time zone;--> statement-breakpoint
ALTER TABLE "task" ADD COLUMN "returned_at" timestamp with time zone;--> statement-breakpoint
CREATE INDEX "conversation_put_by" ON "conversation" USING btree ("put_until") WHERE place = 'put by';--> statement-breakpoint
CREATE INDEX "task_put_by" ON "task" USING btree ("put_until");