import { type SQL, sql } from "drizzle-orm";
import { SHELF } from "../../core/tasks/decisions/put-by";
import type { OpenItems, ReviewView } from "../../core/views/review-view";
import type { TaskRow } from "../../core/views/views";
import type { Database } from "../engine/database";
import { maySeeProject, type Viewer } from "../need-to-know";
import { type InstantText, millisOrNull, rowsOf } from "../rows";
import { openTasksWhere } from "./short-lists";
import { sortPage } from "./sort";

/** Rows of each list at the most. */
const MOST_LISTED = 60;

function openTasks(db: Database, viewer: Viewer, condition: SQL): Promise<TaskRow[]> {
  return openTasksWhere(db, viewer, condition, MOST_LISTED);
}

/** What lies on the shelf, and what lacks an owner, a date or a next step. */
export async function reviewFor(db: Database, viewer: Viewer): Promise<ReviewView> {
  const [me] = await rowsOf<{ reviewedAt: InstantText | null }>(
    db,
    sql`select reviewed_at as "reviewedAt" from person where id = ${viewer.personId}`,
  );
  const shelf = sql`t.put_until >= ${SHELF}::timestamptz`;
  const putBy = await sortPage(db, viewer, "put by", null, 500);
  return {
    reviewedAt: millisOrNull(me?.reviewedAt ?? null),
    shelf: putBy.rows.filter((row) => row.putUntil !== null && row.putUntil >= Date.parse(SHELF)).slice(0, MOST_LISTED),
    shelfTasks: await openTasks(db, viewer, shelf),
    nobodys: await openTasks(db, viewer, sql`t.owner_id is null and t.side = 'ours'`),
    undated: await openTasks(
      db,
      viewer,
      sql`t.due_day is null and t.owner_id is not null and not coalesce(${shelf}, false)`,
    ),
    idle: await rowsOf<ReviewView["idle"][number]>(
      db,
      sql`select p.id, p.name, (select name from firm where id = p.firm_id) as firm from project p
        where ${maySeeProject(viewer)} and not exists (select 1 from task t where t.project_id = p.id and t.state in ('to begin', 'under way')) order by p.name limit ${MOST_LISTED}`,
    ),
  };
}

/** Somebody has finished a review. */
export async function noteReviewed(db: Database, viewer: Viewer, now: number): Promise<void> {
  await db.execute(sql`update person set reviewed_at = ${new Date(now)} where id = ${viewer.personId}`);
}

/** Everything open with somebody outside or others of their firm: what they owe us, and what we owe them by their letters. */
export async function openItemsWith(db: Database, viewer: Viewer, correspondentId: string): Promise<OpenItems> {
  const people = sql`(select o.id from correspondent o where o.id = ${correspondentId}
    or (o.firm_id is not null and o.firm_id = (select firm_id from correspondent where id = ${correspondentId})))`;
  return {
    theirs: await openTasks(db, viewer, sql`t.theirs_id in ${people}`),
    ours: await openTasks(
      db,
      viewer,
      sql`t.side = 'ours' and exists (select 1 from letter ol join correspondent o on o.address = ol.from_address where ol.id = t.letter_id and o.id in ${people})`,
    ),
  };
}
