import { sql } from "drizzle-orm";
import { z } from "zod";
import type { Correspondent } from "../../core/letters/letter";
import type { OutgoingState } from "../../core/letters/outgoing";
import { parseLetter } from "../../core/letters/parse-letter";
import { type WriteBackFacts, writeBack } from "../../core/tasks/decisions/write-back";
import { invalid } from "../../core/tasks/outcome";
import type { TaskState } from "../../core/tasks/task";
import { dayOf } from "../../core/time/moment";
import { isMachinesAddress } from "../../core/waiting/machines-address";
import type { Database } from "../../data/engine/database";
import { newId } from "../../data/ids";
import { chasedLately } from "../../data/queries/chases";
import { actsFor, actsForConversation } from "../../data/queries/cover";
import { rawLetterFor } from "../../data/queries/letters";
import { theOrganisation } from "../../data/queries/people";
import { rowsOf } from "../../data/rows";
import { type Actor, define } from "../act";
import { conversationFacts, namesFor, takeIds, takeNumbers, taskColumns } from "../facts";
import { due, id, text } from "../inputs";
import { addressesFor } from "../own-addresses";
import { changedFacts, ownersOf, writtenChange, writtenSlip } from "./written-facts";

const correspondents = z.array(z.object({ name: z.string().max(400), address: z.string().max(400) })).max(200);

/** Message-ID and References of the letter that is answered; References stand only in the raw message. */
async function answered(db: Database, actor: Actor, letterId: string): Promise<WriteBackFacts["answers"] | undefined> {
  const raw = await rawLetterFor(db, actor, letterId);
  if (!raw) return undefined;
  const parsed = await parseLetter(raw.bytes);
  return parsed.ok ? { messageId: parsed.letter.messageId, references: parsed.letter.references } : null;
}

async function conversationOf(db: Database, letterId: string): Promise<string | null> {
  const [row] = await rowsOf<{ id: string }>(db, sql`select conversation_id as id from letter where id = ${letterId}`);
  return row?.id ?? null;
}

/**
 * The lasting link to a task (JAM_URL says where our pages are), for letters that go to members alone: to others it would
 * only be a door that does not open.
 */
async function linkFor(db: Database, taskId: string, people: readonly string[]): Promise<string | null> {
  const base = process.env.JAM_URL?.replace(/\/+$/, "");
  if (!base || people.length === 0) return null;
  const [row] = await rowsOf<{ fruit: string; number: number; outside: number }>(
    db,
    sql`select t.fruit, t.number, (select count(*)::int from jsonb_array_elements_text(${JSON.stringify(people)}::jsonb) a where not exists (select 1 from person p where p.address = a)) as outside
      from task t where t.id = ${taskId}`,
  );
  return row && row.outside === 0 ? `${row.fruit} ${row.number}: ${base}/tasks/${row.fruit}-${row.number}` : null;
}

/** Whether somebody outside is among those a letter goes to. */
async function isWrittenTo(db: Database, correspondentId: string, to: readonly Correspondent[]): Promise<boolean> {
  const [row] = await rowsOf<{ address: string }>(
    db,
    sql`select address from correspondent where id = ${correspondentId}`,
  );
  return to.some((one) => one.address.trim().toLowerCase() === row?.address);
}

/** What is known of people who are to be chased, by their addresses. */
async function chasedFacts(db: Database, people: readonly string[], now: number): Promise<WriteBackFacts["chased"]> {
  const lately = await chasedLately(db, now);
  const rows = await rowsOf<{ address: string; name: string; awayUntil: string | null }>(
    db,
    sql`select address, name, away_until::text as "awayUntil" from correspondent where address in ${people.length > 0 ? [...people] : [""]}`,
  );
  return people.map((address) => {
    const known = rows.find((row) => row.address === address);
    return {
      name: known?.name || address,
      awayUntil: known?.awayUntil ?? null,
      isMachine: isMachinesAddress(address),
      thisWeek: lately.get(address) ?? 0,
    };
  });
}

/** Who has sent a chase about a task within a day. */
async function chasedBy(db: Database, actor: Actor, taskId: string): Promise<string | null> {
  const [row] = await rowsOf<{ name: string; personId: string }>(
    db,
    sql`select p.name, p.id as "personId" from outgoing o join person p on p.id = o.person_id
      where o.task_id = ${taskId} and o.is_chase and o.created_at > ${new Date(actor.now - 86_400_000)} order by o.created_at desc limit 1`,
  );
  return row ? (row.personId === actor.personId ? "You" : row.name) : null;
}

