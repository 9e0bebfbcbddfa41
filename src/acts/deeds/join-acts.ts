import { sql } from "drizzle-orm";
import { z } from "zod";
import { baseSubject } from "../../core/letters/base-subject";
import { type Belongings, type JoinFacts, joinTask, type SplitFacts, split } from "../../core/tasks/decisions/join";
import type { Database } from "../../data/engine/database";
import { newId } from "../../data/ids";
import { type InstantText, millis, rowsOf } from "../../data/rows";
import { define } from "../act";
import { conversationFacts, taskColumns } from "../facts";
import { id } from "../inputs";

/** Letters that one act moves at the most; a conversation of more is a mailing list. */
const MOST_LETTERS = 500;

async function idsOf(db: Database, query: ReturnType<typeof sql>): Promise<string[]> {
  return (await rowsOf<{ id: string }>(db, query)).map((row) => row.id);
}

async function belongings(db: Database, conversationId: string, since: Date | null): Promise<Belongings> {
  const from = since ?? new Date(0);
  const inLetters = sql`letter_id in (select id from letter where conversation_id = ${conversationId} and sent_at >= ${from})`;
  const all = since === null;
  return {
    conversationId,
    letterIds: await idsOf(
      db,
      sql`select id from letter where conversation_id = ${conversationId} and sent_at >= ${from} order by sent_at limit ${MOST_LETTERS}`,
    ),
    slips: await rowsOf<Belongings["slips"][number]>(
      db,
      sql`select id, state from slip where conversation_id = ${conversationId} and ${inLetters}`,
    ),
    taskIds: await idsOf(
      db,
      sql`select id from task where conversation_id = ${conversationId} and (${inLetters} ${all ? sql`or letter_id is null` : sql``})`,
    ),
  };
}

/** Puts a conversation on a task. */
export const join = define({
  name: "join",
  input: z.object({ conversationId: id, taskId: id }),
  async load(db, actor, input): Promise<JoinFacts | null> {
    const conversation = await conversationFacts(db, actor, input.conversationId);
    const task = await taskColumns(db, actor, input.taskId);
    if (!conversation || !task) return null;
    return {
      conversation: await belongings(db, input.conversationId, null),
      task: { id: input.taskId, conversationId: task.conversationId },
      actorId: actor.personId,
    };
  },
  decide: (facts, _input, now) => joinTask(facts, now),
});

/** Makes a conversation of its own of a letter and those after it. */
export const splitAct = define({
  name: "split",
  input: z.object({ letterId: id }),
  async load(db, actor, input): Promise<SplitFacts | null> {
    const [letter] = await rowsOf<{ conversationId: string; subject: string; sentAt: InstantText }>(
      db,
      sql`select conversation_id as "conversationId", subject, sent_at as "sentAt" from letter where id = ${input.letterId}`,
    );
    const conversation = letter && (await conversationFacts(db, actor, letter.conversationId));
    if (!conversation) return null;
    const since = new Date(millis(letter.sentAt));
    const going = await belongings(db, letter.conversationId, since);
    const rest = await rowsOf<{ messageId: string | null; lastAt: InstantText }>(
      db,
      sql`select message_id as "messageId", sent_at as "lastAt" from letter where conversation_id = ${letter.conversationId} and sent_at >= ${since} order by sent_at`,
    );
    const [staying] = await rowsOf<{ n: number }>(
      db,
      sql`select count(*)::int as n from letter where conversation_id = ${letter.conversationId} and sent_at < ${since}`,
    );
    const known = rest.flatMap((row) => row.messageId ?? []);
    return {
      conversationId: letter.conversationId,
      newId: newId(actor.now),
      projectId: conversation.conversationProjectId,
      going,
      messageIds:
        known.length === 0
          ? []
          : await idsOf(
              db,
              sql`select message_id as id from thread where conversation_id = ${letter.conversationId} and message_id in ${known}`,
            ),
      subject: baseSubject(letter.subject) || "(no subject)",
      lastAt: new Date(millis(rest.at(-1)!.lastAt)).toISOString(),
      staying: staying!.n,
    };
  },
  decide: (facts, _input, now) => split(facts, now),
});
