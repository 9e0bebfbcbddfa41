import { sql } from "drizzle-orm";
import { initialsOf } from "../../core/views/initials";
import type { LetterView } from "../../core/views/views";
import type { Database } from "../engine/database";
import { maySeeConversation, type Viewer } from "../need-to-know";
import { type InstantText, millis, rowsOf } from "../rows";

type LetterRow = Omit<LetterView, "from" | "sentAt" | "receivedAt"> & {
  fromName: string;
  fromAddress: string;
  isTeam: boolean;
  firm: string | null;
  sentAt: InstantText;
  receivedAt: InstantText;
};

const COLUMNS = sql`l.id, l.conversation_id as "conversationId", l.subject, l.from_name as "fromName", l.from_address as "fromAddress",
  exists (select 1 from person p where p.address = l.from_address) as "isTeam",
  (select f.name from correspondent k join firm f on f.id = k.firm_id where k.address = l.from_address) as firm,
  l."to", l.cc, l.sent_at as "sentAt", l.is_dated as "isDated", l."offset", l.received_at as "receivedAt", l.text, l.parts, l.files, l.has_html as "hasHtml",
  l.automatic, l.passed_on as "passedOn", l.sealed, l.unreadable, l.size, l.sha256,
  coalesce((select jsonb_agg(w.name order by a.at) from arrival a join way_in w on w.id = a.way_in_id where a.letter_id = l.id), '[]'::jsonb) as "waysIn"`;

function viewOf(row: LetterRow): LetterView {
  const { fromName, fromAddress, isTeam, firm, sentAt, receivedAt, ...rest } = row;
  const name = fromName || fromAddress || "Nobody named";
  return {
    ...rest,
    from: { name, address: fromAddress, initials: initialsOf(name), isTeam, firm },
    sentAt: millis(sentAt),
    receivedAt: millis(receivedAt),
  };
}

/** Letters of a conversation, oldest first. The caller has asked whether the conversation may be seen. */
export async function lettersOf(db: Database, conversationId: string): Promise<LetterView[]> {
  const rows = await rowsOf<LetterRow>(
    db,
    sql`select ${COLUMNS} from letter l where l.conversation_id = ${conversationId} order by l.sent_at, l.id limit 200`,
  );
  return rows.map(viewOf);
}

/** One letter, or null where it is not here or not for this viewer. */
export async function letterFor(db: Database, viewer: Viewer, id: string): Promise<LetterView | null> {
  const [row] = await rowsOf<LetterRow>(
    db,
    sql`select ${COLUMNS} from letter l join conversation c on c.id = l.conversation_id where l.id = ${id} and ${maySeeConversation(viewer)}`,
  );
  return row ? viewOf(row) : null;
}

/** The raw message, or null where it is not here or not for this viewer. */
export async function rawLetterFor(
  db: Database,
  viewer: Viewer,
  id: string,
): Promise<{ bytes: Buffer; subject: string; sentAt: number } | null> {
  const [row] = await rowsOf<{ bytes: Buffer; subject: string; sentAt: InstantText }>(
    db,
    sql`select r.bytes, l.subject, l.sent_at as "sentAt" from raw_letter r join letter l on l.id = r.letter_id join conversation c on c.id = l.conversation_id where l.id = ${id} and ${maySeeConversation(viewer)}`,
  );
  return row ? { ...row, sentAt: millis(row.sentAt) } : null;
}

/** What `jam letters` lists of each letter: for whoever has the machine, so without a viewer. */
export interface KeptLetter {
  readonly sha256: string;
  readonly messageId: string | null;
  readonly received: string;
  /** The first way in it came through; `waysIn` has all of them. */
  readonly wayIn: string;
  readonly waysIn: readonly string[];
  readonly place: string;
  readonly size: number;
  readonly subject: string;
  readonly unreadable: string | null;
}

/** Every kept letter in the order of its coming, in pages, so that a large house needs no large memory. */
export async function* keptLetters(db: Database): AsyncGenerator<KeptLetter> {
  const pageSize = 500;
  let after = "00000000-0000-0000-0000-000000000000";
  for (;;) {
    const rows = await rowsOf<KeptLetter & { id: string; receivedAt: InstantText }>(
      db,
      sql`select l.id, l.sha256, l.message_id as "messageId", l.received_at as "receivedAt", l.size, l.subject, l.unreadable,
        (select jsonb_agg(w.name order by a.at) from arrival a join way_in w on w.id = a.way_in_id where a.letter_id = l.id) as "waysIn",
        case when c.place = 'sort' then 'Sort' else coalesce(c.outcome, 'dealt with') end as place
        from letter l join conversation c on c.id = l.conversation_id where l.id > ${after} order by l.id limit ${pageSize}`,
    );
    for (const { id, receivedAt, ...row } of rows) {
      after = id;
      yield { ...row, wayIn: row.waysIn[0] ?? "", received: new Date(millis(receivedAt)).toISOString() };
    }
    if (rows.length < pageSize) return;
  }
}
