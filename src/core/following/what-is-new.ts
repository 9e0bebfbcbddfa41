import type { FoundSlip } from "../reading/slip";
import type { ItemChange } from "./item";
import { asOpened, type Opened } from "./opened-by";
import { promisesOnlyWord } from "./said";
import { isSame, shareHalf } from "./stretch";
import { type Answering, newnessOf } from "./weighing/newness";

/** From here on a slip of a letter in a conversation where something is open is something new; where the rules take it for that less is enough, and least of an ask. */
const NEW = 0.5;
const BY_RULES = 0.4;
const ASK_BY_RULES = 0.2;

/** "You will hear from me tomorrow": an answer, promised beside the work that was asked for. */
const HEAR = /\bhear (?:from|back)\b/i;

/** "I'll have a word with the fishmonger": a step of its own, as long as the rules see no answer in it. */
const WORD_WITH = /\bhave a word with\b/i;

/**
 * What of a letter is new in its conversation, and what it changes of what is open there. Where nothing is open, what is plain is
 * new; what is taken for new against the rules changes nothing.
 * @param howNew how likely a slip is new, from 0 to 1
 */
export function whatIsNew(
  answer: Answering,
  howNew: (answer: Answering, slip: FoundSlip) => number = newnessOf,
): { readonly slips: readonly Opened[]; readonly changes: readonly ItemChange[] } {
  const { context, changes, plain, old, looked } = answer;
  if (looked.length === 0) return { slips: plain, changes };
  const bar = (slip: FoundSlip) => {
    if (!plain.some(isSame(slip))) return NEW;
    const quote = context.letter.text.slice(slip.start, slip.end);
    const isOnlyWord = HEAR.test(quote) && looked.some(({ item }) => promisesOnlyWord(quote, item));
    if (slip.kind === "promise" && (isOnlyWord || WORD_WITH.test(quote))) return 0;
    return slip.kind === "ask" ? ASK_BY_RULES : BY_RULES;
  };
  const slips = answer.slips.filter((slip) => !old.includes(slip) && howNew(answer, slip) > bar(slip));
  const won = slips.filter((slip) => !plain.some(isSame(slip)));
  return {
    slips: slips.map((slip) => asOpened(slip, context.letter.text)),
    changes: changes.filter((change) => !won.some((slip) => shareHalf(slip, change))),
  };
}
