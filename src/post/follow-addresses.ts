import { sql } from "drizzle-orm";
import { perform } from "../acts/perform";
import { tellScreens } from "../acts/tell-screens";
import type { TextPart } from "../core/letters/letter";
import { newText } from "../core/letters/new-text";
import type { Envelope, MayWrite } from "../core/letters/ways";
import { addressWord, readOurAddress } from "../core/sorting/addresses";
import { answerInWords } from "../core/tasks/answer-in-words";
import type { Database } from "../data/engine/database";
import { rowsOf } from "../data/rows";
import { followCalendarAnswer } from "./calendar-answers";

interface Writer {
  /** The member who wrote it, or null for somebody outside. */
  readonly personId: string | null;
  readonly isKnown: boolean;
  /** Whether it is proved that the letter is theirs. */
  readonly isProved: boolean;
}

interface Arrived {
  readonly letterId: string;
  readonly conversationId: string;
}

/**
 * A sender counts as proved where a check of their domain agrees (DMARC, RFC 7489), or where a machine that we trust handed
 * the letter over. Anybody can write any name into a From.
 */
function isProved(envelope: Envelope, trustedPeers: ReadonlySet<string>): boolean {
  return envelope.checks?.dmarc === "pass" || trustedPeers.has(envelope.peer.replace(/^::ffff:/, ""));
}

async function writerOf(db: Database, letterId: string, isSure: boolean): Promise<Writer | null> {
  const [row] = await rowsOf<{ personId: string | null; isKnown: boolean; automatic: string | null }>(
    db,
    sql`select (select id from person where address = l.from_address and left_on is null) as "personId", l.automatic,
        exists (select 1 from correspondent k where k.address = l.from_address and k.firm_id is not null)
          or exists (select 1 from letter x where x.from_address = l.from_address and x.id <> l.id) as "isKnown"
      from letter l where l.id = ${letterId}`,
  );
  // A machine makes and changes nothing.
  return row && row.automatic === null ? { personId: row.personId, isKnown: row.isKnown, isProved: isSure } : null;
}

function mayWrite(rule: MayWrite, writer: Writer): boolean {
  if (!writer.isProved) return false;
  if (rule === "anyone") return true;
  return writer.personId !== null || (rule === "people we know" && writer.isKnown);
}

/** Characters of an answer that becomes a note at the most: a longer letter is read as a letter. */
const LONGEST_NOTE = 2_000;

/** Characters of a short answer that says nothing beside it. */
const BARE_ANSWER = 30;

/**
 * What a member writes to a task's address: a short answer of its owner to a hand-over is done, once, in their name; other
 * words become a note, so that those who follow the task hear of them.
 */
async function answerBack(db: Database, arrived: Arrived, taskId: string, writer: Writer, now: number): Promise<void> {
  if (!writer.isProved || writer.personId === null) return;
  const [letter] = await rowsOf<{ text: string; parts: TextPart[]; ownerId: string | null }>(
    db,
    sql`select left(l.text, 20000) as text, l.parts, (select owner_id from task where id = ${taskId}) as "ownerId" from letter l where l.id = ${arrived.letterId}`,
  );
  if (!letter) return;
  const text = newText(letter).trim();
  const answer = letter.ownerId === writer.personId ? answerInWords(text) : null;
  const actor = { personId: writer.personId, now };
  const key = `answer:${arrived.letterId}:${taskId}`;
  let isSaid = false;
  if (answer) {
    const { act, ...words } = answer;
    const done =
      act === "done"
        ? await perform(db, actor, "change task", { taskId, change: { field: "state", to: "done" }, was: null }, key)
        : await perform(db, actor, act, { taskId, ...words }, key);
    // A reason or a question has its words on the task already.
    isSaid = done.ok && (act === "hand back" || act === "ask back" || text.length <= BARE_ANSWER);
  }
  if (!isSaid && text !== "" && text.length <= LONGEST_NOTE)
    await perform(db, actor, "comment", { taskId, text }, `note:${arrived.letterId}:${taskId}`);
}

async function toTask(db: Database, arrived: Arrived, number: number, writer: Writer, now: number): Promise<void> {
  const [task] = await rowsOf<{ id: string; rule: MayWrite; conversationId: string | null; actorId: string }>(
    db,
    sql`select id, may_write as rule, conversation_id as "conversationId", coalesce(owner_id, created_by) as "actorId" from task where number = ${number}`,
  );
  if (!task) return;
  await answerBack(db, arrived, task.id, writer, now);
  if (task.conversationId === arrived.conversationId) return;
  if (mayWrite(task.rule, writer)) {
    const actor = { personId: writer.personId ?? task.actorId, now };
    const input = { conversationId: arrived.conversationId, taskId: task.id };
    const joined = await perform(db, actor, "join", input, `address:${arrived.letterId}:${task.id}`);
    if (joined.ok) return;
  }
  await db.execute(sql`update conversation set offered_task_id = ${task.id} where id = ${arrived.conversationId}`);
}

async function toWorkstream(
  db: Database,
  arrived: Arrived,
  words: { project: string; workstream: string },
  writer: Writer,
  now: number,
): Promise<void> {
  const all = await rowsOf<{ id: string; name: string; projectId: string; project: string; rule: MayWrite }>(
    db,
    sql`select w.id, w.name, w.project_id as "projectId", p.name as project, w.may_write as rule from workstream w join project p on p.id = w.project_id`,
  );
  const found = all.find(
    (one) => addressWord(one.project) === words.project && addressWord(one.name) === words.workstream,
  );
  if (!found) return;
  const [lead] = await rowsOf<{ id: string }>(
    db,
    sql`select id from person where user_id is not null order by is_lead desc, id limit 1`,
  );
  const actorId = writer.personId ?? lead?.id;
  if (mayWrite(found.rule, writer) && actorId) {
    const input = { letterId: arrived.letterId, projectId: found.projectId, workstreamId: found.id };
    const made = await perform(
      db,
      { personId: actorId, now },
      "make from letter",
      input,
      `address:${arrived.letterId}:${found.id}`,
    );
    if (made.ok) return;
  }
  // It waits in Sort, and what it proposes goes to that workstream.
  await db.execute(
    sql`update conversation set project_id = coalesce(project_id, ${found.projectId}) where id = ${arrived.conversationId}`,
  );
  await db.execute(
    sql`update slip set project_id = ${found.projectId}, workstream_id = ${found.id} where letter_id = ${arrived.letterId} and state = 'proposed'`,
  );
}

/**
 * Does what the addresses of ours say that a letter was sent to: makes a task in a workstream, or puts the letter on a task,
 * where its writer may and it is proved who they are. Else the letter waits in Sort, with the task offered. Twice is once.
 */
export async function followAddresses(
  db: Database,
  envelope: Envelope,
  letterId: string,
  trustedPeers: ReadonlySet<string>,
  now: number,
): Promise<void> {
  const targets = envelope.to.flatMap((address) => readOurAddress(address) ?? []);
  if (targets.length === 0) return;
  for (const target of targets)
    if (target.kind === "task")
      await followCalendarAnswer(db, letterId, target.number, isProved(envelope, trustedPeers), now);
  const writer = await writerOf(db, letterId, isProved(envelope, trustedPeers));
  const [arrived] = await rowsOf<Arrived>(
    db,
    sql`select id as "letterId", conversation_id as "conversationId" from letter where id = ${letterId}`,
  );
  if (!writer || !arrived) return;
  for (const target of targets)
    if (target.kind === "task") await toTask(db, arrived, target.number, writer, now);
    else await toWorkstream(db, arrived, target, writer, now);
  tellScreens();
}
