import { type SQL, sql } from "drizzle-orm";
import { historyWords } from "../../core/tasks/history-words";
import type { Change } from "../../core/tasks/outcome";
import type { AwayView, CoverView, DoneFor, WhileAway } from "../../core/views/days-view";
import type { TaskRow } from "../../core/views/views";
import type { Database } from "../engine/database";
import { maySeeConversation, maySeeTask, type Viewer } from "../need-to-know";
import { type InstantText, millis, millisOrNull, rowsOf } from "../rows";
import { correspondentsById, team } from "./people";
import { openTasksWhere } from "./short-lists";
import { counted } from "./tasks";

/** Things of each list at the most. */
const MOST_LISTED = 100;

interface Row extends Omit<AwayView, "mayEnd"> {
  beganAt: InstantText | null;
  endedAt: InstantText | null;
  seenAt: InstantText | null;
}

async function absences(db: Database, where: SQL): Promise<Row[]> {
  return rowsOf<Row>(
    db,
    sql`select a.id, a.person_id as "personId", p.name, a.from_day::text as "fromDay", a.back_day::text as "backDay", a.cover_id as "coverId", c.name as "coverName",
        a.with_mailboxes as "withMailboxes", a.state, a.began_at as "beganAt", a.ended_at as "endedAt", a.seen_at as "seenAt"
      from away a join person p on p.id = a.person_id left join person c on c.id = a.cover_id where ${where} order by a.from_day, a.id limit 400`,
  );
}

function asView(row: Row, mayEnd: boolean): AwayView {
  const { beganAt, endedAt, seenAt, ...view } = row;
  return { ...view, mayEnd };
}

/** Acts done for somebody in a time, as far as the viewer may see their tasks. */
async function doneFor(db: Database, viewer: Viewer, personId: string, from: number, to: number): Promise<DoneFor[]> {
  const rows = await rowsOf<{
    id: string;
    act: string;
    personId: string;
    by: string;
    at: InstantText;
    changes: Change[];
    taskId: string | null;
    slug: string | null;
    reference: string | null;
    title: string | null;
    subject: string | null;
    aboutId: string;
  }>(
    db,
    sql`select h.id, h.act, h.person_id as "personId", p.name as "by", h.at, h.changes, t.id as "taskId", t.fruit || '-' || t.number as slug, t.fruit || ' ' || t.number as reference, t.title,
        (select c.subject from conversation c where c.id = (h.about->>0)::uuid and ${maySeeConversation(viewer)}) as subject, h.about->>0 as "aboutId"
      from history h join person p on p.id = h.person_id
        left join lateral (select t.* from task t where t.id::text in (select jsonb_array_elements_text(h.about)) and ${maySeeTask(viewer)} order by t.number limit 1) t on true
      where h.for_id = ${personId} and h.at >= ${new Date(from)} and h.at <= ${new Date(to)} and not jam_is_undone(h.seq) and h.act <> 'undo' order by h.seq desc limit ${MOST_LISTED}`,
  );
  const people = new Map((await team(db)).map((person) => [person.id, person.name]));
  const outside = await correspondentsById(
    db,
    rows.flatMap((row) =>
      row.changes.flatMap((change) => (typeof change.after?.theirsId === "string" ? [change.after.theirsId] : [])),
    ),
  );
  const nameOf = (id: string) => people.get(id) ?? outside.get(id)?.name ?? null;
  return rows.flatMap((row) => {
    const title = row.title ?? row.subject;
    if (!title) return [];
    return [
      {
        id: row.id,
        at: millis(row.at),
        by: row.by,
        words: historyWords(row.act, row.changes, row.taskId ?? row.aboutId, nameOf, personId),
        reference: row.reference,
        slug: row.slug,
        title,
      },
    ];
  });
}

function openTasks(db: Database, viewer: Viewer, condition: SQL): Promise<TaskRow[]> {
  return openTasksWhere(db, viewer, condition, MOST_LISTED);
}

async function whileAway(db: Database, viewer: Viewer, row: Row, now: number): Promise<WhileAway> {
  const from = millisOrNull(row.beganAt) ?? now;
  const to = millisOrNull(row.endedAt) ?? now;
  const theirs = sql`t.owner_id = ${row.personId}`;
  return {
    away: asView(row, true),
    endedAt: millisOrNull(row.endedAt),
    isSeen: row.seenAt !== null,
    done: await doneFor(db, viewer, row.personId, from, to),
    given: await openTasks(
      db,
      viewer,
      sql`${theirs} and exists (select 1 from notice n where n.task_id = t.id and n.person_id = ${row.personId} and n.what = 'given' and n.at >= ${new Date(from)} and n.at <= ${new Date(to)})`,
    ),
    over: await openTasks(
      db,
      viewer,
      sql`${theirs} and t.due_day >= ${row.fromDay}::date - 1 and t.due_day < (${new Date(to)}::timestamptz at time zone (select zone from organisation limit 1))::date`,
    ),
  };
}

/** What happened in a time away, for whoever was away. */
export async function whileAwayOf(db: Database, awayId: string, now: number): Promise<WhileAway | null> {
  const [row] = await absences(db, sql`a.id = ${awayId}`);
  return row ? whileAway(db, { personId: row.personId }, row, now) : null;
}

/** Who is away and who covers; what happened while the viewer was away, and what they look after for others. */
export async function coverFor(db: Database, viewer: Viewer, now: number): Promise<CoverView> {
  const [me] = await rowsOf<{ isLead: boolean }>(
    db,
    sql`select is_lead as "isLead" from person where id = ${viewer.personId}`,
  );
  const known = await absences(db, sql`a.state <> 'over'`);
  const [own] = (
    await absences(db, sql`a.person_id = ${viewer.personId} and a.state = 'over' and a.seen_at is null`)
  ).slice(-1);
  const covering: CoverView["covering"][number][] = [];
  for (const row of known.filter((one) => one.state === "on" && one.coverId === viewer.personId)) {
    const open = sql`t.state in ('to begin', 'under way') and ${maySeeTask(viewer)}`;
    const [letters] = await rowsOf<{ n: number }>(
      db,
      sql`select count(distinct c.id)::int as n from conversation c join letter l on l.conversation_id = c.id join arrival a on a.letter_id = l.id join way_in w on w.id = a.way_in_id
        where c.place = 'sort' and w.owner_id = ${row.personId} and ${row.withMailboxes} and ${maySeeConversation(viewer)}`,
    );
    covering.push({
      ...(await whileAway(db, viewer, row, now)),
      open: await counted(db, sql`t.owner_id = ${row.personId} and t.side = 'ours' and ${open}`),
      waits: await counted(db, sql`t.owner_id = ${row.personId} and t.side = 'theirs' and ${open}`),
      letters: letters!.n,
    });
  }
  return {
    isLead: me?.isLead ?? false,
    absences: known.map((row) => asView(row, row.personId === viewer.personId || (me?.isLead ?? false))),
    own: own ? await whileAway(db, viewer, own, now) : null,
    covering,
  };
}

/** Whoever was away has looked at what happened meanwhile. */
export async function seeWhileAway(db: Database, viewer: Viewer, now: number): Promise<void> {
  await db.execute(
    sql`update away set seen_at = ${new Date(now)} where person_id = ${viewer.personId} and state = 'over' and seen_at is null`,
  );
}
