CREATE TABLE "arrival" (
	"letter_id" uuid NOT NULL,
	"way_in_id" uuid NOT NULL,
	"at" timestamp with time zone NOT NULL,
	CONSTRAINT "arrival_letter_id_way_in_id_pk" PRIMARY KEY("letter_id","way_in_id")
);
--> statement-breakpoint
CREATE TABLE "comment" (
	"id" uuid PRIMARY KEY NOT NULL,
	"task_id" uuid NOT NULL,
	"person_id" uuid NOT NULL,
	"text" text NOT NULL,
	"at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "conversation" (
	"id" uuid PRIMARY KEY NOT NULL,
	"subject" text NOT NULL,
	"project_id" uuid,
	"place" text NOT NULL,
	"outcome" text,
	"dealt_at" timestamp with time zone,
	"dealt_by" uuid,
	"last_at" timestamp with time zone NOT NULL,
	"came_at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "correspondent" (
	"id" uuid PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"address" text NOT NULL,
	"firm_id" uuid,
	CONSTRAINT "correspondent_address_unique" UNIQUE("address")
);
--> statement-breakpoint
CREATE TABLE "firm" (
	"id" uuid PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"kind" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "history" (
	"seq" bigserial PRIMARY KEY NOT NULL,
	"id" uuid NOT NULL,
	"act" text NOT NULL,
	"person_id" uuid NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"changes" jsonb NOT NULL,
	"about" jsonb NOT NULL,
	"undoes" bigint,
	"key" text,
	CONSTRAINT "history_id_unique" UNIQUE("id"),
	CONSTRAINT "history_key_unique" UNIQUE("key")
);
--> statement-breakpoint
CREATE TABLE "intake" (
	"id" integer PRIMARY KEY NOT NULL,
	"count" integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE "letter" (
	"id" uuid PRIMARY KEY NOT NULL,
	"sha256" text NOT NULL,
	"size" integer NOT NULL,
	"conversation_id" uuid NOT NULL,
	"message_id" text,
	"sent_at" timestamp with time zone NOT NULL,
	"is_dated" boolean NOT NULL,
	"offset" text NOT NULL,
	"received_at" timestamp with time zone NOT NULL,
	"from_name" text NOT NULL,
	"from_address" text NOT NULL,
	"to" jsonb NOT NULL,
	"cc" jsonb NOT NULL,
	"subject" text NOT NULL,
	"text" text NOT NULL,
	"parts" jsonb NOT NULL,
	"files" jsonb NOT NULL,
	"has_html" boolean NOT NULL,
	"automatic" text,
	"unreadable" text,
	"search" "tsvector",
	CONSTRAINT "letter_sha256_unique" UNIQUE("sha256")
);
--> statement-breakpoint
CREATE TABLE "organisation" (
	"id" uuid PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"zone" text NOT NULL,
	"working_days" jsonb NOT NULL,
	"holidays" jsonb NOT NULL,
	"figures" text DEFAULT 'dmy' NOT NULL,
	"is_demo" boolean DEFAULT false NOT NULL,
	"created_at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "person" (
	"id" uuid PRIMARY KEY NOT NULL,
	"user_id" text,
	"name" text NOT NULL,
	"address" text NOT NULL,
	"initials" text NOT NULL,
	"work" text DEFAULT '' NOT NULL,
	"nicknames" jsonb DEFAULT '[]'::jsonb NOT NULL,
	"is_lead" boolean DEFAULT false NOT NULL,
	"zone" text,
	"round_began" timestamp with time zone,
	CONSTRAINT "person_address_unique" UNIQUE("address")
);
--> statement-breakpoint
CREATE TABLE "project" (
	"id" uuid PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"firm_id" uuid,
	"is_private" boolean DEFAULT false NOT NULL,
	"words" jsonb DEFAULT '[]'::jsonb NOT NULL
);
--> statement-breakpoint
CREATE TABLE "project_member" (
	"project_id" uuid NOT NULL,
	"person_id" uuid NOT NULL,
	CONSTRAINT "project_member_project_id_person_id_pk" PRIMARY KEY("project_id","person_id")
);
--> statement-breakpoint
CREATE TABLE "raw_letter" (
	"letter_id" uuid PRIMARY KEY NOT NULL,
	"bytes" "bytea" NOT NULL
);
--> statement-breakpoint
CREATE TABLE "reference_counter" (
	"id" integer PRIMARY KEY NOT NULL,
	"last" integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE "slip" (
	"id" uuid PRIMARY KEY NOT NULL,
	"conversation_id" uuid NOT NULL,
	"letter_id" uuid NOT NULL,
	"kind" text NOT NULL,
	"start" integer,
	"end" integer,
	"title" text NOT NULL,
	"owner_id" uuid,
	"theirs_id" uuid,
	"due_day" date,
	"due_time" text,
	"due_zone" text,
	"other_days" jsonb NOT NULL,
	"priority" text NOT NULL,
	"project_id" uuid,
	"workstream_id" uuid,
	"state" text NOT NULL,
	"task_id" uuid,
	"made_by" text NOT NULL,
	"reason" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "task" (
	"id" uuid PRIMARY KEY NOT NULL,
	"fruit" text NOT NULL,
	"number" integer NOT NULL,
	"title" text NOT NULL,
	"side" text NOT NULL,
	"owner_id" uuid,
	"theirs_id" uuid,
	"due_day" date,
	"due_time" text,
	"due_zone" text,
	"priority" text NOT NULL,
	"state" text NOT NULL,
	"project_id" uuid,
	"workstream_id" uuid,
	"conversation_id" uuid,
	"letter_id" uuid,
	"start" integer,
	"end" integer,
	"kind" text,
	"created_at" timestamp with time zone NOT NULL,
	"created_by" uuid NOT NULL,
	"changed_at" timestamp with time zone NOT NULL,
	"finished_at" timestamp with time zone,
	"search" "tsvector",
	CONSTRAINT "task_number_unique" UNIQUE("number"),
	CONSTRAINT "task_side" CHECK (("task"."side" = 'ours' and "task"."theirs_id" is null) or "task"."side" = 'theirs')
);
--> statement-breakpoint
CREATE TABLE "thread" (
	"message_id" text PRIMARY KEY NOT NULL,
	"conversation_id" uuid NOT NULL
);
--> statement-breakpoint
CREATE TABLE "way_in" (
	"id" uuid PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"kind" text NOT NULL,
	"owner_id" uuid
);
--> statement-breakpoint
CREATE TABLE "workstream" (
	"id" uuid PRIMARY KEY NOT NULL,
	"project_id" uuid NOT NULL,
	"name" text NOT NULL,
	"place" integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE "account" (
	"id" text PRIMARY KEY NOT NULL,
	"account_id" text NOT NULL,
	"provider_id" text NOT NULL,
	"user_id" text NOT NULL,
	"access_token" text,
	"refresh_token" text,
	"id_token" text,
	"access_token_expires_at" timestamp with time zone,
	"refresh_token_expires_at" timestamp with time zone,
	"scope" text,
	"password" text,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"updated_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "session" (
	"id" text PRIMARY KEY NOT NULL,
	"expires_at" timestamp with time zone NOT NULL,
	"token" text NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"updated_at" timestamp with time zone DEFAULT now() NOT NULL,
	"ip_address" text,
	"user_agent" text,
	"user_id" text NOT NULL,
	CONSTRAINT "session_token_unique" UNIQUE("token")
);
--> statement-breakpoint
CREATE TABLE "user" (
	"id" text PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"email" text NOT NULL,
	"email_verified" boolean DEFAULT false NOT NULL,
	"image" text,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"updated_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "user_email_unique" UNIQUE("email")
);
--> statement-breakpoint
CREATE TABLE "verification" (
	"id" text PRIMARY KEY NOT NULL,
	"identifier" text NOT NULL,
	"value" text NOT NULL,
	"expires_at" timestamp with time zone NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"updated_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
ALTER TABLE "arrival" ADD CONSTRAINT "arrival_letter_id_letter_id_fk" FOREIGN KEY ("letter_id") REFERENCES "public"."letter"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "arrival" ADD CONSTRAINT "arrival_way_in_id_way_in_id_fk" FOREIGN KEY ("way_in_id") REFERENCES "public"."way_in"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "comment" ADD CONSTRAINT "comment_task_id_task_id_fk" FOREIGN KEY ("task_id") REFERENCES "public"."task"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "comment" ADD CONSTRAINT "comment_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "conversation" ADD CONSTRAINT "conversation_project_id_project_id_fk" FOREIGN KEY ("project_id") REFERENCES "public"."project"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "conversation" ADD CONSTRAINT "conversation_dealt_by_person_id_fk" FOREIGN KEY ("dealt_by") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "correspondent" ADD CONSTRAINT "correspondent_firm_id_firm_id_fk" FOREIGN KEY ("firm_id") REFERENCES "public"."firm"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "history" ADD CONSTRAINT "history_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "letter" ADD CONSTRAINT "letter_conversation_id_conversation_id_fk" FOREIGN KEY ("conversation_id") REFERENCES "public"."conversation"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "person" ADD CONSTRAINT "person_user_id_user_id_fk" FOREIGN KEY ("user_id") REFERENCES "public"."user"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "project" ADD CONSTRAINT "project_firm_id_firm_id_fk" FOREIGN KEY ("firm_id") REFERENCES "public"."firm"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "project_member" ADD CONSTRAINT "project_member_project_id_project_id_fk" FOREIGN KEY ("project_id") REFERENCES "public"."project"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "project_member" ADD CONSTRAINT "project_member_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "raw_letter" ADD CONSTRAINT "raw_letter_letter_id_letter_id_fk" FOREIGN KEY ("letter_id") REFERENCES "public"."letter"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "slip" ADD CONSTRAINT "slip_conversation_id_conversation_id_fk" FOREIGN KEY ("conversation_id") REFERENCES "public"."conversation"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "slip" ADD CONSTRAINT "slip_letter_id_letter_id_fk" FOREIGN KEY ("letter_id") REFERENCES "public"."letter"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "slip" ADD CONSTRAINT "slip_owner_id_person_id_fk" FOREIGN KEY ("owner_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "slip" ADD CONSTRAINT "slip_theirs_id_correspondent_id_fk" FOREIGN KEY ("theirs_id") REFERENCES "public"."correspondent"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "slip" ADD CONSTRAINT "slip_project_id_project_id_fk" FOREIGN KEY ("project_id") REFERENCES "public"."project"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "slip" ADD CONSTRAINT "slip_workstream_id_workstream_id_fk" FOREIGN KEY ("workstream_id") REFERENCES "public"."workstream"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "slip" ADD CONSTRAINT "slip_task_id_task_id_fk" FOREIGN KEY ("task_id") REFERENCES "public"."task"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "task" ADD CONSTRAINT "task_owner_id_person_id_fk" FOREIGN KEY ("owner_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "task" ADD CONSTRAINT "task_theirs_id_correspondent_id_fk" FOREIGN KEY ("theirs_id") REFERENCES "public"."correspondent"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "task" ADD CONSTRAINT "task_project_id_project_id_fk" FOREIGN KEY ("project_id") REFERENCES "public"."project"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "task" ADD CONSTRAINT "task_workstream_id_workstream_id_fk" FOREIGN KEY ("workstream_id") REFERENCES "public"."workstream"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "task" ADD CONSTRAINT "task_conversation_id_conversation_id_fk" FOREIGN KEY ("conversation_id") REFERENCES "public"."conversation"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "task" ADD CONSTRAINT "task_letter_id_letter_id_fk" FOREIGN KEY ("letter_id") REFERENCES "public"."letter"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "task" ADD CONSTRAINT "task_created_by_person_id_fk" FOREIGN KEY ("created_by") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "thread" ADD CONSTRAINT "thread_conversation_id_conversation_id_fk" FOREIGN KEY ("conversation_id") REFERENCES "public"."conversation"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "way_in" ADD CONSTRAINT "way_in_owner_id_person_id_fk" FOREIGN KEY ("owner_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "workstream" ADD CONSTRAINT "workstream_project_id_project_id_fk" FOREIGN KEY ("project_id") REFERENCES "public"."project"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "account" ADD CONSTRAINT "account_user_id_user_id_fk" FOREIGN KEY ("user_id") REFERENCES "public"."user"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "session" ADD CONSTRAINT "session_user_id_user_id_fk" FOREIGN KEY ("user_id") REFERENCES "public"."user"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "arrival_way_in" ON "arrival" USING btree ("way_in_id");--> statement-breakpoint
CREATE INDEX "comment_task" ON "comment" USING btree ("task_id","at");--> statement-breakpoint
CREATE INDEX "conversation_sort" ON "conversation" USING btree ("place","last_at");--> statement-breakpoint
CREATE INDEX "conversation_dealt" ON "conversation" USING btree ("dealt_at");--> statement-breakpoint
CREATE INDEX "history_about" ON "history" USING gin ("about");--> statement-breakpoint
CREATE INDEX "history_person" ON "history" USING btree ("person_id","seq");--> statement-breakpoint
CREATE INDEX "history_undoes" ON "history" USING btree ("undoes");--> statement-breakpoint
CREATE INDEX "letter_conversation" ON "letter" USING btree ("conversation_id","sent_at");--> statement-breakpoint
CREATE INDEX "letter_search" ON "letter" USING gin ("search");--> statement-breakpoint
CREATE INDEX "letter_received" ON "letter" USING btree ("received_at");--> statement-breakpoint
CREATE INDEX "slip_conversation" ON "slip" USING btree ("conversation_id");--> statement-breakpoint
CREATE INDEX "slip_letter" ON "slip" USING btree ("letter_id");--> statement-breakpoint
CREATE INDEX "task_open_due" ON "task" USING btree (coalesce(due_day, '9999-12-31'::date),coalesce(due_time, '99:99'),"number") WHERE state in ('to begin', 'under way');--> statement-breakpoint
CREATE INDEX "task_owner_open_due" ON "task" USING btree ("owner_id",coalesce(due_day, '9999-12-31'::date),coalesce(due_time, '99:99'),"number") WHERE state in ('to begin', 'under way');--> statement-breakpoint
CREATE INDEX "task_finished" ON "task" USING btree ("finished_at");--> statement-breakpoint
CREATE INDEX "task_conversation" ON "task" USING btree ("conversation_id");--> statement-breakpoint
CREATE INDEX "task_project" ON "task" USING btree ("project_id");--> statement-breakpoint
CREATE INDEX "task_search" ON "task" USING gin ("search");--> statement-breakpoint
CREATE UNIQUE INDEX "way_in_name" ON "way_in" USING btree ("name");