import { type SQL, sql } from "drizzle-orm";
import { hearersOf } from "../../core/hearing/who-hears";
import type { PassedOn, TextPart } from "../../core/letters/letter";
import type { MayWrite } from "../../core/letters/ways";
import { taskAddress } from "../../core/sorting/addresses";
import { historyWords } from "../../core/tasks/history-words";
import type { Change } from "../../core/tasks/outcome";
import type { CommentKind } from "../../core/tasks/task";
import type { Day } from "../../core/time/day";
import {
  type CountsView,
  type HappenedView,
  MOST_COUNTED,
  type PersonView,
  type TaskRow,
  type TaskSheet,
  type TasksFigures,
  type TasksPage,
} from "../../core/views/views";
import type { Database } from "../engine/database";
import { maySeeConversation, maySeeProject, maySeeTask, type Viewer } from "../need-to-know";
import { type InstantText, millis, millisOrNull, rowsOf } from "../rows";
import { freshNotices, hasFreshNotice } from "./notices";
import { outgoingOfTask } from "./outgoing";
import { correspondentsById, team } from "./people";
import { remindersFor } from "./reminders";
import { sortCount } from "./sort";
import { coversNow } from "./told-covers";

/** Rows of one page of Tasks. */
const PAGE = 80;

/** What a list of tasks shows. `whose`: everyone's, the viewer's, those given to them or by them, nobody's, or what others owe us. */
export interface TasksLook {
  readonly whose: "everyone" | "mine" | "to me" | "by me" | "nobody" | "theirs";
  /** One person alone, of the team or outside: what they own, or owe us. */
  readonly personId?: string | null;
  readonly projectId: string | null;
  readonly show: "open" | "done" | "put by";
}

/** The columns of a task as `taskColumnsFor` selects them. */
export type TaskColumns = Omit<
  TaskRow,
  "putUntil" | "returnedAt" | "owner" | "theirs" | "due" | "finishedAt" | "createdAt" | "reference" | "slug"
> & {
  fruit: string;
  number: number;
  ownerId: string | null;
  theirsId: string | null;
  dueDay: string | null;
  dueTime: string | null;
  dueZone: string | null;
  finishedAt: InstantText | null;
  createdAt: InstantText;
  putUntil: InstantText | null;
  returnedAt: InstantText | null;
};

export const taskColumnsFor = (
  viewer: Viewer,
) => sql`t.id, t.fruit, t.number, t.title, t.side, t.owner_id as "ownerId", t.theirs_id as "theirsId", t.due_day as "dueDay", t.due_time as "dueTime", t.due_zone as "dueZone",
  t.priority, t.estimate, t.state, t.project_id as "projectId", (select p.name from project p where p.id = t.project_id and ${maySeeProject(viewer)}) as project, t.workstream_id as "workstreamId", t.kind,
  (select coalesce(nullif(l.from_name, ''), l.from_address) from letter l where l.id = t.letter_id) as writer,
  (select s.title from slip s join letter bl on bl.id = s.letter_id where s.conversation_id = t.conversation_id and s.kind = 'trouble' and s.state = 'proposed' and bl.bounce is not null order by s.id desc limit 1) as trouble,
  t.finished_at as "finishedAt", t.created_at as "createdAt", t.chain, t.doubt, t.steps, t.start_day::text as "startDay", t.percent, t.chase_plan as "chasePlan",
  (select jsonb_build_object('reference', t.fruit || ' ' || t.number, 'slug', t.fruit || '-' || t.number, 'title', t.title, 'by', coalesce((select name from correspondent where id = t.theirs_id), (select name from person where id = t.owner_id)))
    from (select t.held_by_id) held join task t on t.id = held.held_by_id where t.state in ('to begin', 'under way') and ${maySeeTask(viewer)}) as "heldBy", t.repeats, t.put_until as "putUntil", t.returned_at as "returnedAt"`;

/** Rows of tasks with their people. */
export async function taskRows(db: Database, rows: readonly TaskColumns[]): Promise<TaskRow[]> {
  const people = new Map((await team(db)).map((person) => [person.id, person]));
  const outside = await correspondentsById(
    db,
    rows.flatMap((row) => row.theirsId ?? []),
  );
  return rows.map(({ fruit, number, ownerId, theirsId, dueDay, dueTime, dueZone, finishedAt, createdAt, ...rest }) => ({
    ...rest,
    reference: `${fruit} ${number}`,
    slug: `${fruit}-${number}`,
    owner: ownerId ? (people.get(ownerId) ?? null) : null,
    theirs: theirsId ? (outside.get(theirsId) ?? null) : null,
    due: dueDay ? { day: dueDay, time: dueTime, zone: dueZone ?? "UTC" } : null,
    finishedAt: millisOrNull(finishedAt),
    createdAt: millis(createdAt),
    putUntil: millisOrNull(rest.putUntil),
    returnedAt: millisOrNull(rest.returnedAt),
  }));
}

