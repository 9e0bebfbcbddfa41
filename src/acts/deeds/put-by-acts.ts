import { sql } from "drizzle-orm";
import { z } from "zod";
import { bringTaskBack, putConversationBy, putTaskBy } from "../../core/tasks/decisions/put-by";
import { invalid } from "../../core/tasks/outcome";
import { rowsOf } from "../../data/rows";
import { define } from "../act";
import { conversationFacts, takeIds } from "../facts";
import { id } from "../inputs";
import { handFacts } from "./hand-acts";

const until = z.iso.datetime().nullable();

export const putBy = define({
  name: "put by",
  input: z.object({ conversationId: id, until }),
  load: (db, actor, input) => conversationFacts(db, actor, input.conversationId),
  decide: (facts, input, now) => putConversationBy(facts, input, now),
});

export const putTaskByAct = define({
  name: "put task by",
  input: z.object({ taskId: id, until }),
  load: (db, actor, input) => handFacts(db, actor, input.taskId),
  decide: (facts, input, now) => putTaskBy(facts, input, now),
});

export const bringBack = define({
  name: "bring back",
  input: z.object({ taskId: id }),
  load: (db, actor, input) => handFacts(db, actor, input.taskId),
  decide: (facts, _input, now) => bringTaskBack(facts, now),
});

/** Sets a time at which the actor wants to be reminded of a task, or takes one of theirs away. */
export const remind = define({
  name: "remind",
  input: z.union([z.object({ taskId: id, at: z.iso.datetime() }), z.object({ taskId: id, reminderId: id })]),
  async load(db, actor, input) {
    const facts = await handFacts(db, actor, input.taskId);
    if (!facts || "at" in input) return facts && { ...facts, reminderId: takeIds(1)[0]! };
    const [own] = await rowsOf<{ id: string }>(
      db,
      sql`select id from reminder where id = ${input.reminderId} and task_id = ${input.taskId} and person_id = ${actor.personId}`,
    );
    return own ? { ...facts, reminderId: own.id } : null;
  },
  decide(facts, input, now, actor) {
    if (!("at" in input))
      return {
        ok: true,
        about: facts.about,
        writes: [{ row: "reminder", id: facts.reminderId, isNew: false, values: null }],
      };
    if (Date.parse(input.at) <= Date.parse(now))
      return invalid("That moment is past already. Nothing was set; your words are still in the field.");
    const values = { taskId: input.taskId, personId: actor.personId, at: input.at };
    return { ok: true, about: facts.about, writes: [{ row: "reminder", id: facts.reminderId, isNew: true, values }] };
  },
});
