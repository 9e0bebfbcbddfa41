-- Texts, their parts and their words are written once and read often: packing them took a tenth of taking letters in. The raw bytes stay packed.
ALTER TABLE "letter" ALTER COLUMN "text" SET STORAGE EXTERNAL;--> statement-breakpoint
ALTER TABLE "letter" ALTER COLUMN "parts" SET STORAGE EXTERNAL;--> statement-breakpoint
ALTER TABLE "letter" ALTER COLUMN "search" SET STORAGE EXTERNAL;
