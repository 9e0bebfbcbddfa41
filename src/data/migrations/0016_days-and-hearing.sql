CREATE TABLE "posted_at" (
	"id" uuid PRIMARY KEY NOT NULL,
	"project_id" uuid NOT NULL,
	"workstream_id" uuid,
	"person_id" uuid NOT NULL
);
--> statement-breakpoint
CREATE TABLE "away" (
	"id" uuid PRIMARY KEY NOT NULL,
	"person_id" uuid NOT NULL,
	"from_day" date NOT NULL,
	"back_day" date NOT NULL,
	"cover_id" uuid,
	"with_mailboxes" boolean DEFAULT false NOT NULL,
	"state" text NOT NULL,
	"made_at" timestamp with time zone NOT NULL,
	"began_at" timestamp with time zone,
	"ended_at" timestamp with time zone,
	"told_at" timestamp with time zone,
	"seen_at" timestamp with time zone
);
--> statement-breakpoint
CREATE TABLE "round" (
	"id" uuid PRIMARY KEY NOT NULL,
	"person_id" uuid NOT NULL,
	"what" text NOT NULL,
	"began" timestamp with time zone NOT NULL,
	"ended_at" timestamp with time zone NOT NULL,
	"came" integer NOT NULL,
	"dealt" integer NOT NULL,
	"left" integer NOT NULL,
	"minutes" integer NOT NULL
);
--> statement-breakpoint
ALTER TABLE "history" ADD COLUMN "for_id" uuid;--> statement-breakpoint
ALTER TABLE "notice" ADD COLUMN "for_id" uuid;--> statement-breakpoint
ALTER TABLE "person" ADD COLUMN "hearing" jsonb DEFAULT '{}'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "person" ADD COLUMN "quiet_from" text;--> statement-breakpoint
ALTER TABLE "person" ADD COLUMN "quiet_until" text;--> statement-breakpoint
ALTER TABLE "person" ADD COLUMN "closed_until" timestamp with time zone;--> statement-breakpoint
ALTER TABLE "task" ADD COLUMN "percent" integer;--> statement-breakpoint
ALTER TABLE "task" ADD COLUMN "held_by_id" uuid;--> statement-breakpoint
ALTER TABLE "task" ADD COLUMN "chase_plan" jsonb;--> statement-breakpoint
ALTER TABLE "posted_at" ADD CONSTRAINT "posted_at_project_id_project_id_fk" FOREIGN KEY ("project_id") REFERENCES "public"."project"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "posted_at" ADD CONSTRAINT "posted_at_workstream_id_workstream_id_fk" FOREIGN KEY ("workstream_id") REFERENCES "public"."workstream"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "posted_at" ADD CONSTRAINT "posted_at_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "away" ADD CONSTRAINT "away_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "away" ADD CONSTRAINT "away_cover_id_person_id_fk" FOREIGN KEY ("cover_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "round" ADD CONSTRAINT "round_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE UNIQUE INDEX "posted_at_once" ON "posted_at" USING btree ("project_id",coalesce(workstream_id, project_id),"person_id");--> statement-breakpoint
CREATE INDEX "away_person" ON "away" USING btree ("person_id","state");--> statement-breakpoint
CREATE INDEX "away_cover" ON "away" USING btree ("cover_id") WHERE state = 'on';--> statement-breakpoint
CREATE INDEX "round_person" ON "round" USING btree ("person_id","ended_at");--> statement-breakpoint
ALTER TABLE "history" ADD CONSTRAINT "history_for_id_person_id_fk" FOREIGN KEY ("for_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "notice" ADD CONSTRAINT "notice_for_id_person_id_fk" FOREIGN KEY ("for_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "task" ADD CONSTRAINT "task_held_by_id_task_id_fk" FOREIGN KEY ("held_by_id") REFERENCES "public"."task"("id") ON DELETE set null ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "task_held_by" ON "task" USING btree ("held_by_id");--> statement-breakpoint
CREATE INDEX "task_chase_plan" ON "task" USING btree ("number") WHERE chase_plan is not null;