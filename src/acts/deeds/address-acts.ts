import { sql } from "drizzle-orm";
import { z } from "zod";
import type { TextPart } from "../../core/letters/letter";
import { MAY_WRITE } from "../../core/letters/ways";
import { type FromLetterFacts, makeFromLetter } from "../../core/tasks/decisions/make-from-letter";
import { maySeeProject, maySeeTask } from "../../data/need-to-know";
import { rowsOf } from "../../data/rows";
import { define } from "../act";
import { areKnown, conversationFacts, takeIds, takeNumbers } from "../facts";
import { id } from "../inputs";

/** A task made of a letter that was sent to the address of a workstream. */
export const fromLetter = define({
  name: "make from letter",
  input: z.object({ letterId: id, projectId: id, workstreamId: id }),
  async load(db, actor, input): Promise<FromLetterFacts | null> {
    const [letter] = await rowsOf<{ id: string; conversationId: string; subject: string; parts: TextPart[] }>(
      db,
      sql`select id, conversation_id as "conversationId", subject, parts from letter where id = ${input.letterId}`,
    );
    const conversation = letter && (await conversationFacts(db, actor, letter.conversationId));
    if (!conversation || !(await areKnown(db, actor, input))) return null;
    return {
      id: takeIds(1)[0]!,
      number: (await takeNumbers(db, 1))[0]!,
      actorId: actor.personId,
      letter,
      projectId: input.projectId,
      workstreamId: input.workstreamId,
      slips: conversation.slips,
    };
  },
  decide: (facts, _input, now) => makeFromLetter(facts, now),
});

/** Says who may make tasks in a workstream, or add to a task, by writing to its address. */
export const mayWrite = define({
  name: "may write",
  input: z.object({ row: z.enum(["task", "workstream"]), id, to: z.enum(MAY_WRITE) }),
  async load(db, actor, input) {
    const [found] = await rowsOf<{ id: string }>(
      db,
      input.row === "task"
        ? sql`select t.id from task t where t.id = ${input.id} and ${maySeeTask(actor)}`
        : sql`select w.id from workstream w join project p on p.id = w.project_id where w.id = ${input.id} and ${maySeeProject(actor)}`,
    );
    return found ?? null;
  },
  decide: (_facts, input) => ({
    ok: true,
    about: [input.id],
    writes: [{ row: input.row, id: input.id, isNew: false, values: { mayWrite: input.to } }],
  }),
});
