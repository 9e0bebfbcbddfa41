import { sql } from "drizzle-orm";
import type { ChangeKind } from "../core/following/item";
import type { Holding } from "../core/tasks/chain";
import type { RowValues } from "../core/tasks/outcome";
import type { Owner, SlipChange, SlipFacts } from "../core/tasks/task";
import type { Database } from "../data/engine/database";
import { newId } from "../data/ids";
import { maySeeConversation, maySeeProject, maySeeTask, type Viewer } from "../data/need-to-know";
import { rowsOf } from "../data/rows";
import type { Actor } from "./act";

/** A conversation that the actor may see, locked, with all its slips. */
export async function conversationFacts(db: Database, actor: Actor, conversationId: string) {
  const [row] = await rowsOf<{ id: string; place: "sort" | "dealt with" | "put by"; projectId: string | null }>(
    db,
    sql`select c.id, c.place, c.project_id as "projectId" from conversation c where c.id = ${conversationId} and ${maySeeConversation(actor)} for update of c`,
  );
  if (!row) return null;
  return {
    conversationId: row.id,
    place: row.place,
    conversationProjectId: row.projectId,
    slips: await slipFacts(db, actor, conversationId),
    actorId: actor.personId,
  };
}

interface SlipColumns {
  id: string;
  conversationId: string;
  letterId: string;
  start: number | null;
  end: number | null;
  kind: SlipFacts["kind"];
  title: string;
  ownerId: string | null;
  theirsId: string | null;
  dueDay: string | null;
  dueTime: string | null;
  dueZone: string | null;
  priority: SlipFacts["priority"];
  estimate: number | null;
  projectId: string | null;
  workstreamId: string | null;
  state: SlipFacts["state"];
  change: ChangeKind | null;
  changesTaskId: string | null;
}

const SLIP = sql`s.id, s.conversation_id as "conversationId", s.letter_id as "letterId", s.start, s."end", s.kind, s.title, s.owner_id as "ownerId", s.theirs_id as "theirsId",
  s.due_day as "dueDay", s.due_time as "dueTime", s.due_zone as "dueZone", s.priority, s.estimate, s.project_id as "projectId", s.workstream_id as "workstreamId", s.state, s.change, s.changes_task_id as "changesTaskId"`;

function ownerOf(row: { ownerId: string | null; theirsId: string | null }): Owner {
  return row.theirsId ? { side: "theirs", correspondentId: row.theirsId } : { side: "ours", personId: row.ownerId };
}

/** A task that a letter changes, and since when it is over, in seconds since 1970; null where it is open. */
type TaskNow = Omit<SlipChange["task"], "wasOver"> & { readonly overSince: number | null };

/** Tasks that letters change, by their ids, locked; those that the actor may not see are left out. */
export async function changedTasks(
  db: Database,
  actor: Actor,
  ids: readonly (string | null)[],
): Promise<ReadonlyMap<string, TaskNow>> {
  const rows = await rowsOf<Omit<TaskNow, "holding"> & Holding>(
    db,
    sql`select t.id, t.side, t.state, extract(epoch from t.finished_at)::float8 as "overSince", t.owner_id as "ownerId", t.chain from task t where t.id in ${ids} and ${maySeeTask(actor)} for update of t`,
  );
  return new Map(rows.map(({ ownerId, chain, ...task }) => [task.id, { ...task, holding: { ownerId, chain } }]));
}

/** The tasks that open slips of a conversation would change, with the letter's words; those that the actor may not see are left out. */
async function changesFacts(
  db: Database,
  actor: Actor,
  rows: readonly SlipColumns[],
): Promise<ReadonlyMap<string, SlipChange>> {
  const open = rows.filter((row) => row.changesTaskId !== null && row.state === "proposed");
  if (open.length === 0) return new Map();
  const tasks = await changedTasks(
    db,
    actor,
    open.map((row) => row.changesTaskId),
  );
  const letters = await rowsOf<{ id: string; text: string; sent: number }>(
    db,
    sql`select id, text, extract(epoch from sent_at)::float8 as sent from letter where id in ${open.map((row) => row.letterId)}`,
  );
  return new Map(
    open.flatMap((row) => {
      const task = tasks.get(row.changesTaskId ?? "");
      const letter = letters.find((one) => one.id === row.letterId);
      if (!task || !row.change || !letter) return [];
      const quote = letter.text.slice(row.start ?? 0, row.end ?? 0).replace(/\s+/g, " ");
      const wasOver = task.overSince !== null && task.overSince < letter.sent;
      return [[row.id, { change: row.change, quote, task: { ...task, wasOver } }] as const];
    }),
  );
}

async function slipFacts(db: Database, actor: Actor, conversationId: string): Promise<SlipFacts[]> {
  const rows = await rowsOf<SlipColumns>(
    db,
    sql`select ${SLIP} from slip s join letter l on l.id = s.letter_id where s.conversation_id = ${conversationId} order by l.sent_at, s.start nulls last, s.id`,
  );
  const changes = await changesFacts(db, actor, rows);
  const seen = rows.filter((row) => row.state !== "proposed" || !row.changesTaskId || changes.has(row.id));
  return seen.map((row) => ({
    id: row.id,
    conversationId: row.conversationId,
    passage: { letterId: row.letterId, start: row.start, end: row.end },
    kind: row.kind,
    title: row.title,
    owner: ownerOf(row),
    due: row.dueDay ? { day: row.dueDay, time: row.dueTime, zone: row.dueZone ?? "UTC" } : null,
    priority: row.priority,
    estimate: row.estimate,
    projectId: row.projectId,
    workstreamId: row.workstreamId,
    state: row.state,
    changes: changes.get(row.id) ?? null,
  }));
}

