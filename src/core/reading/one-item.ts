import type { FoundSlip } from "./slip";
import { LONGEST_TITLE } from "./title";

const SENTENCE_END = /[.!?…]["'”’)]*$/;

/** Whether a slip goes on with what the one before it began: in the same sentence, of one kind, for the same person, by the same day. */
export function goesOn(before: FoundSlip, slip: FoundSlip, text: string): boolean {
  return (
    before.kind === slip.kind &&
    before.owner === slip.owner &&
    (before.due?.day ?? null) === (slip.due?.day ?? null) &&
    !SENTENCE_END.test(text.slice(before.start, before.end)) &&
    !/[.!?…\n]/.test(text.slice(before.end, slip.start))
  );
}

/** Both titles where there is room, since each names something that is to be done. */
function titleOfBoth(before: string, after: string): string {
  const both = `${before} and ${after.charAt(0).toLowerCase()}${after.slice(1)}`;
  return both.length <= LONGEST_TITLE ? both : before;
}

/** Two slips of one sentence as the one item that they are: "check the list and, please, send it to Ada". */
export function asOneItem(before: FoundSlip, slip: FoundSlip): FoundSlip {
  return {
    ...before,
    end: slip.end,
    title: titleOfBoth(before.title, slip.title),
    priority: slip.priority === "normal" ? before.priority : slip.priority,
    estimate: before.estimate ?? slip.estimate,
    confidence: Math.max(before.confidence, slip.confidence),
  };
}
