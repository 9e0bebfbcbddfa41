import { tellingWords } from "../../finding/telling-words";
import { isWellAgain } from "../cure";
import type { OpenItem } from "../item";
import { numberIn } from "../numbers";
import { type Turn, turnOf, whole } from "../turns";

// What is said of trouble in a few words: by whoever cures it, and by whoever has reported it.

const GOES_ON_TO =
  "(?:looking (?:at|into|after)|working on|seeing to|dealing with|sending|coming(?! (?:for|to (?!look|see|fix|repair|mend|help|check)))|bringing|fetching|trying|checking|calling|repairing|fixing|on (?:his|her|its|their|the|my|our) way)";
const SOMEBODY = "(?:<we>|he|she|they|somebody|someone|\\p{L}+|(?:the|a|an|our|their|my) \\p{L}+(?: \\p{L}+)?)";
const HITCH = /\b(?:but|nobody|no one|not|never|without)\b/i;

/** "I've called the fitter", "the part has been ordered", "somebody is on the way": of trouble. */
const CURE_BEGUN: Turn = {
  change: "promised",
  name: "its cure has begun",
  forms: [
    whole(
      `<we>(?:['’]ve| have)?(?: already| just| now)* (?:called|rung|rang|phoned|told|informed|reported|asked|alerted|e-?mailed|written to|wrote to|booked|ordered|requested|sent for)\\b(?! you\\b)<rest>`,
    ),
    whole(
      `[^,;:?]{1,40} (?:has|have)(?: already| now| just)? been (?:ordered|called|rung|told|informed|asked|alerted|reported|booked|requested)\\b<rest>`,
    ),
    whole("<we are>(?: still| now| only)* waiting for (?!you\\b|your\\b)<rest>"),
    whole(`${SOMEBODY}(?:['’]s|['’]re|['’]m| is| are| am)(?: just| already| now| currently)* ${GOES_ON_TO}\\b<rest>`),
  ],
};

/** The turn by which words tell that the cure of a trouble has begun, and that nothing is in its way. */
export function cureBegun(said: string): Turn | null {
  return HITCH.test(said) ? null : turnOf([CURE_BEGUN], said, false);
}

/** "It's worse today.", "When will somebody come?" */
export const STILL_BAD: Turn = {
  change: "reminded",
  name: "it is still so",
  forms: [
    whole(
      "(?:it|that|this|things)(?:['’]s| is| has| are|['’]s been)?(?: got| getting| become| now)* (?:much |even )?worse<rest>",
    ),
    whole(
      "when (?:will|is|does|can) (?:somebody|someone|anybody|anyone|he|she|they|it) (?:going to )?(?:come|coming|be here|get here|fix|repair|look)<rest>",
    ),
  ],
};

/** "My mistake, they were here." */
export const MISTAKEN: Turn = {
  change: "done",
  name: "there was no trouble",
  forms: [whole("(?:it was |that was )?(?:my|our) (?:own )?mistake, (?:it|they|that)\\b<rest>|<we> miscounted<rest>")],
};

const LOST = /\b(?:missing|lost|gone|short|stolen|disappeared)\b/i;
const TURNED_UP = /\b(?:found|turned up|come back|reappeared|arrived|are (?:back|here))\b/i;

/** "I've found six", where ten were missing. */
export function areSomeBack(text: string, { quote }: OpenItem): boolean {
  const [missing, back] = [numberIn(quote), numberIn(text)];
  return missing !== null && back !== null && back > 0 && back < missing && TURNED_UP.test(text) && LOST.test(quote);
}

const SO_AGAIN = /(?:\b(?:is|are)|['’](?:s|re))(?: all| now)? (\p{L}+) (?:again|too|as well|still)[.!]*$/iu;

/** "It's damp again", said by whoever reported the damp flour. */
export function isSoAgain(text: string, item: OpenItem): boolean {
  const how = [...tellingWords(SO_AGAIN.exec(text)?.[1] ?? "")];
  return how.some((word) => item.words.has(word)) && !isWellAgain(text, true);
}
