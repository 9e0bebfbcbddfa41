import { agrees } from "./bare-answer";
import type { FollowContext } from "./context";
import type { OpenItem } from "./item";
import type { Ruled } from "./said";

/** What an answer to such a question is taken for: "tomorrow noon is all right" sounds like a promise. */
const ANSWERS: ReadonlySet<string> = new Set(["done", "promised"]);

const REFUSES = /\b(?:not|no longer|cannot|too late|afraid|impossible|unless)\b|n['’]t\b/i;

/**
 * "Would Monday do?" of whoever owes a thing, and "Monday is fine": the question is answered, and the thing is expected on that
 * day from now on. Only where its owner owes one thing alone is it plain which.
 */
export function agreeToDays(context: FollowContext, open: readonly OpenItem[], changes: Map<string, Ruled>): void {
  for (const question of open) {
    const answer = changes.get(question.id);
    const { proposes } = question;
    if (!proposes || !answer || !ANSWERS.has(answer.said.change)) continue;
    const { text } = answer.segment;
    if (!agrees(text) || REFUSES.test(text)) continue;
    if (answer.said.change !== "done")
      changes.set(question.id, { ...answer, said: { ...answer.said, change: "done", due: null } });
    const between = (owing: string, wanting: string) =>
      open.filter(
        (item) =>
          item.kind !== "question" &&
          item.kind !== "trouble" &&
          item.letter < question.letter &&
          context.sides.owes(owing, item) &&
          context.sides.wants(wanting, item) &&
          !changes.has(item.id),
      );
    const owed = between(question.asker, context.writer);
    // "Could we come on Friday instead?", asked by whoever wants it, of what has a day.
    const wanted = between(context.writer, question.asker).filter(({ due: day }) => day !== null);
    const isInstead = /\b(?:instead|rather)\b/i.test(question.quote) && wanted.length > 0;
    const [item, ...others] = owed.length > 0 && !isInstead ? owed : wanted;
    if (!item || others.length > 0) continue;
    const due = { day: proposes, time: null, others: [], words: question.quote };
    const said = {
      change: "moved",
      due,
      owner: null,
      isNamed: false,
      reason: "the day that was proposed suits",
    } as const;
    changes.set(item.id, { said, segment: answer.segment });
  }
}