/** The columns of a slip that can be changed in place, where the actor may see its conversation. */
export async function slipColumns(
  db: Database,
  actor: Actor,
  slipId: string,
): Promise<{ columns: RowValues; conversationId: string; letterId: string; isOpen: boolean } | null> {
  const [row] = await rowsOf<SlipColumns>(
    db,
    sql`select ${SLIP} from slip s join conversation c on c.id = s.conversation_id where s.id = ${slipId} and ${maySeeConversation(actor)} for update of s`,
  );
  if (!row) return null;
  const { conversationId, letterId, state } = row;
  return { columns: { ...row }, conversationId, letterId, isOpen: state === "proposed" };
}

/** Who wrote a letter: a member of the team, or somebody outside who is known. */
export async function writerOf(db: Database, letterId: string): Promise<Owner | null> {
  const [row] = await rowsOf<{ personId: string | null; correspondentId: string | null }>(
    db,
    sql`select p.id as "personId", c.id as "correspondentId" from letter l left join person p on p.address = l.from_address left join correspondent c on c.address = l.from_address where l.id = ${letterId}`,
  );
  if (row?.personId) return { side: "ours", personId: row.personId };
  return row?.correspondentId ? { side: "theirs", correspondentId: row.correspondentId } : null;
}

/** The columns of a task that can be changed in place, where the actor may see it. */
export async function taskColumns(
  db: Database,
  actor: Actor,
  taskId: string,
): Promise<{ columns: RowValues; conversationId: string | null } | null> {
  const [row] = await rowsOf<RowValues & { conversationId: string | null }>(
    db,
    sql`select t.id, t.title, t.side, t.owner_id as "ownerId", t.theirs_id as "theirsId", t.due_day as "dueDay", t.due_time as "dueTime", t.due_zone as "dueZone", t.priority, t.estimate, t.state, t.chain, t.doubt,
      t.project_id as "projectId", t.workstream_id as "workstreamId", t.conversation_id as "conversationId" from task t where t.id = ${taskId} and ${maySeeTask(actor)} for update of t`,
  );
  return row ? { columns: row, conversationId: row.conversationId } : null;
}

/** Numbers for references, each handed out once; a transaction that is rolled back gives them back. */
export async function takeNumbers(db: Database, count: number): Promise<number[]> {
  if (count === 0) return [];
  const [row] = await rowsOf<{ last: number }>(
    db,
    sql`update reference_counter set last = last + ${count} where id = 1 returning last`,
  );
  return Array.from({ length: count }, (_, i) => row!.last - count + 1 + i);
}

export function takeIds(count: number): string[] {
  return Array.from({ length: count }, () => newId());
}

/** Who changed a row last, for the sentence about a collision. `about` is a task or conversation that its entries are about. */
export async function lastChangedBy(db: Database, id: string, about: string): Promise<string> {
  const [row] = await rowsOf<{ name: string }>(
    db,
    sql`select p.name from history h join person p on p.id = h.person_id where h.about @> ${JSON.stringify([about])}::jsonb and h.changes @> ${JSON.stringify([{ id }])}::jsonb order by h.seq desc limit 1`,
  );
  return row?.name ?? "Somebody";
}

/** Whether every person, correspondent, project and workstream that an input names is here and may be named by the actor. */
export async function areKnown(
  db: Database,
  viewer: Viewer,
  named: {
    personId?: string | null;
    correspondentId?: string | null;
    projectId?: string | null;
    workstreamId?: string | null;
  },
): Promise<boolean> {
  const [row] = await rowsOf<{ known: boolean }>(
    db,
    sql`select (${named.personId ?? null}::uuid is null or exists (select 1 from person where id = ${named.personId ?? null}::uuid))
      and (${named.correspondentId ?? null}::uuid is null or exists (select 1 from correspondent where id = ${named.correspondentId ?? null}::uuid))
      and (${named.projectId ?? null}::uuid is null or exists (select 1 from project p where p.id = ${named.projectId ?? null}::uuid and ${maySeeProject(viewer)}))
      and (${named.workstreamId ?? null}::uuid is null or exists (select 1 from workstream w where w.id = ${named.workstreamId ?? null}::uuid and w.project_id = ${named.projectId ?? null}::uuid)) as known`,
  );
  return row!.known;
}

/** Whether all of these are of the team. */
export async function areMembers(db: Database, ids: readonly string[]): Promise<boolean> {
  const wanted = [...new Set(ids)];
  if (wanted.length === 0) return true;
  const rows = await rowsOf<{ id: string }>(db, sql`select id from person where id in ${wanted}`);
  return rows.length === wanted.length;
}

/** Names for ids in sentences; a project that the viewer may not see has none. */
export async function namesFor(
  db: Database,
  viewer: Viewer,
  ids: readonly (string | null | undefined)[],
): Promise<Map<string, string>> {
  const wanted = [...new Set(ids.filter((id): id is string => typeof id === "string"))];
  if (wanted.length === 0) return new Map();
  const rows = await rowsOf<{ id: string; name: string }>(
    db,
    sql`select id, name from person where id in ${wanted} union all select id, name from correspondent where id in ${wanted} union all select p.id, p.name from project p where p.id in ${wanted} and ${maySeeProject(viewer)}`,
  );
  return new Map(rows.map((row) => [row.id, row.name]));
}
