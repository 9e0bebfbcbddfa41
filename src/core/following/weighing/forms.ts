/** Forms of words from which it is weighed what a segment says: each by a name under which its weight was learnt. */
const PARTICIPLE = "\\w{2,}ed|sent|done|paid|made|put|told|found|left|set|cut|written|drawn|taken|given|hung|sold";
const WAIT = "(?:(?:now|already|just|also|all|both|been|safely|duly|finally|since|being)\\s+)*";

const FUTURE = /\b(?:will|['’]ll|shall|going to|about to|to follow)\b/i;
const PERFECT = new RegExp(
  `(?:\\b(?:has|have|had)|['’](?:ve|s|d))\\s+${WAIT}(?:\\w+(?:ed|en|wn|ung|ult|ought|aught)|done|put|sent|gone|made|had|got|come|found|left|told|set|paid|sold|lent|spent|met|read|cut|run|held|kept|said|rung)\\b`,
  "i",
);
const PASSIVE = new RegExp(
  `\\b(?:is|are|was|were|been|got|gets)\\s+${WAIT}(?:\\w+(?:ed|en|wn|ung|ought|aught)|done|put|sent|gone|made|set|paid|sold|lent|cut|held|kept)\\b`,
  "i",
);
const PAST =
  /^(?:(?:and|but|so|\w+|the \w+|our \w+|my \w+)\s+)?(?:(?:just|already|also|only|all)\s+)?(?:\w{2,}ed|went|came|left|sent|did|made|put|took|told|spoke|wrote|rang|had|got|found|gave|brought|drove|bought|sold|paid|met|saw|said|was|were|felt|kept|held|let|lent|ran|stood|set|began|broke|fell|hung|cut|read)\b/i;
const PARTICIPLE_FIRST = new RegExp(`^(?:(?:all|both|now|already|just)\\s+)?(?:${PARTICIPLE})\\b`, "i");
const PARTICIPLE_LAST = new RegExp(`\\b(?:${PARTICIPLE}|gone)[.!]*$`, "i");
const NEGATED = /\b(?:not|no|never|none|nobody|nothing|neither|nor|cannot|without)\b|n['’]t\b/i;
const CAN_NOT = /\b(?:can(?:not|['’]t| not)|could(?:n['’]t| not)|won['’]t|unable|may not|not able)\b/i;
export const SORRY = /\b(?:sorry|afraid|unfortunately|sadly|regret|apolog\w+|alas)\b/i;

export const FORMS: readonly (readonly [string, RegExp])[] = [
  ["future", FUTURE],
  ["perfect", PERFECT],
  ["passive", PASSIVE],
  ["past", PAST],
  ["participle first", PARTICIPLE_FIRST],
  ["participle last", PARTICIPLE_LAST],
  ["negated", NEGATED],
  ["can not", CAN_NOT],
  ["sorry", SORRY],
  ["quantity", /\b(?:one|two|three|four|five|six|seven|eight|nine|ten|\d+)\b(?!(?:st|nd|rd|th)\b)/i],
  [
    "part",
    /\b(?:so far|up to|most|half|only|apart from|except|rest|others?|remaining|missing|both|first|second|third|last|still)\b/i,
  ],
  ["sent", /\b(?:attach\w*|enclos\w*|herewith|here (?:is|are|you)|below|find)\b/i],
  [
    "state",
    /\b(?:ready|done|complete|finished|fine|sorted|settled|here|there|in|out|off|back|gone|over|up|down|clear|clean|again)[.!]*$/i,
  ],
  ["itself", /^(?:(?:and|but|so)\s+)?(?:it|they|that|those|these|this|both|all)\b/i],
  ["first person", /^(?:(?:and|but|so)\s+)?(?:i|we)\b/i],
  ["second person", /\byou(?:['’]ll|['’]re|r|rs)?\b/i],
  ["third person", /^(?:(?:and|but|so)\s+)?(?:he|she|they|\p{Lu}\p{Ll}+)\b/u],
  ["question", /\?$/],
];

/** What time a segment speaks of, and whether it denies. */
export function timeOf(text: string): string {
  if (CAN_NOT.test(text)) return "can not";
  const isDenied = NEGATED.test(text);
  if (FUTURE.test(text)) return isDenied ? "will not" : "will";
  if ([PERFECT, PASSIVE, PARTICIPLE_FIRST, PARTICIPLE_LAST].some((form) => form.test(text)))
    return isDenied ? "has not" : "has";
  if (PAST.test(text)) return isDenied ? "did not" : "did";
  return isDenied ? "is not" : "is";
}
