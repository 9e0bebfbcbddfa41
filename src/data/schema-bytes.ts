import { customType, pgTable, text, uuid } from "drizzle-orm/pg-core";
import { letter } from "./schema";

const bytes = customType<{ data: Buffer }>({ dataType: () => "bytea" });

/** The raw message, byte for byte. Apart from `letter`, so that no list ever reads it by accident. */
export const rawLetter = pgTable("raw_letter", {
  letterId: uuid("letter_id")
    .primaryKey()
    .references(() => letter.id),
  bytes: bytes("bytes").notNull(),
});

/**
 * Another copy of a letter: the same message with other bytes, since every server on its way adds lines of its own. Kept as
 * it came; shown once.
 */
export const letterCopy = pgTable("letter_copy", {
  sha256: text("sha256").primaryKey(),
  letterId: uuid("letter_id")
    .notNull()
    .references(() => letter.id),
  bytes: bytes("bytes").notNull(),
});