function lookOf(look: TasksLook, viewer: Viewer): SQL {
  const whose = {
    everyone: sql`true`,
    mine: sql`t.owner_id = ${viewer.personId} and t.side = 'ours'`,
    "to me": sql`t.owner_id = ${viewer.personId} and t.chain <> '[]'::jsonb and t.side = 'ours'`,
    "by me": sql`t.chain @> ${JSON.stringify([{ by: viewer.personId }])}::jsonb`,
    nobody: sql`t.owner_id is null and t.side = 'ours'`,
    theirs: sql`t.side = 'theirs'`,
  }[look.whose];
  const state = {
    open: sql`t.state in ('to begin', 'under way') and t.put_until is null`,
    done: sql`t.finished_at is not null`,
    "put by": sql`t.state in ('to begin', 'under way') and t.put_until is not null`,
  }[look.show];
  const person = look.personId ? sql`and (t.owner_id = ${look.personId} or t.theirs_id = ${look.personId})` : sql``;
  const project = look.projectId ? sql`and t.project_id = ${look.projectId}` : sql``;
  return sql`${state} and ${whose} ${person} ${project} and ${maySeeTask(viewer)}`;
}

/** The day and time by which undated tasks are ordered, behind all others. The same words as in the index. */
const FAR = "9999-12-31";
const DUE_DAY = sql`coalesce(t.due_day, '9999-12-31'::date)`;
const DUE_TIME = sql`coalesce(t.due_time, '99:99')`;

/**
 * One page of tasks by due date (undated last), or of finished ones, the last first. Read along an index, so that a page
 * costs the same among a thousand tasks and a hundred thousand.
 */
export async function tasksPage(
  db: Database,
  viewer: Viewer,
  look: TasksLook,
  cursor: string | null,
  limit = PAGE,
): Promise<TasksPage> {
  if (look.whose === "by me" && look.show === "open") return givenByPerson(db, viewer, look, cursor, limit);
  const parts = cursor?.split("~") ?? [];
  const isFinished = look.show === "done";
  let after = sql``;
  if (isFinished && parts.length === 2)
    after = sql`and (t.finished_at, t.number) < (${parts[0]}::timestamptz, ${Number(parts[1])})`;
  else if (parts.length === 3)
    after = sql`and (${DUE_DAY}, ${DUE_TIME}, t.number) > (${parts[0]}::date, ${parts[1]}, ${Number(parts[2])})`;
  const order = isFinished ? sql`t.finished_at desc, t.number desc` : sql`${DUE_DAY}, ${DUE_TIME}, t.number`;
  const rows = await rowsOf<TaskColumns & { finishedText: string | null }>(
    db,
    sql`select ${taskColumnsFor(viewer)}, t.finished_at::text as "finishedText" from task t where ${lookOf(look, viewer)} ${after} order by ${order} limit ${limit}`,
  );
  const last = rows.at(-1);
  const next =
    rows.length < limit || !last
      ? null
      : isFinished
        ? `${last.finishedText}~${last.number}`
        : `${last.dueDay ?? FAR}~${last.dueTime ?? "99:99"}~${last.number}`;
  return { rows: await taskRows(db, rows), next };
}

/** What the viewer gave to others, person by person: what nobody has any more first, then each by due date. */
async function givenByPerson(
  db: Database,
  viewer: Viewer,
  look: TasksLook,
  cursor: string | null,
  limit: number,
): Promise<TasksPage> {
  const skip = Math.max(0, Math.floor(Number(cursor)) || 0);
  const rows = await rowsOf<TaskColumns>(
    db,
    sql`select ${taskColumnsFor(viewer)} from task t left join person o on o.id = t.owner_id where ${lookOf(look, viewer)}
      order by o.name is not null, lower(o.name), o.id, ${DUE_DAY}, ${DUE_TIME}, t.number limit ${limit} offset ${skip}`,
  );
  return { rows: await taskRows(db, rows), next: rows.length < limit ? null : String(skip + limit) };
}

/** Counts rows, but never more than `MOST_COUNTED` + 1 of them. */
export async function counted(db: Database, condition: SQL): Promise<number> {
  const [row] = await rowsOf<{ n: number }>(
    db,
    sql`select count(*)::int as n from (select 1 from task t where ${condition} limit ${MOST_COUNTED + 1}) x`,
  );
  return row!.n;
}

