CREATE TABLE "letter_copy" (
	"sha256" text PRIMARY KEY NOT NULL,
	"letter_id" uuid NOT NULL,
	"bytes" "bytea" NOT NULL
);
--> statement-breakpoint
CREATE TABLE "draft" (
	"person_id" uuid NOT NULL,
	"about" text NOT NULL,
	"values" jsonb NOT NULL,
	"changed_at" timestamp with time zone NOT NULL,
	CONSTRAINT "draft_person_id_about_pk" PRIMARY KEY("person_id","about")
);
--> statement-breakpoint
CREATE TABLE "draft_file" (
	"id" uuid PRIMARY KEY NOT NULL,
	"person_id" uuid NOT NULL,
	"name" text NOT NULL,
	"type" text NOT NULL,
	"size" integer NOT NULL,
	"bytes" "bytea" NOT NULL,
	"made_at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "mailbox" (
	"id" uuid PRIMARY KEY NOT NULL,
	"way_in_id" uuid NOT NULL,
	"host" text NOT NULL,
	"port" integer NOT NULL,
	"security" text NOT NULL,
	"user_name" text NOT NULL,
	"secret" text NOT NULL,
	"folder" text NOT NULL,
	"sent_folder" text,
	"since" date,
	"mark" text,
	"on_dealt" text NOT NULL,
	"move_to" text,
	"is_revoked" boolean DEFAULT false NOT NULL,
	"made_by" uuid NOT NULL,
	"made_at" timestamp with time zone NOT NULL,
	CONSTRAINT "mailbox_way_in_id_unique" UNIQUE("way_in_id")
);
--> statement-breakpoint
CREATE TABLE "mailbox_folder" (
	"mailbox_id" uuid NOT NULL,
	"folder" text NOT NULL,
	"uid_validity" text,
	"last_uid" bigint DEFAULT 0 NOT NULL,
	"behind" integer DEFAULT 0 NOT NULL,
	"read_at" timestamp with time zone,
	"failures" integer DEFAULT 0 NOT NULL,
	"says" text,
	CONSTRAINT "mailbox_folder_mailbox_id_folder_pk" PRIMARY KEY("mailbox_id","folder")
);
--> statement-breakpoint
CREATE TABLE "outgoing" (
	"id" uuid PRIMARY KEY NOT NULL,
	"message_id" text NOT NULL,
	"person_id" uuid NOT NULL,
	"conversation_id" uuid,
	"task_id" uuid,
	"from_name" text NOT NULL,
	"from_address" text NOT NULL,
	"to" jsonb NOT NULL,
	"cc" jsonb NOT NULL,
	"subject" text NOT NULL,
	"text" text NOT NULL,
	"files" jsonb DEFAULT '[]'::jsonb NOT NULL,
	"answers" text,
	"references" jsonb NOT NULL,
	"created_at" timestamp with time zone NOT NULL,
	"state" text NOT NULL,
	"tries" integer NOT NULL,
	"next_try" timestamp with time zone NOT NULL,
	"said" text,
	"handed_over" boolean DEFAULT false NOT NULL,
	"maybe_twice" boolean NOT NULL,
	"sent_at" timestamp with time zone,
	"letter_id" uuid,
	CONSTRAINT "outgoing_message_id_unique" UNIQUE("message_id")
);
--> statement-breakpoint
ALTER TABLE "arrival" ADD COLUMN "envelope" jsonb;--> statement-breakpoint
ALTER TABLE "arrival" ADD COLUMN "remote" jsonb;--> statement-breakpoint
ALTER TABLE "conversation" ADD COLUMN "merged_into" uuid;--> statement-breakpoint
ALTER TABLE "conversation" ADD COLUMN "is_shared" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "conversation" ADD COLUMN "offered_task_id" uuid;--> statement-breakpoint
ALTER TABLE "correspondent" ADD COLUMN "away_until" date;--> statement-breakpoint
ALTER TABLE "correspondent" ADD COLUMN "away_letter_id" uuid;--> statement-breakpoint
ALTER TABLE "letter" ADD COLUMN "passed_on" jsonb;--> statement-breakpoint
ALTER TABLE "letter" ADD COLUMN "bounce" jsonb;--> statement-breakpoint
ALTER TABLE "letter" ADD COLUMN "sealed" text;--> statement-breakpoint
ALTER TABLE "task" ADD COLUMN "may_write" text DEFAULT 'people we know' NOT NULL;--> statement-breakpoint
ALTER TABLE "workstream" ADD COLUMN "may_write" text DEFAULT 'the team' NOT NULL;--> statement-breakpoint
ALTER TABLE "letter_copy" ADD CONSTRAINT "letter_copy_letter_id_letter_id_fk" FOREIGN KEY ("letter_id") REFERENCES "public"."letter"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "draft" ADD CONSTRAINT "draft_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "draft_file" ADD CONSTRAINT "draft_file_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "mailbox" ADD CONSTRAINT "mailbox_way_in_id_way_in_id_fk" FOREIGN KEY ("way_in_id") REFERENCES "public"."way_in"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "mailbox" ADD CONSTRAINT "mailbox_made_by_person_id_fk" FOREIGN KEY ("made_by") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "mailbox_folder" ADD CONSTRAINT "mailbox_folder_mailbox_id_mailbox_id_fk" FOREIGN KEY ("mailbox_id") REFERENCES "public"."mailbox"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "outgoing" ADD CONSTRAINT "outgoing_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "outgoing" ADD CONSTRAINT "outgoing_conversation_id_conversation_id_fk" FOREIGN KEY ("conversation_id") REFERENCES "public"."conversation"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "outgoing" ADD CONSTRAINT "outgoing_task_id_task_id_fk" FOREIGN KEY ("task_id") REFERENCES "public"."task"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "outgoing" ADD CONSTRAINT "outgoing_letter_id_letter_id_fk" FOREIGN KEY ("letter_id") REFERENCES "public"."letter"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "outgoing_next" ON "outgoing" USING btree ("state","next_try");--> statement-breakpoint
CREATE INDEX "outgoing_conversation" ON "outgoing" USING btree ("conversation_id");--> statement-breakpoint
CREATE INDEX "outgoing_person" ON "outgoing" USING btree ("person_id","created_at");--> statement-breakpoint
ALTER TABLE "conversation" ADD CONSTRAINT "conversation_merged_into_conversation_id_fk" FOREIGN KEY ("merged_into") REFERENCES "public"."conversation"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "conversation" ADD CONSTRAINT "conversation_offered_task_id_task_id_fk" FOREIGN KEY ("offered_task_id") REFERENCES "public"."task"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "conversation_subject" ON "conversation" USING btree (lower(left(subject, 200)),"last_at");--> statement-breakpoint
CREATE INDEX "letter_message" ON "letter" USING btree ("message_id");--> statement-breakpoint
CREATE INDEX "letter_recipients" ON "letter" USING gin (("to" || "cc") jsonb_path_ops);