/** The name on a letter: who covers for somebody says for whom they write. */
async function nameOnLetter(
  db: Database,
  actor: Actor,
  name: string,
  task: Awaited<ReturnType<typeof taskColumns>>,
  conversationId: string | null,
): Promise<string> {
  const forId =
    (await actsFor(db, actor, (task?.columns.ownerId as string | null | undefined) ?? null)) ??
    (conversationId ? await actsForConversation(db, actor, conversationId) : null);
  const whom = forId ? (await namesFor(db, actor, [forId])).get(forId) : null;
  return whom ? `${name} for ${whom}` : name;
}

/** A letter of ours: an answer, one from a task, or a new one. */
export const write = define({
  name: "write",
  input: z.object({
    to: correspondents,
    cc: correspondents,
    subject: text,
    text: z.string().max(400_000),
    from: z.string().max(400),
    files: z.array(id).max(50).default([]),
    answersId: id.nullable(),
    taskId: id.nullable(),
    finishes: z.boolean(),
    dealsWith: z.boolean(),
    chases: z.boolean().default(false),
    waitsForId: id.nullable().default(null),
    due: due.optional(),
    slips: z.array(writtenSlip).max(40).default([]),
    changes: z.array(writtenChange).max(40).default([]),
  }),
  async load(db, actor, input): Promise<WriteBackFacts | null> {
    const answers = input.answersId ? await answered(db, actor, input.answersId) : null;
    if (answers === undefined) return null;
    const conversationId = input.answersId ? await conversationOf(db, input.answersId) : null;
    const conversation = conversationId ? await conversationFacts(db, actor, conversationId) : null;
    const task = input.taskId ? await taskColumns(db, actor, input.taskId) : null;
    if (input.taskId && !task) return null;
    if (input.waitsForId && !(await isWrittenTo(db, input.waitsForId, input.to))) return null;
    const own = (await addressesFor(db, actor, input.answersId)).find(({ address }) => address === input.from);
    if (!own) return null;
    const from = { ...own, name: await nameOnLetter(db, actor, own.name, task, conversationId) };
    const files =
      input.files.length === 0
        ? []
        : await rowsOf<{ id: string; size: number }>(
            db,
            sql`select id, size from draft_file where id in ${input.files} and person_id = ${actor.personId} order by made_at`,
          );
    if (files.length < new Set(input.files).size) return null;
    const owners = await ownersOf(db, input.slips, [...input.to, ...input.cc]);
    const changed = await changedFacts(db, actor, input.changes, [...input.to, ...input.cc]);
    if (!changed) return null;
    const numbers = await takeNumbers(db, owners.length);
    const ids = takeIds(owners.length);
    const people = [...input.to, ...input.cc].map((one) => one.address.trim().toLowerCase());
    return {
      link: task ? await linkFor(db, input.taskId!, people) : null,
      actorId: actor.personId,
      id: newId(actor.now),
      messageId: messageIdFrom(from, actor.now),
      from,
      fileIds: files.map((file) => file.id),
      fileBytes: files.reduce((sum, file) => sum + file.size, 0),
      canSend: Boolean(process.env.JAM_SMTP_OUT),
      answers,
      conversation,
      chased: input.chases ? await chasedFacts(db, people, actor.now) : [],
      today: dayOf({ at: actor.now, zone: (await theOrganisation(db))?.zone ?? "UTC" }),
      chasedBy: input.chases && input.taskId ? await chasedBy(db, actor, input.taskId) : null,
      changed,
      written: owners.map((owner, i) => ({ id: ids[i]!, number: numbers[i]!, owner })),
      task: task && {
        id: input.taskId!,
        state: task.columns.state as TaskState,
        conversationId: task.conversationId,
        projectId: task.columns.projectId as string | null,
        ownerId: task.columns.ownerId as string | null,
      },
    };
  },
  decide: (facts, input, now) => writeBack(facts, input, now),
});

/** A Message-ID that nobody else makes: a UUID at the writer's own domain (RFC 5322 section 3.6.4). */
function messageIdFrom(from: Correspondent, now: number): string {
  return `${newId(now)}@${from.address.split("@").at(-1)}`;
}

/** Tries a letter once more that was given up; only one's own. */
export const sendAgain = define({
  name: "send again",
  input: z.object({ outgoingId: id }),
  async load(db, actor, input) {
    const [row] = await rowsOf<{ state: OutgoingState; conversationId: string | null; taskId: string | null }>(
      db,
      sql`select state, conversation_id as "conversationId", task_id as "taskId" from outgoing where id = ${input.outgoingId} and person_id = ${actor.personId} for update`,
    );
    return row ?? null;
  },
  decide(facts, input, now) {
    if (facts.state !== "given up") return invalid("This letter is on its way already.");
    return {
      ok: true,
      about: [facts.conversationId, facts.taskId].filter((one) => one !== null),
      writes: [
        { row: "outgoing", id: input.outgoingId, isNew: false, values: { state: "waiting", tries: 1, nextTry: now } },
      ],
    };
  },
});
