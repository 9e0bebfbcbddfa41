import { sql } from "drizzle-orm";
import type { Chain } from "../../core/tasks/chain";
import type { TaskState } from "../../core/tasks/task";
import type { Database } from "../engine/database";
import { maySeeTask } from "../need-to-know";
import { rowsOf } from "../rows";

/** What a link in a notice letter leads to: whose answer it is, and the task as it is now. */
export interface AnswerLink {
  readonly personId: string;
  readonly name: string;
  readonly taskId: string;
  readonly reference: string;
  readonly title: string;
  readonly state: TaskState;
  readonly ownerId: string | null;
  readonly owner: string | null;
  readonly giver: string | null;
  readonly chain: Chain;
}

/** The hand-over that a key answers to; null where there is none, or its task may not be seen any more. */
export async function answerLink(db: Database, key: string): Promise<AnswerLink | null> {
  if (!/^[\w-]{32}$/.test(key)) return null;
  const [row] = await rowsOf<Omit<AnswerLink, "giver"> & { giver: string | null }>(
    db,
    sql`select n.person_id as "personId", p.name, t.id as "taskId", t.fruit || ' ' || t.number as reference, t.title, t.state, t.owner_id as "ownerId",
        (select name from person where id = t.owner_id) as owner, (select g.name from person g where g.id = (t.chain->-1->>'by')::uuid) as giver, t.chain
      from notice n join person p on p.id = n.person_id join task t on t.id = n.task_id where n.answer_key = ${key}`,
  );
  if (!row) return null;
  const [may] = await rowsOf<{ may: boolean }>(
    db,
    sql`select ${maySeeTask({ personId: row.personId })} as may from task t where t.id = ${row.taskId}`,
  );
  return may?.may ? row : null;
}
