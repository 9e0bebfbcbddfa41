import type { Clause } from "./clauses";
import type { FoundSlip } from "./slip";

/** "These should reach us no later than 28 January", "I need both by Friday": when what stands before is wanted. */
const ALL_WANTED =
  /^(?:(?:and|but|please note(?: that)?)[, ]+)*(?:all (?:of )?(?:these|this|it|them|that)|these|this|they|it|all|both|everything|the (?:above|lot|documents|papers|items|answers|files))\b [^,;:?]{0,40}\b(?:reach|with (?:us|me)|here|in|returned|submitted|sent|received|done|ready|delivered|completed?|in place|required|needed|due|wanted|expected)\b|^(?:and |but |please |so )*(?:i|we)(?:['’]d| would)? (?:need|want|require|like|must have|have to have|expect) (?:to have )?(?:both|all (?:of )?(?:this|these|it|that|them)|(?:these|this|them|it)(?: all)?|everything|all (?:two|three|four|five|six)|the lot)\b/i;

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
