import { withClauseBefore } from "./clause-before";
import type { Clause } from "./clauses";
import type { FoundSlip } from "./slip";
import { LONGEST_TITLE } from "./title";

/** "The inspector wants the drawings three days before he comes": what somebody else, or something, wants. */
const ANOTHER_WANTS =
  /^(?:(?:and|but|now|so)[, ]+)?(?!(?:i|we|you)\b)(?:[\p{L}'’-]+ ){1,5}(?:wants?|needs?|asks? for|(?:is|are) (?:asking|calling) for|would like|(?:has|have) asked for|expects?|insists? on|requires?) (?!(?:you|to)\b)(?<thing>.+?)(?= (?:by|before|until|for|on|in|within|at|an?|one|two|three|four|five|ten|this|next|today|tomorrow)\b|[.,;!]|$)/iu;

/** "I've still not had the lift plan": what the writer lacks. */
const WRITER_LACKS =
  /^(?:(?:and|but|now|so)[, ]+)?(?:i|we)(?:['’]?ve| have|['’]?d| had)? (?:(?:still|yet|only) )?(?:not|never|haven['’]?t) (?:yet )?(?:had|seen|received|got|heard|found) (?<thing>(?:the|an?|your|any|our) .+?)(?= (?:by|before|until|for|on|in|within|at|from|yet|so|and)\b|[.,;!]|$)/iu;

/** "For the insurance we need copies of the licences": what the writer needs, with what it is for. */
const WRITER_NEEDS =
  /^(?:(?:and|but|now|so)[, ]+)?(?:for [^,.;]{3,50}?,? )?(?:i|we)(?: also| now| still)? (?:need|require) (?<thing>.+?)(?= (?:by|before|until|on|in|within|at|from|yet|so)\b|[.,;!]|$)/iu;

/** "Could somebody send them to him?": something is to be done with it, in words that point back. */
const ASKED_OF_IT =
  /^(?:(?:so|and|then)[, ]+)?(?:(?:could|can|would|will) (?:you|someone|somebody|anyone|one of you|[\p{L}'’-]+)|please|kindly)\b[^?]*?\b(?:send|get|bring|give|pass|forward|provide|obtain|order|supply|take|deliver|e-?mail|post|fetch|print|make|prepare|find|organi[sz]e|arrange(?: for)?|see to|have|show|hand|copy|scan|upload|issue|draw up|write|buy|book|hire|lend|mail) (?:[\p{L}]+ )?(?:it|them|one)\b(?! (?:of|more|else)\b)/iu;

const POINTS_BACK = /\b(?:it|them|one)\b(?! (?:of|more|else)\b)/i;

/** A title with the thing that it points back to. */
function titleWith(title: string, thing: string): string {
  const whole = title.replace(POINTS_BACK, thing);
  return whole.length > LONGEST_TITLE ? title : whole;
}

/** What is asked of the thing that somebody wants, as one item: both sentences are its passage, and its title names the thing. */
function asOne(wanted: FoundSlip, asked: FoundSlip, thing: string): FoundSlip {
  const dated = asked.due ? asked : wanted;
  return {
    ...asked,
    start: wanted.start,
    title: titleWith(asked.title, thing),
    due: dated.due,
    haste: dated.haste,
    priority: asked.priority === "normal" ? wanted.priority : asked.priority,
  };
}

/** What is wanted by words that stand before an ask; `isMore` where that asks for it besides: "could you also send them". */
function thingWanted(text: string, isMore: boolean): string | undefined {
  return (ANOTHER_WANTS.exec(text) ?? WRITER_LACKS.exec(text) ?? (isMore ? null : WRITER_NEEDS.exec(text)))?.groups
    ?.thing;
}

/** "For the party we need a bus, do you hire those out?" */
const ASKED_ABOUT_IT =
  /^(?:so |and )?(?:do|can|could|would|will|have|are) you\b[^?]*\b(?:those|them|it|one|ones|any)\b[^?]*\?$/i;

/** Puts together what somebody else wants, or the writer lacks, and who is to see to it, right behind in its paragraph: it is asked once. */
export function withGrounds(slips: readonly FoundSlip[], clauses: readonly Clause[]): FoundSlip[] {
  const all: FoundSlip[] = [];
  for (const slip of slips) {
    const pair = withClauseBefore(slip, clauses);
    const last = all.at(-1);
    const isAsked = slip.kind === "ask" ? ASKED_OF_IT : slip.kind === "question" ? ASKED_ABOUT_IT : null;
    const thing =
      pair && isAsked?.test(pair.clause.text)
        ? thingWanted(pair.before.text, /\balso\b/i.test(pair.clause.text))
        : undefined;
    if (!thing) all.push(slip);
    else if (last?.start !== pair?.before.start) all.push({ ...slip, title: titleWith(slip.title, thing) });
    else if (last?.kind === "ask" || last?.kind === "trouble") all[all.length - 1] = asOne(last, slip, thing);
    else all.push(slip);
  }
  return all;
}
