ALTER TABLE "task" ADD COLUMN "start_day" date;--> statement-breakpoint
CREATE INDEX "task_start" ON "task" USING btree ("start_day");