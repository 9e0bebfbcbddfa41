import type { FoundSlip } from "./slip";
import { LONGEST_TITLE } from "./title";

const SENTENCE_END = /[.!?…]["'”’)]*$/;

/** Whether a slip goes on with what the one before it began: in the same sentence, of one kind, for the same person, by the same day. */
export function goesOn(before: FoundSlip, slip: FoundSlip, text: string): boolean {
  return (
    before.kind === slip.kind &&
    // Each question has an answer of its own, unless they are the two sides of one.
    (slip.kind !== "question" || /\bor\b/i.test(text.slice(before.end, slip.start))) &&
    before.owner === slip.owner &&
    (before.due?.day ?? null) === (slip.due?.day ?? null) &&
    !SENTENCE_END.test(text.slice(before.start, before.end)) &&
    !/[.!?…\n]/.test(text.slice(before.end, slip.start))
  );
}

/** "I need to know for the lads", without a day: why an answer is wanted. */
const WANTS_TO_KNOW =
  /^(?:(?:and|because|since|as) )?(?:i|we)(?:['’]d)? (?:just |only |really )?(?:need|have|want|must|ought) (?:to )?know(?: (?:this|that|it))?(?:,? (?:for|because|since|so that|to) (?!.*(?:day|week|tomorrow|tonight|noon|month)\b)[^?\d]*)?[.!]*$/i;

/** Whether words only say again that what was asked right before them is asked. */
export function onlySaysWhy(before: FoundSlip, text: string): boolean {
  return before.kind === "question" && WANTS_TO_KNOW.test(text);
}

/** Whether a slip is of the same point of a list as the one before it, for the same person: a point is one item. */
export function isOfPoint(before: FoundSlip, slip: FoundSlip): boolean {
  return (
    before.kind === "ask" &&
    slip.kind === "ask" &&
    before.owner === slip.owner &&
    (!before.due || !slip.due || before.due.day === slip.due.day)
  );
}

/** "Scrap that: please hold it back": the day before no longer counts. */
const TAKEN_BACK = /^(?:scrap|forget|strike) (?:that|this|it)\b/i;

/** Both titles where there is room, since each names something that is to be done; names and "VAT" stay as the letter has them. */
function titleOfBoth(before: string, after: string, words: string): string {
  const small = after.charAt(0).toLowerCase() + after.slice(1);
  const goesOnSmall = words.includes(small.split(" ")[0]!);
  const both = `${before} and ${goesOnSmall ? small : after}`;
  return both.length > LONGEST_TITLE || /[?!…]$/.test(before) ? before : both;
}

/**
 * Two slips of one sentence as the one item that they are: "check the list and, please, send it to Ada". What it is proposed by is
 * that of the surer one.
 */
export function asOneItem(before: FoundSlip, slip: FoundSlip, text: string): FoundSlip {
  const isTakenBack = TAKEN_BACK.test(text.slice(slip.start, slip.end));
  const dated = before.due && !isTakenBack ? before : slip;
  const surer = slip.confidence > before.confidence ? slip : before;
  return {
    ...before,
    end: slip.end,
    due: dated.due,
    haste: dated.haste,
    title: titleOfBoth(before.title, slip.title, text.slice(slip.start, slip.end)),
    priority: slip.priority === "normal" ? before.priority : slip.priority,
    estimate: before.estimate ?? slip.estimate,
    rule: surer.rule,
    reason: surer.reason,
    confidence: surer.confidence,
  };
}
