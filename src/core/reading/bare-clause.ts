/** Words that only lead into what is said: "and", "in the meantime", "P.S.". */
const LEAD_IN =
  /^(?:(?:and|but|so|also|then|ok|okay|right|well|now|first(?! thing)|second|secondly|third|finally|next|otherwise|in the meantime|meanwhile|as (?:discussed|agreed|promised|mentioned)(?=,)|before that|after that|for now|next time|today|tomorrow|on (?:mon|tues|wednes|thurs|fri)day(?! week)|whatever (?:you do|happens|they say),|above all,?|most importantly,?|before you \w+|when you (?:can|have|get|are)[^,]*|if (?:you can|possible|not|so|it is[^,]*)|one (?:more )?thing|no (?:rush|hurry)(?: at all)?(?: (?:on|with) (?:this|that|it|these|those))?,?(?: but)?|low priority,?|p\.?s\.?)[,:.]?\s+)+/i;

/** "Top priority for you: …", "One more thing: …": a few words that only announce. */
const ANNOUNCED = /^(?!\w+ (?:says?|said|asks?|asked|wrote)\b)(?:[\p{L}’'-]+[\s,]+){0,5}[\p{L}’'-]+:\s+(?=\p{L})/u;

/** A condition before an order: "If they don't, make sure …". */
const CONDITION_FIRST =
  /^(?:if|should|when|whenever|wherever|once|as soon as|before|after|until|while|in case|unless)\b[^,;:]{1,90},\s+(?:then\s+)?(?=\S)/i;

/** "Scrap that, …": what was said before no longer counts, and what follows is what does. */
const TAKEN_BACK = /^(?:scrap|forget|strike) (?:that|this|it|what i (?:said|wrote|asked))\s*[,:;–-]\s*(?=\S)/i;

/** The clause without words that only lead into it, and without a name that is called at its head ("Anton, …"). */
export function bareClause(text: string): string {
  // Every rule asks the same of one clause, one after the other.
  if (text !== last.text) last = { text, bare: bared(text) };
  return last.bare;
}

let last = { text: "", bare: "" };

function bared(text: string): string {
  return text
    .replace(/^(?:(?:Mr|Mrs|Ms|Dr)\.?\s+)?[A-Z][\p{L}'-]+(?: and [A-Z][\p{L}'-]+)?\s*[,:–-]\s+(?=\S)/u, "")
    .replace(LEAD_IN, "")
    .replace(TAKEN_BACK, "")
    .replace(ANNOUNCED, "")
    .replace(CONDITION_FIRST, "")
    .replace(LEAD_IN, "")
    .trim();
}
