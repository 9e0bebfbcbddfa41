CREATE TABLE "example_brought" (
	"id" uuid PRIMARY KEY NOT NULL,
	"writer" text NOT NULL,
	"phrase" text NOT NULL,
	"read" text,
	"rule" text,
	"sense" text NOT NULL,
	"times" integer NOT NULL,
	"is_unlearnt" boolean DEFAULT false NOT NULL,
	"brought_at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "priority_brought" (
	"id" uuid PRIMARY KEY NOT NULL,
	"writer" text NOT NULL,
	"read" text NOT NULL,
	"kept_as" text NOT NULL,
	"kept" integer NOT NULL,
	"is_unlearnt" boolean DEFAULT false NOT NULL,
	"brought_at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
ALTER TABLE "slip" ADD COLUMN "set_aside" text;--> statement-breakpoint
ALTER TABLE "slip" ADD COLUMN "read_kind" text;--> statement-breakpoint
ALTER TABLE "slip" ADD COLUMN "read_priority" text;--> statement-breakpoint
ALTER TABLE "slip" ADD COLUMN "is_wording_unlearnt" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "slip" ADD COLUMN "is_priority_unlearnt" boolean DEFAULT false NOT NULL;--> statement-breakpoint
CREATE UNIQUE INDEX "example_brought_once" ON "example_brought" USING btree ("writer","phrase",coalesce(read, ''),coalesce(rule, ''),"sense");--> statement-breakpoint
CREATE UNIQUE INDEX "priority_brought_once" ON "priority_brought" USING btree ("writer","read","kept_as");--> statement-breakpoint
CREATE INDEX "slip_example" ON "slip" USING btree ("id") WHERE state <> 'proposed' and phrase is not null;--> statement-breakpoint
UPDATE "slip" SET "read_kind" = "kind", "read_priority" = "priority" WHERE "made_by" = 'reader';--> statement-breakpoint
UPDATE "slip" s SET "set_aside" = c."outcome" FROM "conversation" c WHERE c."id" = s."conversation_id" AND s."state" = 'brushed off' AND c."outcome" IN ('nothing to do', 'answered', 'joined');
