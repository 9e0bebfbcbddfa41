import { sql } from "drizzle-orm";
import { z } from "zod";
import { hold } from "../../core/tasks/decisions/hold";
import { howFar } from "../../core/tasks/decisions/how-far";
import { planChases } from "../../core/tasks/decisions/plan-chases";
import { startOn } from "../../core/tasks/decisions/start-on";
import type { Step } from "../../core/tasks/steps";
import type { TaskState } from "../../core/tasks/task";
import { isMachinesAddress } from "../../core/waiting/machines-address";
import { maySeeTask } from "../../data/need-to-know";
import { rowsOf } from "../../data/rows";
import { define } from "../act";
import { day, id } from "../inputs";
import { handFacts } from "./hand-acts";

export const howFarAct = define({
  name: "how far",
  input: z.object({ taskId: id, percent: z.number().nullable() }),
  async load(db, actor, input) {
    const facts = await handFacts(db, actor, input.taskId);
    const [row] = await rowsOf<{ steps: Step[] }>(db, sql`select steps from task where id = ${input.taskId}`);
    return facts && { ...facts, steps: row?.steps ?? [] };
  },
  decide: (facts, input, now) => howFar(facts, input, now),
});

/** Says from which day on a task can be begun. */
export const startOnAct = define({
  name: "start on",
  input: z.object({ taskId: id, day: day.nullable() }),
  async load(db, actor, input) {
    const facts = await handFacts(db, actor, input.taskId);
    const [row] = await rowsOf<{ dueDay: string | null }>(
      db,
      sql`select due_day::text as "dueDay" from task where id = ${input.taskId}`,
    );
    return facts && { ...facts, dueDay: row?.dueDay ?? null };
  },
  decide: (facts, input, now) => startOn(facts, input, now),
});

/** Says that a task is held by another one, mostly a wait. */
export const holdAct = define({
  name: "hold",
  input: z.object({ taskId: id, heldById: id.nullable() }),
  async load(db, actor, input) {
    const facts = await handFacts(db, actor, input.taskId);
    if (!facts || input.heldById === null) return facts && { facts, holder: null };
    const [row] = await rowsOf<{ id: string; reference: string; state: TaskState; above: string[] }>(
      db,
      sql`select t.id, t.fruit || ' ' || t.number as reference, t.state,
          array(with recursive up(id, depth) as (select t.held_by_id, 1 union all select o.held_by_id, up.depth + 1 from up join task o on o.id = up.id where up.depth < 100)
            select id::text from up where id is not null) as above
        from task t where t.id = ${input.heldById} and ${maySeeTask(actor)} for update of t`,
    );
    return row ? { facts, holder: row } : null;
  },
  decide: ({ facts, holder }, _input, now) => hold(facts, holder, now),
});

/** Plans letters that chase by themselves. */
export const planChasesAct = define({
  name: "plan chases",
  input: z.object({
    taskId: id,
    firstAt: z.iso.datetime().nullable(),
    every: z.number().int().min(1).max(60).default(3),
    letters: z.number().int().default(1),
  }),
  async load(db, actor, input) {
    const facts = await handFacts(db, actor, input.taskId);
    const [them] = await rowsOf<{ name: string; address: string }>(
      db,
      sql`select k.name, k.address from task t join correspondent k on k.id = t.theirs_id where t.id = ${input.taskId} and t.side = 'theirs'`,
    );
    return (
      facts && {
        ...facts,
        them: them ? { name: them.name || them.address, isMachine: isMachinesAddress(them.address) } : null,
        canSend: Boolean(process.env.JAM_SMTP_OUT),
      }
    );
  },
  decide: (facts, input, now) => planChases(facts, input, now),
});
