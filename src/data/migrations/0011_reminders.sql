CREATE TABLE "reminder" (
	"id" uuid PRIMARY KEY NOT NULL,
	"task_id" uuid NOT NULL,
	"person_id" uuid NOT NULL,
	"at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "reminder_clock" (
	"id" integer PRIMARY KEY NOT NULL,
	"up_to" timestamp with time zone NOT NULL
);
--> statement-breakpoint
ALTER TABLE "notice" ADD COLUMN "words" text;--> statement-breakpoint
ALTER TABLE "reminder" ADD CONSTRAINT "reminder_task_id_task_id_fk" FOREIGN KEY ("task_id") REFERENCES "public"."task"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "reminder" ADD CONSTRAINT "reminder_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "reminder_at" ON "reminder" USING btree ("at");--> statement-breakpoint
CREATE INDEX "reminder_task" ON "reminder" USING btree ("task_id");