/** The figures about a look. */
export async function tasksFigures(db: Database, viewer: Viewer, look: TasksLook): Promise<TasksFigures> {
  const where = lookOf(look, viewer);
  return {
    all: await counted(db, where),
    nobodys: await counted(db, sql`t.owner_id is null and t.side = 'ours' and ${where}`),
    undated: await counted(db, sql`${DUE_DAY} = ${FAR}::date and ${where}`),
  };
}

/** What is waited for: something owed by somebody outside, or handed over to a colleague. The same words as in the index. */
export const IS_WAITED = sql`(t.side = 'theirs' or t.chain <> '[]'::jsonb)`;

/** The figures beside the stations. */
export async function stationCounts(db: Database, viewer: Viewer, today: Day): Promise<CountsView> {
  const open = lookOf({ whose: "everyone", projectId: null, show: "open" }, viewer);
  return {
    sort: await sortCount(db, viewer),
    tasks: await counted(db, open),
    late: await counted(db, sql`${DUE_DAY} < ${today}::date and ${open}`),
    waiting: await counted(db, sql`${IS_WAITED} and ${open}`),
    over: await counted(db, sql`${DUE_DAY} < ${today}::date and ${IS_WAITED} and ${open}`),
    fresh: await freshNotices(db, viewer),
  };
}

/** What happened to a task or conversation, newest first. */
async function happenedTo(
  db: Database,
  viewer: Viewer,
  id: string,
  people: ReadonlyMap<string, PersonView>,
): Promise<HappenedView[]> {
  const rows = await rowsOf<{
    id: string;
    seq: string;
    act: string;
    at: InstantText;
    personId: string;
    forId: string | null;
    changes: Change[];
    isUndone: boolean;
    undoes: string | null;
  }>(
    db,
    sql`select h.id, h.seq, h.act, h.at, h.person_id as "personId", h.for_id as "forId", h.changes, h.undoes, jam_is_undone(h.seq) as "isUndone"
      from history h where h.about @> ${JSON.stringify([id])}::jsonb order by h.seq desc limit 100`,
  );
  const projects = new Map(
    (
      await rowsOf<{ id: string; name: string }>(
        db,
        sql`select p.id, p.name from project p where ${maySeeProject(viewer)}`,
      )
    ).map((project) => [project.id, project.name]),
  );
  const names = await correspondentsById(
    db,
    rows.flatMap((row) =>
      row.changes.flatMap((change) => (typeof change.after?.theirsId === "string" ? [change.after.theirsId] : [])),
    ),
  );
  const nameOf = (what: string) => people.get(what)?.name ?? names.get(what)?.name ?? projects.get(what) ?? null;
  return rows.flatMap((row) => {
    const by = people.get(row.personId);
    return by
      ? [
          {
            id: row.id,
            seq: Number(row.seq),
            at: millis(row.at),
            by,
            words: `${row.forId ? `for ${nameOf(row.forId) ?? "somebody"}: ` : ""}${historyWords(row.act, row.changes, id, nameOf, row.forId ?? row.personId)}`,
            isUndone: row.isUndone,
          },
        ]
      : [];
  });
}

/** Who hears of a task, and why. */
async function hearers(db: Database, taskId: string, task: TaskRow): Promise<TaskSheet["hears"]> {
  const said = await rowsOf<{ personId: string; hears: boolean; at: string | null }>(
    db,
    sql`select person_id as "personId", hears, null as at from posted where task_id = ${taskId}
      union all select a.person_id, true, coalesce(w.name, p.name) from posted_at a join project p on p.id = a.project_id left join workstream w on w.id = a.workstream_id
        where a.project_id = ${task.projectId}::uuid and (a.workstream_id is null or a.workstream_id = ${task.workstreamId}::uuid)`,
  );
  const ids = (hears: boolean) => said.filter((one) => one.hears === hears).map((one) => one.personId);
  const holding = { ownerId: task.owner?.id ?? null, chain: task.chain };
  return hearersOf(holding, ids(true), ids(false), await coversNow(db)).map((one) => ({
    ...one,
    at: one.why === "kept posted" ? (said.find((each) => each.personId === one.personId && each.at)?.at ?? null) : null,
  }));
}

/** Tasks that ask others for the same thing, as far as the viewer may see them. */
function togetherWith(db: Database, viewer: Viewer, taskId: string): Promise<TaskSheet["together"]> {
  return rowsOf<TaskSheet["together"][number]>(
    db,
    sql`select t.fruit || '-' || t.number as slug, t.fruit || ' ' || t.number as reference, (select name from person where id = t.owner_id) as owner, t.state
      from task t join task o on o.id = ${taskId} where t.together_id = o.together_id and t.id <> o.id and ${maySeeTask(viewer)} order by t.number`,
  );
}

