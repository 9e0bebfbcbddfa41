import { type SQL, sql } from "drizzle-orm";
import { minutesOf, nextMorning, roundAt } from "../../core/days/round";
import { addDays, type WorkingCalendar, workingDayFrom } from "../../core/time/day";
import { dayOf } from "../../core/time/moment";
import { MOST_IN_A_PART, type RoundDone, type RoundStart } from "../../core/views/days-view";
import { MOST_COUNTED, type TaskRow } from "../../core/views/views";
import { isForToday } from "../../core/waiting/next-step";
import type { Database } from "../engine/database";
import { newId } from "../ids";
import { maySeeConversation, maySeeTask, type Viewer } from "../need-to-know";
import { type InstantText, millis, millisOrNull, rowsOf } from "../rows";
import { round } from "../schema-days";
import { openTasksWhere } from "./short-lists";
import { sortCount, sortPage } from "./sort";
import { counted } from "./tasks";
import { waitingPage } from "./waiting";

/** How far back a round reaches where none was finished lately. */
const LONGEST_ROUND_MS = 24 * 3_600_000;

/** The organisation's clock and calendar. */
interface Now {
  readonly at: number;
  readonly zone: string;
  readonly calendar: WorkingCalendar;
}

function openTasks(db: Database, viewer: Viewer, condition: SQL): Promise<TaskRow[]> {
  return openTasksWhere(db, viewer, sql`t.put_until is null and ${condition}`, MOST_IN_A_PART);
}

/** The wall times of somebody's rounds, and until when their day is closed. */
async function timesOf(db: Database, viewer: Viewer): Promise<{ times: string[]; closedUntil: number | null }> {
  const [row] = await rowsOf<{ times: string[]; closedUntil: InstantText | null }>(
    db,
    sql`select digest_times as times, closed_until as "closedUntil" from person where id = ${viewer.personId}`,
  );
  return { times: row!.times, closedUntil: millisOrNull(row!.closedUntil) };
}

async function earlierRounds(db: Database, viewer: Viewer): Promise<RoundDone[]> {
  const rows = await rowsOf<Omit<RoundDone, "endedAt"> & { endedAt: InstantText }>(
    db,
    sql`select id, what, ended_at as "endedAt", came, dealt, "left", minutes from round where person_id = ${viewer.personId} order by ended_at desc limit 15`,
  );
  return rows.map((row) => ({ ...row, endedAt: millis(row.endedAt) }));
}

type Figures = Pick<RoundDone, "came" | "dealt" | "left" | "minutes">;

/** What came and was dealt with since an instant, what is left, and the minutes that took. */
async function figuresSince(db: Database, viewer: Viewer, since: number, now: number): Promise<Figures> {
  const from = new Date(since);
  const [came] = await rowsOf<{ n: number }>(
    db,
    sql`select count(*)::int as n from (select 1 from conversation c where c.came_at > ${from} and c.came_at <= ${new Date(now)} and ${maySeeConversation(viewer)} limit ${MOST_COUNTED + 1}) x`,
  );
  const acts = await rowsOf<{ at: InstantText }>(
    db,
    sql`select at from history where person_id = ${viewer.personId} and at > ${from} and at <= ${new Date(now)} order by seq desc limit 2000`,
  );
  const [dealt] = await rowsOf<{ n: number }>(
    db,
    sql`select count(*)::int as n from conversation c where c.dealt_by = ${viewer.personId} and c.dealt_at > ${from} and c.dealt_at <= ${new Date(now)}`,
  );
  return {
    came: came!.n,
    dealt: dealt!.n,
    left: await sortCount(db, viewer),
    minutes: minutesOf(acts.map((act) => millis(act.at))),
  };
}

/** What a look at the viewer's own waits comes to today: promises broken, letters to look over, calls. */
async function waitsToday(db: Database, viewer: Viewer, now: Now): Promise<RoundStart["waits"]> {
  const look = { from: "outside", personId: null, projectId: null, forId: viewer.personId, order: "silence" } as const;
  const today = dayOf(now);
  const waits = { broken: 0, lettersReady: 0, calls: 0 };
  let cursor: string | null = null;
  // Three pages are more than anybody looks over in one sitting.
  for (let page = 0; page < 3; page += 1) {
    const { rows, next } = await waitingPage(db, viewer, look, cursor, now);
    for (const { next: step, due, isPromise } of rows) {
      if (isPromise && due && due.day < today) waits.broken += 1;
      if (isForToday(step, today)) waits[step.what === "ring" ? "calls" : "lettersReady"] += 1;
    }
    if (next === null) break;
    cursor = next;
  }
  return waits;
}

