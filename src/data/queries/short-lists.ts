import { type SQL, sql } from "drizzle-orm";
import type { TaskRow } from "../../core/views/views";
import type { Database } from "../engine/database";
import { maySeeTask, type Viewer } from "../need-to-know";
import { rowsOf } from "../rows";
import { type TaskColumns, taskColumnsFor, taskRows } from "./tasks";

/** Open tasks that fit a condition on `t`, as far as the viewer may see them: by due date, the undated last. */
export async function openTasksWhere(db: Database, viewer: Viewer, condition: SQL, limit: number): Promise<TaskRow[]> {
  const rows = await rowsOf<TaskColumns>(
    db,
    sql`select ${taskColumnsFor(viewer)} from task t where t.state in ('to begin', 'under way') and ${condition} and ${maySeeTask(viewer)}
      order by coalesce(t.due_day, '9999-12-31'::date), coalesce(t.due_time, '99:99'), t.number limit ${limit}`,
  );
  return taskRows(db, rows);
}
