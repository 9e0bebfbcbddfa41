import { sql } from "drizzle-orm";
import { perform } from "../acts/perform";
import { BY_PROGRAM, readItipReply, sequenceOf } from "../core/exchange/itip";
import { readMime } from "../core/letters/mime";
import type { Chain } from "../core/tasks/chain";
import { dayOf } from "../core/time/moment";
import { sayDay } from "../core/time/say-day";
import type { Database } from "../data/engine/database";
import { type InstantText, millis, rowsOf } from "../data/rows";

/** The calendar objects of a letter, as text. */
async function calendarParts(db: Database, letterId: string): Promise<string[]> {
  const [raw] = await rowsOf<{ bytes: Buffer }>(db, sql`select bytes from raw_letter where letter_id = ${letterId}`);
  if (!raw) return [];
  const mail = await readMime(raw.bytes);
  return mail.attachments
    .filter((part) => part.mimeType === "text/calendar" || part.mimeType === "application/ics")
    .map(({ content }) =>
      typeof content === "string" ? content : new TextDecoder().decode(new Uint8Array(content as ArrayBuffer)),
    );
}

/** The work of a program's letter is done: it need not be sorted by anybody. */
async function fileAway(db: Database, letterId: string, now: number): Promise<void> {
  await db.execute(
    sql`update conversation set place = 'dealt with', outcome = 'filed by itself', dealt_at = ${new Date(now)} where place = 'sort' and id = (select conversation_id from letter where id = ${letterId})`,
  );
}

/**
 * Does what a calendar program answers to a hand-over (RFC 5546 section 3.4), in the name of the owner: accepted, declined,
 * delegated to a member, under way and how far, completed; another date that it proposes is a question to who gave the task. Only of the owner themselves, by a sender that is proved, and to the hand-over
 * as it stands; everything else is a letter like others.
 */
export async function followCalendarAnswer(
  db: Database,
  letterId: string,
  taskNumber: number,
  isProved: boolean,
  now: number,
): Promise<void> {
  if (!isProved) return;
  const [task] = await rowsOf<{
    id: string;
    ownerId: string | null;
    address: string | null;
    chain: Chain;
    createdAt: InstantText;
    from: string;
  }>(
    db,
    sql`select t.id, t.owner_id as "ownerId", p.address, t.chain, t.created_at as "createdAt", l.from_address as "from"
      from task t left join person p on p.id = t.owner_id join letter l on l.id = ${letterId} where t.number = ${taskNumber} and l.automatic = 'calendar'`,
  );
  if (!task?.ownerId || task.address !== task.from) return;
  const reply = (await calendarParts(db, letterId)).map(readItipReply).find((one) => one !== null);
  if (!reply || reply.uid !== task.id || reply.attendee !== task.address) return;
  // An answer to a hand-over that was followed by another one is no answer to that.
  if (reply.sequence < sequenceOf(task.chain, millis(task.createdAt))) return;
  const actor = { personId: task.ownerId, now };
  const taskId = task.id;
  const act = async (name: string, input: object) => {
    const done = await perform(db, actor, name, { taskId, ...input }, `${BY_PROGRAM}${letterId}:${name}`);
    if (done.ok) await fileAway(db, letterId, now);
  };
  const state = (to: string) => act("change task", { change: { field: "state", to }, was: null });
  if (reply.method === "REFRESH") {
    // As the hand-over was mailed, so it is once more, seen before or not: with the next look for letters.
    await db.execute(
      sql`update notice set mailed_at = null, seen_at = null, answer_key = null where id = (select id from notice where task_id = ${taskId} and person_id = ${task.ownerId} and what = 'given' order by at desc limit 1)`,
    );
    return fileAway(db, letterId, now);
  }
  if (reply.method === "COUNTER") {
    const { proposed } = reply;
    const today = dayOf({ at: now, zone: "UTC" });
    const when = proposed
      ? `Could it be due ${sayDay(proposed.day, today)}${proposed.time ? `, ${proposed.time} UTC` : ""} instead?`
      : "";
    const question = [when, reply.comment].filter((text) => text !== "").join(" ");
    return void (question && (await act("ask back", { question })));
  }
  if (reply.percent !== null && (reply.answer === "accepted" || reply.answer === "in-process"))
    await act("how far", { percent: reply.percent });
  switch (reply.answer) {
    case "accepted":
      return void (await act("take on", {}));
    case "declined":
      return void (await act("hand back", { reason: reply.comment || "declined in a calendar program" }));
    case "in-process":
      return void (await state("under way"));
    case "completed":
      return void (await state("done"));
    case "delegated": {
      const [to] = await rowsOf<{ id: string }>(
        db,
        sql`select id from person where address = ${reply.delegatedTo ?? ""}`,
      );
      if (to) await act("hand over", { toIds: [to.id], note: reply.comment });
      return;
    }
    case "needs-action":
  }
}
