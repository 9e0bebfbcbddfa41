import { sql } from "drizzle-orm";
import type { Day } from "../../core/time/day";
import type { LoadView } from "../../core/views/notices-view";
import type { Database } from "../engine/database";
import { maySeeTask, type Viewer } from "../need-to-know";
import { rowsOf } from "../rows";

/** What each of the team has on hand, of tasks that the viewer may see. */
export function loadOfTeam(db: Database, viewer: Viewer, by: Day, today: Day): Promise<LoadView[]> {
  return rowsOf<LoadView>(
    db,
    sql`select p.id as "personId",
        count(*) filter (where t.due_day <= ${by}::date)::int as "dueBy", count(*) filter (where t.due_day < ${today}::date)::int as late, count(t.id)::int as "all"
      from person p left join task t on t.owner_id = p.id and t.side = 'ours' and t.state in ('to begin', 'under way') and ${maySeeTask(viewer)} group by p.id`,
  );
}
