CREATE TABLE "haste_brought" (
	"id" uuid PRIMARY KEY NOT NULL,
	"writer" text NOT NULL,
	"haste" text NOT NULL,
	"days" integer,
	"kept" integer NOT NULL,
	"is_unlearnt" boolean DEFAULT false NOT NULL,
	"brought_at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
ALTER TABLE "slip" ADD COLUMN "estimate" integer;--> statement-breakpoint
ALTER TABLE "slip" ADD COLUMN "haste" text;--> statement-breakpoint
ALTER TABLE "slip" ADD COLUMN "is_haste_unlearnt" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "task" ADD COLUMN "estimate" integer;--> statement-breakpoint
CREATE UNIQUE INDEX "haste_brought_once" ON "haste_brought" USING btree ("writer","haste",coalesce(days, -1));--> statement-breakpoint
CREATE INDEX "slip_haste" ON "slip" USING btree ("haste") WHERE haste is not null;