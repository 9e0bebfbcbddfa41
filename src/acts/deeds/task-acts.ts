import { z } from "zod";
import { answeredBy } from "../../core/tasks/decisions/hand-over";
import { makeTask } from "../../core/tasks/decisions/make-task";
import { invalid } from "../../core/tasks/outcome";
import { LONGEST_ESTIMATE } from "../../core/time/duration";
import { define } from "../act";
import { areKnown, takeIds, takeNumbers } from "../facts";
import { due, id, priority, text } from "../inputs";
import { handFacts } from "./hand-acts";

/** Longest note on a task. */
const LONGEST_COMMENT = 10_000;

export const make = define({
  name: "make task",
  input: z.object({
    title: text,
    ownerId: id.nullable(),
    theirsId: id.nullable().default(null),
    due,
    priority,
    estimate: z.int().positive().max(LONGEST_ESTIMATE).nullable().default(null),
    projectId: id.nullable(),
    workstreamId: id.nullable(),
  }),
  async load(db, actor, input) {
    if (
      !(await areKnown(db, actor, {
        personId: input.ownerId,
        correspondentId: input.theirsId,
        projectId: input.projectId,
        workstreamId: input.workstreamId,
      }))
    )
      return null;
    return { id: takeIds(1)[0]!, number: (await takeNumbers(db, 1))[0]!, actorId: actor.personId };
  },
  decide: (facts, input, now) => makeTask(facts, input, now),
});

export const comment = define({
  name: "comment",
  input: z.object({ taskId: id, text }),
  async load(db, actor, input) {
    const task = await handFacts(db, actor, input.taskId);
    return task && { task, id: takeIds(1)[0]! };
  },
  decide(facts, input, now, actor) {
    const words = input.text.trim();
    if (words === "") return invalid("The note is empty. Nothing was written.");
    if (words.length > LONGEST_COMMENT)
      return invalid(
        `A note may have ${LONGEST_COMMENT.toLocaleString("en")} characters, this one has ${words.length.toLocaleString("en")}. It is still in the field.`,
      );
    return {
      ok: true,
      about: [input.taskId],
      writes: [
        {
          row: "comment",
          id: facts.id,
          isNew: true,
          values: { taskId: input.taskId, personId: actor.personId, text: words, at: now },
        },
        ...answeredBy(facts.task, now),
      ],
    };
  },
});
