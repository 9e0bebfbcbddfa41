import { sql } from "drizzle-orm";
import type { Heard } from "../core/hearing/heard";
import { type HeardTask, whoHears } from "../core/hearing/who-hears";
import { namedIn } from "../core/reading/kind-rule";
import { holdingOf } from "../core/tasks/decisions/change-fields";
import type { Change, RowValues } from "../core/tasks/outcome";
import type { TaskState } from "../core/tasks/task";
import type { Database } from "../data/engine/database";
import { newId } from "../data/ids";
import { maySeeTask } from "../data/need-to-know";
import { noteHeard } from "../data/queries/heard";
import { team } from "../data/queries/people";
import { tellCovers } from "../data/queries/told-covers";
import { rowsOf } from "../data/rows";
import { notice } from "../data/schema-hearing";
import type { Actor } from "./act";
import { rowAsValues } from "./write-rows";

/** An entry of the history just written. */
interface Entry {
  readonly entryId: string;
  readonly changes: readonly Change[];
  /** Number of the entry that it takes back. */
  readonly undoes: number | null;
}

const FIELDS = ["title", "priority", "projectId", "workstreamId", "side", "theirsId"] as const;

function heardTask(row: RowValues): HeardTask {
  return {
    ...holdingOf(row),
    state: row.state as TaskState,
    doubt: (row.doubt as string | null) ?? null,
    due: JSON.stringify([row.dueDay ?? null, row.dueTime ?? null]),
    fields: JSON.stringify(FIELDS.map((name) => row[name] ?? null)),
  };
}

/** A task that is just made is told of as if nobody had had it before. */
function beforeOf(row: RowValues, changes: readonly Change[]): HeardTask {
  const old: RowValues = Object.assign({}, row, ...changes.map(({ before }) => before));
  const isNew = changes.some((change) => change.before === null);
  return isNew ? { ...heardTask(row), ownerId: null, chain: [] } : heardTask(old);
}

/** What is written along: notes, and what goes with a hand-over. */
function wordsOf(taskId: string, changes: readonly Change[]): string[] {
  return changes.flatMap(({ row, id, before, after }) => {
    if (row === "comment" && before === null && after?.taskId === taskId) return [String(after.text)];
    if (row !== "task" || id !== taskId || !Array.isArray(after?.chain)) return [];
    const last = after.chain.at(-1);
    const was = Array.isArray(before?.chain) ? before.chain.at(-1) : null;
    const note = typeof last === "object" ? last.note : "";
    return note && (typeof was !== "object" || was?.note !== note) ? [note] : [];
  });
}

/** Takes back the notices of an entry that have neither been seen nor mailed yet; gives back whom that spares the news of its being undone. */
async function withdraw(db: Database, seq: number): Promise<Set<string>> {
  const rows = await rowsOf<{ personId: string }>(
    db,
    sql`delete from notice n using history h where h.seq = ${seq} and n.entry_id = h.id and n.seen_at is null and n.mailed_at is null returning n.person_id as "personId"`,
  );
  return new Set(rows.map((row) => row.personId));
}

/**
 * Tells everybody who should hear of an act, in the act's own transaction: each once, none who may not see the task, nobody
 * of what they did themselves. Silence of a task ends with a word of its owner.
 */
export async function tellPeople(db: Database, actor: Actor, entry: Entry): Promise<void> {
  const spared = entry.undoes === null ? new Set<string>() : await withdraw(db, entry.undoes);
  const ids = new Set(
    entry.changes.flatMap(({ row, id, before, after }) =>
      row === "task" && after !== null ? [id] : row === "comment" && before === null ? [String(after?.taskId)] : [],
    ),
  );
  if (ids.size === 0) return;
  const members = (await team(db)).filter((one) => !one.leftOn);
  for (const taskId of ids) {
    const row = await rowAsValues(db, "task", taskId);
    if (!row) continue;
    const own = entry.changes.filter((change) => change.row === "task" && change.id === taskId);
    const words = wordsOf(taskId, entry.changes);
    const said = await rowsOf<{ personId: string; hears: boolean }>(
      db,
      sql`select person_id as "personId", hears from posted where task_id = ${taskId}
        union all select person_id, true from posted_at where project_id = ${(row.projectId as string | null) ?? null}::uuid
          and (workstream_id is null or workstream_id = ${(row.workstreamId as string | null) ?? null}::uuid)`,
    );
    const heard = whoHears({
      before: beforeOf(row, own),
      after: heardTask(row),
      actorId: actor.personId,
      isNoted: entry.changes.some(
        (change) => change.row === "comment" && change.before === null && change.after?.taskId === taskId,
      ),
      named: words.flatMap((text) => namedIn(text, members).map(({ person }) => person.id)),
      posted: said.filter((one) => one.hears).map((one) => one.personId),
      quiet: said.filter((one) => !one.hears).map((one) => one.personId),
    });
    for (const one of heard) if (!spared.has(one.personId)) await tell(db, actor, entry.entryId, taskId, one);
    const isSpokenTo = entry.changes.some(
      (change) => change.row === "comment" && change.before === null && change.after?.kind === "call",
    );
    // Asked of somebody outside, or spoken to: their silence begins anew.
    const isAsked = own.some((change) => typeof change.after?.theirsId === "string" && change.before !== null);
    const isGiven = own.some(
      ({ before, after }) => before !== null && typeof after?.ownerId === "string" && after.ownerId !== before.ownerId,
    );
    await noteHeard(
      db,
      taskId,
      { isNew: own.some((change) => change.before === null), isSpokenTo: isSpokenTo || isAsked, isGiven },
      actor,
    );
  }
  await tellFreed(db, actor, entry);
  await tellCovers(db, [entry.entryId], actor.personId, actor.now);
}

/** What was held by a task that has just ended goes on: its owner is told. */
async function tellFreed(db: Database, actor: Actor, { entryId, changes }: Entry): Promise<void> {
  const ended = changes.filter(
    ({ row, after }) => row === "task" && (after?.state === "done" || after?.state === "called off"),
  );
  if (ended.length === 0) return;
  const freed = await rowsOf<{ id: string; ownerId: string; title: string; state: string }>(
    db,
    sql`select t.id, t.owner_id as "ownerId", h.title, h.state from task t join task h on h.id = t.held_by_id
      where h.id in ${ended.map((change) => change.id)} and t.state in ('to begin', 'under way') and t.owner_id is not null and t.owner_id <> ${actor.personId}`,
  );
  for (const { id, ownerId, title, state } of freed)
    await db
      .insert(notice)
      .values({
        id: newId(actor.now),
        personId: ownerId,
        taskId: id,
        entryId,
        what: "freed",
        why: "owns it",
        loudness: "at once",
        words: state === "done" ? `finished what held it: ${title}` : `called off what held it: ${title}`,
        at: new Date(actor.now),
      })
      .onConflictDoNothing();
}

async function tell(db: Database, actor: Actor, entryId: string, taskId: string, heard: Heard): Promise<void> {
  // Whoever it was taken from may not see it any more, and still has to know that it is not theirs.
  const [may] = await rowsOf<{ may: boolean }>(
    db,
    sql`select (${heard.what} = 'taken away' or ${maySeeTask({ personId: heard.personId })}) as may from task t where t.id = ${taskId}`,
  );
  if (!may?.may) return;
  await db
    .insert(notice)
    .values({ ...heard, id: newId(actor.now), taskId, entryId, at: new Date(actor.now) })
    .onConflictDoNothing();
}
