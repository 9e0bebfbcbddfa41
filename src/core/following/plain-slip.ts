import { isByWordingAlone } from "../reading/weighing/sense";
import { isAnswerWithPlease, TURNS_TO } from "./bare-answer";
import type { ChangesFound } from "./changes-in";
import type { Opened } from "./opened-by";
import { meet } from "./stretch";

/** What is proposed by its wording alone opens something from this confidence on. */
const PLAIN_ENOUGH = 0.5;

/** How sure an ask must be to open something in an answer. */
const PLAIN_IN_ANSWER = 0.7;

/** How sure an ask or a promise must be to open something by words that may well speak of what is open. */
const PLAIN_BESIDE_OPEN = 0.9;

/** "I've put a kilo on the lorry": nothing is promised by what was done. */
const HAS_DONE =
  /^(?:and |so |but )?(?:i|we)(?:['’]ve| have) (?!to\b|got to\b)\w+(?!.*\b(?:will|shall|going to)\b|.*['’]ll\b)/i;

/**
 * Whether a slip opens something where nobody is there to keep or brush it off: one that is wrong also takes the answers that
 * belong to others.
 */
export function isPlain(
  { kind, rule, confidence, start, end }: Opened,
  text: string,
  isAnswer: boolean,
  likely: ChangesFound["likely"],
): boolean {
  // "Can I have the van for two days?": whoever puts it as a question answers nothing.
  const isPut = kind === "question" || text[end - 1] === "?";
  const quote = text.slice(start, end);
  // "I need to know what you'd like": whoever turns to the other side answers nothing by it.
  if (kind === "ask" && !isByWordingAlone(rule) && TURNS_TO.test(quote) && !isAnswerWithPlease(quote)) return true;
  if (!isPut && confidence < PLAIN_BESIDE_OPEN && likely.some((one) => meet(one, { start, end }))) return false;
  if (kind === "promise" && isByWordingAlone(rule) && HAS_DONE.test(quote)) return false;
  // Who owes an answer gives one, rather than asking for something by half a sentence.
  if (isAnswer && !isPut && kind === "ask" && confidence < PLAIN_IN_ANSWER) return false;
  // How things stand is told in an answer too, and sounds like trouble: then a rule must know it.
  if (isAnswer && kind === "trouble" && isByWordingAlone(rule)) return false;
  return confidence >= PLAIN_ENOUGH || !isByWordingAlone(rule);
}