/** How a letter begins, without what it quotes. */
function newWords(text: string, parts: readonly TextPart[]): string {
  const fresh = parts.filter((part) => part.kind === "new").map((part) => text.slice(part.start, part.end));
  return (fresh.join(" ").trim() || text).replace(/\s+/g, " ").trim().slice(0, 160);
}

/** Who wrote the words from which a task was made: within a letter that was passed on, its own writer. */
function writerOf(
  letter: { from: string; sentAt: InstantText; offset: string; passedOn: PassedOn | null },
  start: number | null,
): { from: string; sentAt: number; offset: string; passedOnBy: string | null } {
  const inner = letter.passedOn;
  const outer = { from: letter.from, sentAt: millis(letter.sentAt), offset: letter.offset, passedOnBy: null };
  if (!inner || start === null || start < inner.start || start >= inner.end) return outer;
  return {
    from: inner.from.name || inner.from.address,
    sentAt: inner.sentAt ?? outer.sentAt,
    offset: inner.offset,
    passedOnBy: letter.from,
  };
}

/** A task's sheet by the number of its reference, or null where it is not here or not for this viewer; `domain` is ours for mail. */
export async function taskSheet(
  db: Database,
  viewer: Viewer,
  number: number,
  domain: string | null = null,
): Promise<TaskSheet | null> {
  const [row] = await rowsOf<
    TaskColumns & {
      conversationId: string | null;
      letterId: string | null;
      start: number | null;
      end: number | null;
      workstream: string | null;
      mayWrite: MayWrite;
    }
  >(
    db,
    sql`select ${taskColumnsFor(viewer)}, t.conversation_id as "conversationId", t.letter_id as "letterId", t.start, t."end", t.may_write as "mayWrite", (select name from workstream where id = t.workstream_id) as workstream
      from task t where t.number = ${number} and ${maySeeTask(viewer)}`,
  );
  if (!row) return null;
  const { conversationId, letterId, start, end, workstream, mayWrite, ...taskPart } = row;
  const people = new Map((await team(db)).map((person) => [person.id, person]));
  const [task] = await taskRows(db, [taskPart]);
  const letters = conversationId
    ? await rowsOf<{
        id: string;
        from: string;
        sentAt: InstantText;
        receivedAt: InstantText;
        offset: string;
        text: string;
        parts: TextPart[];
        files: TaskSheet["files"];
        automatic: string | null;
        passedOn: PassedOn | null;
      }>(
        db,
        sql`select l.id, coalesce(nullif(l.from_name, ''), l.from_address) as "from", l.sent_at as "sentAt", l.received_at as "receivedAt", l."offset", left(l.text, 100000) as text, l.parts, l.files, l.automatic, l.passed_on as "passedOn"
          from letter l join conversation c on c.id = l.conversation_id where c.id = ${conversationId} and ${maySeeConversation(viewer)} order by l.sent_at, l.id limit 100`,
      )
    : [];
  const own = letters.find((letter) => letter.id === letterId) ?? null;
  const comments = await rowsOf<{
    id: string;
    personId: string;
    text: string;
    kind: CommentKind;
    at: InstantText;
  }>(
    db,
    sql`select id, person_id as "personId", text, kind, at from comment where task_id = ${row.id} order by at desc limit 200`,
  );
  return {
    task: task!,
    workstream,
    mayWrite,
    address: domain ? taskAddress(task!.slug, domain) : null,
    passage: own
      ? {
          letterId: own.id,
          words: start !== null && end !== null ? own.text.slice(start, end).replace(/\s+/g, " ") : "",
          start,
          end,
          ...writerOf(own, start),
        }
      : null,
    hasHiddenLetter: letterId !== null && own === null,
    files: letters.flatMap((letter) => letter.files.map((file) => ({ ...file, letterId: letter.id }))),
    comments: comments.flatMap((comment) => {
      const by = people.get(comment.personId);
      return by ? [{ id: comment.id, by, text: comment.text, kind: comment.kind, at: millis(comment.at) }] : [];
    }),
    hears: await hearers(db, row.id, task!),
    reminders: await remindersFor(db, viewer, task!),
    hasNews: await hasFreshNotice(db, viewer, row.id),
    together: await togetherWith(db, viewer, row.id),
    happened: await happenedTo(db, viewer, row.id, people),
    conversationId: letters.length > 0 ? conversationId : null,
    outgoing: await outgoingOfTask(db, taskPart.id),
    laterLetters: letters
      .filter(
        (letter) =>
          (letter.automatic === null || letter.automatic === "list" || letter.automatic === "bounce") &&
          letter.id !== letterId &&
          (own === null || millis(letter.sentAt) > millis(own.sentAt)),
      )
      .map((letter) => ({
        id: letter.id,
        from: letter.from,
        sentAt: millis(letter.sentAt),
        begins: newWords(letter.text, letter.parts),
      })),
  };
}
