import { sql } from "drizzle-orm";
import { titleOfPassage } from "../core/reading/passage-title";
import type { SlipKind } from "../core/reading/slip";
import { figuresOf } from "../core/time/figures-order";
import type { Database } from "../data/engine/database";
import { type InstantText, millis, rowsOf } from "../data/rows";

interface PassageRow {
  text: string;
  start: number;
  end: number;
  kind: SlipKind;
  subject: string;
  fromName: string;
  fromAddress: string;
  isOurs: boolean;
  to: { name: string; address: string }[];
  sentAt: InstantText;
  offset: string;
  figures: "dmy" | "mdy" | null;
}

/**
 * The titles that the reader gives the passage of a slip: as the kind that it has now, and as another. Null for a slip that was
 * typed, which has no passage.
 */
export async function titlesFor(
  db: Database,
  slipId: string,
  to: SlipKind,
): Promise<{ taken: string; setRight: string } | null> {
  const [row] = await rowsOf<PassageRow>(
    db,
    sql`select l.text, s.start, s."end", s.kind, l.subject, l.from_name as "fromName", l.from_address as "fromAddress", l."to", l.sent_at as "sentAt", l."offset",
      exists (select 1 from person p where p.address = l.from_address) as "isOurs", (select figures from organisation limit 1) as figures
      from slip s join letter l on l.id = s.letter_id where s.id = ${slipId} and s.start is not null`,
  );
  if (!row) return null;
  const { fromName, fromAddress, sentAt, offset } = row;
  const passage = {
    text: row.text.slice(row.start, row.end),
    subject: row.subject,
    writer: { id: fromAddress, name: fromName || fromAddress, address: fromAddress },
    isWriterOurs: row.isOurs,
    to: row.to.map(({ name, address }) => name || address),
    sent: { at: millis(sentAt), zone: offset },
    figures: figuresOf(offset, row.figures ?? "dmy"),
  };
  return { taken: titleOfPassage(row.kind, passage), setRight: titleOfPassage(to, passage) };
}
