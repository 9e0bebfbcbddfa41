CREATE INDEX "letter_from" ON "letter" USING btree ("from_address");--> statement-breakpoint
CREATE INDEX "task_theirs" ON "task" USING btree ("theirs_id");