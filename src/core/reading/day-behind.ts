import type { Clause } from "./clauses";
import type { FoundSlip } from "./slip";

/** "These should reach us no later than 28 January", "I need both by Friday": when what stands before is wanted. */
const ALL_WANTED =
  /^(?:(?:and|but|please note(?: that)?)[, ]+)*(?:all (?:of )?(?:these|this|it|them|that)|these|this|they|it|all|both|everything|the (?:above|lot|documents|papers|items|answers|files))\b [^,;:?]{0,40}\b(?:reach|with (?:us|me)|here|in|returned|submitted|sent|received|done|ready|delivered|completed?|in place|required|needed|due|wanted|expected)\b|^(?:and |but |please |so )*(?:i|we)(?:['’]d| would)? (?:need|want|require|like|must have|have to have|expect) (?:to have )?(?:both|all (?:of )?(?:this|these|it|that|them)|(?:these|this|them|it)(?: all)?|everything|all (?:two|three|four|five|six)|the lot)\b/i;

/** "It would be a great help to have this until Friday", "I need it by noon": when what was asked right before is wanted. */
const ONE_WANTED =
  /^(?:(?:and|but|please|so)[, ]+)*(?:(?:it|that)(?: would|['’]d) (?:really |greatly )?(?:be (?:an? )?(?:\w+ )?\w+|help)(?: (?:me|us))? (?:to have|if (?:i|we) (?:could have|had|got)) (?:this|it|that|them)|(?:i|we)(?:['’]d| would)?(?: really| urgently)? (?:need|want|require|must have|have to have|like(?: to have)?) (?:this|it|that|them)(?: back)?|(?:this|it|they) (?:has to|have to|must|should|needs? to) (?:be (?:here|done|ready|with (?:us|me))|reach (?:us|me)))\b[^,;:?]{0,12}\b(?:by|until|till|before|on|no later than|within|today|tomorrow|this|\d+)\b[^,;:?]{0,30}$/i;

/** "By Friday, please.", "Tuesday at the latest.": nothing but a day. */
function isDayAlone(text: string, day: string): boolean {
  return /^(?:\W|\b(?:and|by|until|till|before|on|the|at the (?:very )?latest|no later than|please|if (?:you can|possible|at all possible|that works))\b)*$/i.test(
    text.replace(day, ""),
  );
}

/** Gives an ask without a day the one that the sentence right behind it in its paragraph sets for it; that is no item of its own. */
export function withDayBehind(slips: readonly FoundSlip[], clauses: readonly Clause[]): FoundSlip[] {
  let all = [...slips];
  for (const [place, clause] of clauses.entries()) {
    const before = clauses[place - 1];
    if (before?.block !== clause.block) continue;
    const line = all.find(({ start }) => start === clause.start);
    // In a point of a list something else may stand between.
    const first = clauses.find(({ block }) => block === clause.block)!;
    const asked = all.find(({ end }) => end === (clause.isListItem ? first : before).end);
    if (!line?.due || asked?.kind !== "ask" || asked.due) continue;
    if (!ONE_WANTED.test(clause.text) && !isDayAlone(clause.text, line.due.words)) continue;
    const { due, haste } = line;
    all = all.flatMap((slip) =>
      slip === line
        ? []
        : slip === asked
          ? [{ ...slip, due, haste, reason: `${slip.reason}, “${due.words}”` }]
          : [slip],
    );
  }
  return all;
}

/**
 * Gives the points of a list the day that a sentence right behind it sets for all of them; that sentence is no item of its own.
 * Points that have a day keep it.
 */
export function withDayOfList(slips: readonly FoundSlip[], clauses: readonly Clause[]): FoundSlip[] {
  let all = [...slips];
  for (const [place, clause] of clauses.entries()) {
    const before = clauses[place - 1];
    if (clause.isListItem || !before?.isListItem || !ALL_WANTED.test(clause.text)) continue;
    const line = all.find(({ start }) => start === clause.start);
    if (!line?.due) continue;
    const from = clauses.findLastIndex(({ isListItem }, i) => i < place && !isListItem) + 1;
    const isPoint = ({ start }: FoundSlip) => start >= clauses[from]!.start && start < clause.start;
    if (!all.some((slip) => isPoint(slip) && isWanted(slip))) continue;
    const { due } = line;
    all = all.flatMap((slip) => {
      if (slip === line) return [];
      if (!isPoint(slip) || !isWanted(slip) || slip.due) return [slip];
      return [{ ...slip, due, haste: line.haste, reason: `${slip.reason}, “${due.words}”` }];
    });
  }
  return all;
}

function isWanted({ kind }: FoundSlip): boolean {
  return kind === "ask" || kind === "question";
}
