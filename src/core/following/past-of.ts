import { stems } from "../finding/telling-words";
import type { OpenItem } from "./item";

/** Said before a verb, it is not done: "will be counted", "not signed yet", "to be paid". */
const NOT_DONE =
  /\b(?:not|n['’]t|never|will|['’]ll|shall|to be|be|being|until|once|when|if|before|unless|should|must|can|could|would|nobody|yet to)\b/i;

/** Words that end like a past form and are none, or are what was asked for in that form. */
const NO_VERB =
  /^(?:need|needed|wanted|asked|promised|agreed|planned|expected|bed|red|shed|seed|feed|hundred|indeed|speed)$/i;

/** "The thermometer was calibrated": of what had to be so. */
const IS_NOW = /\b(?:was|were|is|are|got|(?:has|have) (?:\w+ )?been)\s+(?:now |all |both |just |finally |duly )?$/i;

/**
 * Whether a text says that what an item asks was done, with the item's own verb in its past form: "count the bottles",
 * "counted: eleven".
 */
export function pastOf(item: OpenItem, text: string): boolean {
  const asked = stems(item.quote);
  for (const found of text.matchAll(/[\p{L}-]+ed\b/giu)) {
    const [word] = found;
    if (NO_VERB.test(word)) continue;
    // "The loose tiles must be fixed": only to be fixed is what was asked of them.
    const isAskedSo = new RegExp(`\\bbe (?:\\w+ )?${word}\\b`, "i").test(item.quote);
    if (isAskedSo ? !IS_NOW.test(text.slice(0, found.index)) : item.quote.toLowerCase().includes(word.toLowerCase()))
      continue;
    if (NOT_DONE.test(text.slice(Math.max(0, found.index - 40), found.index))) continue;
    for (const stem of stems(word)) if (asked.has(stem)) return true;
  }
  return false;
}
