import { sql } from "drizzle-orm";
import { z } from "zod";
import { phraseOf } from "../../core/reading/lessons";
import { addSlip } from "../../core/tasks/decisions/add-slip";
import { backToSort, brushOff, goesTo, nothingToDo } from "../../core/tasks/decisions/deal-with";
import { keepSlips } from "../../core/tasks/decisions/keep-slips";
import { rowsOf } from "../../data/rows";
import { define } from "../act";
import { areKnown, areMembers, conversationFacts, takeIds, takeNumbers } from "../facts";
import { due, id, owner, priority, text } from "../inputs";

const aboutConversation = z.object({ conversationId: id });

export const keep = define({
  name: "keep",
  input: z.object({
    conversationId: id,
    slipIds: z.array(id).min(1).max(100),
    hand: z.object({ toIds: z.array(id).min(1).max(20), note: text, due: due.optional() }).optional(),
  }),
  async load(db, actor, input) {
    const facts = await conversationFacts(db, actor, input.conversationId);
    const open = facts?.slips.filter((slip) => input.slipIds.includes(slip.id) && slip.state === "proposed") ?? [];
    if (input.hand && !(await areMembers(db, input.hand.toIds))) return null;
    const more = (input.hand?.toIds.length ?? 1) - 1;
    // Only what becomes a task needs a number.
    const numbers = await takeNumbers(db, open.filter((slip) => slip.changes === null).length + more);
    return facts && { ...facts, numbers, ids: takeIds(open.length + more + 1) };
  },
  decide: (facts, input, now) => keepSlips(facts, input, now),
});

export const brushOffSlip = define({
  name: "brush off",
  input: z.object({ conversationId: id, slipId: id }),
  load: (db, actor, input) => conversationFacts(db, actor, input.conversationId),
  decide: (facts, input, now) => brushOff(facts, input, now),
});

export const nothing = define({
  name: "nothing to do",
  input: aboutConversation,
  load: (db, actor, input) => conversationFacts(db, actor, input.conversationId),
  decide: (facts, _input, now) => nothingToDo(facts, now),
});

export const back = define({
  name: "back to Sort",
  input: aboutConversation,
  load: (db, actor, input) => conversationFacts(db, actor, input.conversationId),
  decide: (facts, _input, now) => backToSort(facts, now),
});

export const goes = define({
  name: "goes to",
  input: z.object({ conversationId: id, projectId: id.nullable() }),
  async load(db, actor, input) {
    return (await areKnown(db, actor, input)) ? conversationFacts(db, actor, input.conversationId) : null;
  },
  decide: (facts, input) => goesTo(facts, input),
});

export const add = define({
  name: "add slip",
  input: z.object({
    conversationId: id,
    letterId: id,
    start: z.int().nullable(),
    end: z.int().nullable(),
    title: text,
    owner,
    due,
    priority,
  }),
  async load(db, actor, input) {
    const facts = await conversationFacts(db, actor, input.conversationId);
    const [letter] = await rowsOf<{ text: string }>(
      db,
      sql`select text from letter where id = ${input.letterId} and conversation_id = ${input.conversationId}`,
    );
    const isKnown = await areKnown(
      db,
      actor,
      input.owner.side === "ours"
        ? { personId: input.owner.personId }
        : { correspondentId: input.owner.correspondentId },
    );
    return facts && letter && isKnown
      ? {
          id: takeIds(1)[0]!,
          conversationId: facts.conversationId,
          projectId: facts.conversationProjectId,
          textLength: letter.text.length,
          // What was marked by hand is looked for in the next letters of its writer.
          phrase:
            input.start === null || input.end === null
              ? null
              : phraseOf(letter.text.slice(input.start, input.end)) || null,
        }
      : null;
  },
  decide: (facts, input) =>
    addSlip(facts, {
      title: input.title,
      passage: { letterId: input.letterId, start: input.start, end: input.end },
      owner: input.owner,
      due: input.due,
      priority: input.priority,
    }),
});
