import { sql } from "drizzle-orm";
import { z } from "zod";
import { holdingOf } from "../../core/tasks/decisions/change-fields";
import { changeSteps } from "../../core/tasks/decisions/change-steps";
import { finishAndNext } from "../../core/tasks/decisions/finish-and-next";
import {
  askBack,
  doubt,
  type HandFacts,
  type HandOverFacts,
  handBack,
  handOver,
  takeOn,
} from "../../core/tasks/decisions/hand-over";
import { handOverMany, MOST_AT_ONCE } from "../../core/tasks/decisions/hand-over-many";
import { noteCall } from "../../core/tasks/decisions/note-call";
import { repeat } from "../../core/tasks/decisions/repeat";
import type { Step } from "../../core/tasks/steps";
import type { TaskState } from "../../core/tasks/task";
import { dayOf } from "../../core/time/moment";
import type { Database } from "../../data/engine/database";
import { actsFor } from "../../data/queries/cover";
import { theOrganisation } from "../../data/queries/people";
import { rowsOf } from "../../data/rows";
import { type Actor, define } from "../act";
import { areMembers, namesFor, takeIds, takeNumbers, taskColumns } from "../facts";
import { due, id, priority, text } from "../inputs";
import { rowAsValues } from "../write-rows";

/** A task as handing it over looks at it, where the actor may see it; locked. Who covers its owner acts in their place. */
export async function handFacts(db: Database, actor: Actor, taskId: string): Promise<HandFacts | null> {
  const task = await taskColumns(db, actor, taskId);
  if (!task) return null;
  const [row] = await rowsOf<{ reference: string }>(
    db,
    sql`select fruit || ' ' || number as reference from task where id = ${taskId}`,
  );
  const holding = holdingOf(task.columns);
  const names = await namesFor(db, actor, [holding.ownerId]);
  return {
    id: taskId,
    about: [taskId, ...(task.conversationId ? [task.conversationId] : [])],
    reference: row!.reference,
    state: task.columns.state as TaskState,
    holding,
    actorId: (await actsFor(db, actor, holding.ownerId)) ?? actor.personId,
    doerId: actor.personId,
    ownerName: holding.ownerId ? (names.get(holding.ownerId) ?? null) : null,
  };
}

async function handOverFacts(
  db: Database,
  actor: Actor,
  input: { readonly taskId: string; readonly toIds: readonly string[] },
): Promise<HandOverFacts | null> {
  const facts = await handFacts(db, actor, input.taskId);
  if (!facts || !(await areMembers(db, input.toIds))) return null;
  const columns = (await rowAsValues(db, "task", input.taskId))!;
  const others = new Set(input.toIds).size - 1;
  return {
    ...facts,
    columns,
    togetherId: (columns.togetherId as string | null) ?? null,
    ids: takeIds(others + 1),
    numbers: await takeNumbers(db, others),
  };
}

export const handOverAct = define({
  name: "hand over",
  input: z.object({ taskId: id, toIds: z.array(id).min(1).max(20), note: text, due: due.optional() }),
  load: (db, actor, input) => handOverFacts(db, actor, input),
  decide: (facts, input, now) => handOver(facts, input, now),
});

export const handOverManyAct = define({
  name: "hand over many",
  input: z.object({ taskIds: z.array(id).min(1).max(MOST_AT_ONCE), toId: id, note: text, due: due.optional() }),
  async load(db, actor, input) {
    const tasks: HandOverFacts[] = [];
    // In one order for everybody, so that two who hand over the same tasks wait for each other instead of standing still.
    for (const taskId of [...new Set(input.taskIds)].sort()) {
      const facts = await handOverFacts(db, actor, { taskId, toIds: [input.toId] });
      if (!facts) return null;
      tasks.push(facts);
    }
    return tasks;
  },
  decide: (facts, input, now) => handOverMany(facts, input, now),
});

export const takeOnAct = define({
  name: "take on",
  input: z.object({ taskId: id }),
  load: (db, actor, input) => handFacts(db, actor, input.taskId),
  decide: (facts, _input, now) => takeOn(facts, now),
});

export const handBackAct = define({
  name: "hand back",
  input: z.object({ taskId: id, reason: text }),
  load: (db, actor, input) => handFacts(db, actor, input.taskId),
  decide: (facts, input, now) => handBack(facts, input, now),
});

export const askBackAct = define({
  name: "ask back",
  input: z.object({ taskId: id, question: text }),
  async load(db, actor, input) {
    const facts = await handFacts(db, actor, input.taskId);
    return facts && { ...facts, commentId: takeIds(1)[0]! };
  },
  decide: (facts, input, now) => askBack(facts, input, now),
});

export const doubtAct = define({
  name: "doubt",
  input: z.object({ taskId: id, reason: text }),
  load: (db, actor, input) => handFacts(db, actor, input.taskId),
  decide: (facts, input, now) => doubt(facts, input, now),
});

export const finishAndNextAct = define({
  name: "finish and next",
  input: z.object({ taskId: id, title: text, ownerId: id.nullable(), due, priority }),
  async load(db, actor, input) {
    const facts = await handFacts(db, actor, input.taskId);
    const task = await taskColumns(db, actor, input.taskId);
    if (!facts || !task || !(await areMembers(db, input.ownerId ? [input.ownerId] : []))) return null;
    return { ...facts, columns: task.columns, newId: takeIds(1)[0]!, number: (await takeNumbers(db, 1))[0]! };
  },
  decide: (facts, input, now) => finishAndNext(facts, input, now),
});

export const noteCallAct = define({
  name: "note a call",
  input: z.object({ taskId: id, text, isReached: z.boolean(), due: due.unwrap().optional() }),
  async load(db, actor, input) {
    const facts = await handFacts(db, actor, input.taskId);
    return facts && { ...facts, commentId: takeIds(1)[0]! };
  },
  decide: (facts, input, now) => noteCall(facts, input, now),
});

export const stepAct = define({
  name: "step",
  input: z.object({
    taskId: id,
    change: z.discriminatedUnion("kind", [
      z.object({ kind: z.literal("add"), text }),
      z.object({ kind: z.literal("tick"), stepId: id, isDone: z.boolean() }),
      z.object({ kind: z.literal("remove"), stepId: id }),
    ]),
  }),
  async load(db, actor, input) {
    const facts = await handFacts(db, actor, input.taskId);
    const [row] = await rowsOf<{ steps: Step[] }>(db, sql`select steps from task where id = ${input.taskId}`);
    return facts && { ...facts, steps: row?.steps ?? [], newId: takeIds(1)[0]! };
  },
  decide: (facts, input, now) => changeSteps(facts, input.change, now),
});

export const repeatAct = define({
  name: "repeat",
  input: z.object({ taskId: id, rule: z.string().max(200).nullable() }),
  async load(db, actor, input) {
    const facts = await handFacts(db, actor, input.taskId);
    const task = await taskColumns(db, actor, input.taskId);
    const zone = (await theOrganisation(db))?.zone ?? "UTC";
    const due = typeof task?.columns.dueDay === "string" ? task.columns.dueDay : null;
    return facts && { ...facts, due, today: dayOf({ at: actor.now, zone }) };
  },
  decide: (facts, input, now) => repeat(facts, { rule: input.rule, today: facts.today }, now),
});