/** Where the round of now begins for somebody. */
export async function roundStart(db: Database, viewer: Viewer, now: Now): Promise<RoundStart> {
  const { times, closedUntil } = await timesOf(db, viewer);
  const back = await rowsOf(
    db,
    sql`select 1 from away where person_id = ${viewer.personId} and state = 'over' and seen_at is null limit 1`,
  );
  const earlier = await earlierRounds(db, viewer);
  const since = Math.max(earlier[0]?.endedAt ?? 0, now.at - LONGEST_ROUND_MS);
  const today = dayOf(now);
  const mine = sql`t.owner_id = ${viewer.personId} and t.side = 'ours'`;
  const gave = sql`t.chain @> ${JSON.stringify([{ by: viewer.personId }])}::jsonb`;
  const letters = await sortPage(db, viewer, "sort", null, 6);
  const tomorrow = workingDayFrom(addDays(today, 1), now.calendar);
  return {
    name: roundAt(times, now),
    covers: await rowsOf<RoundStart["covers"][number]>(
      db,
      sql`select p.name, a.back_day::text as "backDay" from away a join person p on p.id = a.person_id where a.cover_id = ${viewer.personId} and a.state = 'on' order by a.back_day`,
    ),
    isBack: back.length > 0,
    since,
    ...(await figuresSince(db, viewer, since, now.at)),
    letters: letters.rows.map((row) => ({ id: row.id, title: row.first?.title ?? row.subject, from: row.from })),
    given: await openTasks(db, viewer, sql`${mine} and t.chain->-1->>'answer' = 'needs-action'`),
    back: await openTasks(db, viewer, sql`t.owner_id is null and t.side = 'ours' and ${gave}`),
    due: await openTasks(db, viewer, sql`${mine} and t.due_day <= ${today}::date`),
    returned: await openTasks(
      db,
      viewer,
      sql`(t.owner_id = ${viewer.personId} or ${gave}) and t.returned_at > ${new Date(since)}`,
    ),
    doubted: await openTasks(
      db,
      viewer,
      sql`t.doubt is not null and t.owner_id is distinct from ${viewer.personId}::uuid and ${gave}`,
    ),
    waits: await waitsToday(db, viewer, now),
    earlier,
    closedUntil: closedUntil !== null && closedUntil > now.at ? closedUntil : null,
    doneToday: await counted(
      db,
      sql`t.owner_id = ${viewer.personId} and t.finished_at is not null and (t.finished_at at time zone ${now.zone})::date = ${today}::date and ${maySeeTask(viewer)}`,
    ),
    tomorrow: await openTasks(
      db,
      viewer,
      sql`${mine} and t.due_day > ${today}::date and t.due_day <= ${tomorrow}::date`,
    ),
  };
}

async function noteRound(
  db: Database,
  viewer: Viewer,
  what: RoundDone["what"],
  since: number,
  now: Now,
): Promise<void> {
  await db.insert(round).values({
    id: newId(now.at),
    personId: viewer.personId,
    what,
    began: new Date(since),
    endedAt: new Date(now.at),
    ...(await figuresSince(db, viewer, since, now.at)),
  });
}

/** A round is finished: what came, was dealt with and is left, and how long it took. */
export async function finishRound(db: Database, viewer: Viewer, now: Now): Promise<void> {
  const [last] = await earlierRounds(db, viewer);
  await noteRound(db, viewer, "round", Math.max(last?.endedAt ?? 0, now.at - LONGEST_ROUND_MS), now);
}

/** The day is closed: nothing interrupts until the first round of the next working day; null opens it again. */
export async function closeDay(db: Database, viewer: Viewer, isClosed: boolean, now: Now): Promise<void> {
  const { times } = await timesOf(db, viewer);
  const until = isClosed ? new Date(nextMorning(times, now, now.calendar)) : null;
  await db.execute(sql`update person set closed_until = ${until} where id = ${viewer.personId}`);
  if (!isClosed) return;
  const [midnight] = await rowsOf<{ at: InstantText }>(
    db,
    sql`select (${dayOf(now)}::date)::timestamp at time zone ${now.zone} as at`,
  );
  await noteRound(db, viewer, "day", millis(midnight!.at), now);
}
