import type { Database } from "../data/engine/database";
import { newId } from "../data/ids";
import { outgoing } from "../data/schema-post";

/** A letter of the house itself to a member. */
export interface HouseLetter {
  readonly to: { readonly id: string; readonly name: string; readonly address: string };
  readonly subject: string;
  readonly text: string;
  /** The organisation, and our domain for mail. */
  readonly from: { readonly name: string; readonly domain: string };
  /** The task that it is about: letters about one task hang together, and are answered to its address. */
  readonly task: { readonly id: string; readonly replyTo: string } | null;
  readonly calendar: string | null;
}

/**
 * Puts a letter of the house itself into the outbox, marked as automatic (RFC 3834).
 * @param now milliseconds since 1970 UTC
 */
export async function writeHouseLetter(db: Database, letter: HouseLetter, now: number): Promise<void> {
  const { to, from, task } = letter;
  const root = task ? `task-${task.id}@${from.domain}` : null;
  await db.insert(outgoing).values({
    id: newId(now),
    messageId: `${newId(now)}@${from.domain}`,
    personId: to.id,
    conversationId: null,
    taskId: task?.id ?? null,
    fromName: from.name,
    fromAddress: `notices@${from.domain}`,
    to: [{ name: to.name, address: to.address }],
    cc: [],
    subject: letter.subject,
    text: letter.text,
    answers: root,
    references: root ? [root] : [],
    createdAt: new Date(now),
    state: "waiting",
    tries: 0,
    nextTry: new Date(now),
    maybeTwice: false,
    isAutomatic: true,
    replyTo: task?.replyTo ?? null,
    calendar: letter.calendar,
  });
}
