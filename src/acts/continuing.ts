import { sql } from "drizzle-orm";
import { baseSubject } from "../core/letters/base-subject";
import {
  DAY_MS,
  isDroppedAnswer,
  type JoinableConversation,
  type JoinableLetter,
  LONGEST_PAUSE_DAYS,
  mayContinue,
} from "../core/letters/conversations";
import type { Letter } from "../core/letters/letter";
import type { Database } from "../data/engine/database";
import { type InstantText, millis, rowsOf } from "../data/rows";

/** Conversations looked at for letters whose program dropped the references. */
const MOST_CONTINUING = 500;

/**
 * Whether a letter of the conversation `c` came by a way in that is everybody's. Not asked with `exists`: the engine would
 * then go through all letters there are, for however few conversations.
 */
export const IS_SHARED = sql`coalesce((select true from letter sl join arrival sa on sa.letter_id = sl.id join way_in sw on sw.id = sa.way_in_id where sl.conversation_id = c.id and sw.owner_id is null limit 1), false)`;

/** A conversation that a letter without references may continue, by the same subject. */
export interface Continuing extends JoinableConversation {
  readonly id: string;
  readonly subject: string;
  readonly projectId: string | null;
  readonly place: "sort" | "dealt with" | "put by";
  readonly isShared: boolean;
}

export function asJoinable(l: Letter): JoinableLetter {
  return { ...l, key: l.messageId ?? "" };
}

/** Conversations that letters whose program dropped the references may continue, the latest last. */
export async function continuingFor(db: Database, letters: readonly Letter[], now: number): Promise<Continuing[]> {
  const answers = letters.filter((l) => isDroppedAnswer(asJoinable(l)));
  const subjects = [...new Set(answers.map((l) => baseSubject(l.subject).toLowerCase().slice(0, 200)))];
  if (subjects.length === 0) return [];
  const oldest = Math.min(...answers.map((l) => l.sentAt ?? now)) - LONGEST_PAUSE_DAYS * DAY_MS;
  const rows = await rowsOf<
    Omit<Continuing, "baseSubject" | "lastAt" | "people"> & { lastAt: InstantText; people: string[] | null }
  >(
    db,
    sql`select c.id, c.subject, c.project_id as "projectId", c.place, c.last_at as "lastAt", ${IS_SHARED} as "isShared",
        (select jsonb_agg(distinct who.address) from letter l cross join lateral (
          select l.from_address as address union all select jsonb_array_elements(l."to" || l.cc)->>'address') who where l.conversation_id = c.id) as people
      from conversation c where lower(left(c.subject, 200)) in (select jsonb_array_elements_text(${JSON.stringify(subjects)}::jsonb))
        and c.last_at > ${new Date(oldest)} order by c.last_at limit ${MOST_CONTINUING}`,
  );
  return rows.map(({ people, lastAt, ...row }) => ({
    ...row,
    baseSubject: row.subject,
    lastAt: millis(lastAt),
    people: new Set(people ?? []),
  }));
}

/** Which conversation each letter without references continues, by its own Message-ID; letters that have none are left out. */
export async function continuedBy(
  db: Database,
  letters: readonly Letter[],
  now: number,
): Promise<ReadonlyMap<string, string>> {
  const continuing = await continuingFor(db, letters, now);
  return new Map(
    letters.flatMap((l) => {
      const one = continuing.findLast((each) => mayContinue(asJoinable(l), each));
      return one && l.messageId ? [[l.messageId, one.id] as const] : [];
    }),
  );
}
