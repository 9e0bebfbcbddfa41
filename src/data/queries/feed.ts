import crypto from "node:crypto";
import { sql } from "drizzle-orm";
import type { FeedTask } from "../../core/exchange/calendar-feed";
import type { Priority } from "../../core/reading/slip";
import type { TaskState } from "../../core/tasks/task";
import type { Database } from "../engine/database";
import { maySeeProject, maySeeTask, type Viewer } from "../need-to-know";
import { type InstantText, millis, millisOrNull, rowsOf } from "../rows";

/** Tasks in a feed at the most; those due first. */
const MOST_FED = 1_000;

/** Days for which a finished task stays in the feed, so that programs hear of its end. */
const DAYS_AFTER_END = 14;

/** The key of somebody's feeds: made when they first ask, or anew, after which the old addresses no longer work. */
export async function feedKeyOf(db: Database, viewer: Viewer, isNew: boolean): Promise<string> {
  const fresh = crypto.randomBytes(24).toString("base64url");
  const [row] = await rowsOf<{ key: string }>(
    db,
    isNew
      ? sql`update person set feed_key = ${fresh} where id = ${viewer.personId} returning feed_key as key`
      : sql`update person set feed_key = coalesce(feed_key, ${fresh}) where id = ${viewer.personId} returning feed_key as key`,
  );
  return row!.key;
}

/** Whose feeds have this key; null where nobody's have. */
export async function feedOwner(
  db: Database,
  key: string,
): Promise<{ id: string; name: string; zone: string | null } | null> {
  const [row] = await rowsOf<{ id: string; name: string; zone: string | null }>(
    db,
    sql`select id, name, zone from person where feed_key = ${key} and left_on is null`,
  );
  return row ?? null;
}

/**
 * The tasks that somebody owns, open ones and those that ended lately, as their feeds tell of them.
 * @param now milliseconds since 1970 UTC
 */
export async function fedTasks(db: Database, viewer: Viewer, base: string, now: number): Promise<FeedTask[]> {
  const since = new Date(now - DAYS_AFTER_END * 86_400_000);
  const rows = await rowsOf<{
    id: string;
    fruit: string;
    number: number;
    title: string;
    state: TaskState;
    priority: Priority;
    dueDay: string | null;
    dueTime: string | null;
    dueZone: string | null;
    startDay: string | null;
    percent: number | null;
    project: string | null;
    createdAt: InstantText;
    changedAt: InstantText;
    finishedAt: InstantText | null;
  }>(
    db,
    sql`select t.id, t.fruit, t.number, t.title, t.state, t.priority, t.due_day as "dueDay", t.due_time as "dueTime", t.due_zone as "dueZone", t.start_day::text as "startDay", t.percent,
        (select p.name from project p where p.id = t.project_id and ${maySeeProject(viewer)}) as project, t.created_at as "createdAt", t.changed_at as "changedAt", t.finished_at as "finishedAt"
      from task t where t.owner_id = ${viewer.personId} and t.side = 'ours' and ${maySeeTask(viewer)}
        and (t.state in ('to begin', 'under way') or t.finished_at > ${since}) order by t.due_day nulls last, t.number limit ${MOST_FED}`,
  );
  return rows.map(({ fruit, number, dueDay, dueTime, dueZone, createdAt, changedAt, finishedAt, ...rest }) => ({
    ...rest,
    reference: `${fruit} ${number}`,
    due: dueDay ? { day: dueDay, time: dueTime, zone: dueZone ?? "UTC" } : null,
    createdAt: millis(createdAt),
    changedAt: millis(changedAt),
    finishedAt: millisOrNull(finishedAt),
    link: `${base}/tasks/${fruit}-${number}`,
  }));
}
