CREATE TABLE "notice" (
	"id" uuid PRIMARY KEY NOT NULL,
	"person_id" uuid NOT NULL,
	"task_id" uuid NOT NULL,
	"entry_id" uuid NOT NULL,
	"what" text NOT NULL,
	"why" text NOT NULL,
	"loudness" text NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"seen_at" timestamp with time zone
);
--> statement-breakpoint
CREATE TABLE "posted" (
	"id" uuid PRIMARY KEY NOT NULL,
	"task_id" uuid NOT NULL,
	"person_id" uuid NOT NULL,
	"hears" boolean NOT NULL
);
--> statement-breakpoint
ALTER TABLE "comment" ADD COLUMN "kind" text DEFAULT 'note' NOT NULL;--> statement-breakpoint
ALTER TABLE "task" ADD COLUMN "chain" jsonb DEFAULT '[]'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "task" ADD COLUMN "together_id" uuid;--> statement-breakpoint
ALTER TABLE "task" ADD COLUMN "doubt" text;--> statement-breakpoint
ALTER TABLE "task" ADD COLUMN "heard_at" timestamp with time zone DEFAULT now() NOT NULL;--> statement-breakpoint
ALTER TABLE "outgoing" ADD COLUMN "is_chase" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "notice" ADD CONSTRAINT "notice_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "notice" ADD CONSTRAINT "notice_task_id_task_id_fk" FOREIGN KEY ("task_id") REFERENCES "public"."task"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "posted" ADD CONSTRAINT "posted_task_id_task_id_fk" FOREIGN KEY ("task_id") REFERENCES "public"."task"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "posted" ADD CONSTRAINT "posted_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE UNIQUE INDEX "notice_once" ON "notice" USING btree ("entry_id","task_id","person_id");--> statement-breakpoint
CREATE INDEX "notice_person" ON "notice" USING btree ("person_id","seen_at","at");--> statement-breakpoint
CREATE INDEX "notice_task" ON "notice" USING btree ("task_id");--> statement-breakpoint
CREATE UNIQUE INDEX "posted_task" ON "posted" USING btree ("task_id","person_id");--> statement-breakpoint
CREATE INDEX "task_waited" ON "task" USING btree ("heard_at","number") WHERE state in ('to begin', 'under way') and (side = 'theirs' or chain <> '[]'::jsonb);--> statement-breakpoint
CREATE INDEX "task_together" ON "task" USING btree ("together_id");--> statement-breakpoint
UPDATE task SET chain = jsonb_build_array(jsonb_build_object(
  'by', created_by, 'to', owner_id, 'at', to_char(created_at at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"'),
  'answer', case when state = 'to begin' then 'needs-action' else 'accepted' end,
  'answeredAt', case when state = 'to begin' then '' else to_char(changed_at at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"') end,
  'note', '', 'reason', '', 'question', ''))
WHERE side = 'ours' AND owner_id IS NOT NULL AND owner_id <> created_by;--> statement-breakpoint
UPDATE task t SET heard_at = coalesce((
  SELECT max(l.sent_at) FROM letter l JOIN correspondent k ON k.address = l.from_address
  WHERE l.conversation_id = t.conversation_id AND k.id = t.theirs_id AND l.automatic IS NULL), t.created_at);
