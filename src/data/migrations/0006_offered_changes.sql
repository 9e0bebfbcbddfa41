ALTER TABLE "slip" ADD COLUMN "change" text;--> statement-breakpoint
ALTER TABLE "slip" ADD COLUMN "changes_task_id" uuid;--> statement-breakpoint
ALTER TABLE "slip" ADD CONSTRAINT "slip_changes_task_id_task_id_fk" FOREIGN KEY ("changes_task_id") REFERENCES "public"."task"("id") ON DELETE no action ON UPDATE no action;