ALTER TABLE "slip" ADD COLUMN "rule" text;--> statement-breakpoint
ALTER TABLE "slip" ADD COLUMN "phrase" text;--> statement-breakpoint
ALTER TABLE "slip" ADD COLUMN "is_unlearnt" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "slip" ADD COLUMN "confidence" real DEFAULT 1 NOT NULL;--> statement-breakpoint
CREATE INDEX "slip_phrase" ON "slip" USING btree ("phrase");