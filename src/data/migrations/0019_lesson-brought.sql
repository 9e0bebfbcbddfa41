CREATE TABLE "lesson_brought" (
	"id" uuid PRIMARY KEY NOT NULL,
	"writer" text NOT NULL,
	"rule" text,
	"phrase" text,
	"brushed_off" integer NOT NULL,
	"kept" integer NOT NULL,
	"is_marked" boolean NOT NULL,
	"is_unlearnt" boolean DEFAULT false NOT NULL,
	"brought_at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX "lesson_brought_once" ON "lesson_brought" USING btree ("writer",coalesce(rule, ''),coalesce(phrase, ''),"is_marked");