import { sql } from "drizzle-orm";
import type { Database } from "../engine/database";
import { maySeeTask, type Viewer } from "../need-to-know";
import { rowsOf } from "../rows";

/** Of these tasks, as far as a viewer may see them, who does not want to hear of which. */
export function hearsNot(
  db: Database,
  viewer: Viewer,
  taskIds: readonly string[],
): Promise<{ taskId: string; personId: string }[]> {
  if (taskIds.length === 0) return Promise.resolve([]);
  return rowsOf(
    db,
    sql`select n.task_id as "taskId", n.person_id as "personId" from posted n join task t on t.id = n.task_id
      where n.task_id in ${[...taskIds]} and not n.hears and ${maySeeTask(viewer)}`,
  );
}
