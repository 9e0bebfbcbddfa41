import type { KindRule } from "../kind-rule";
import { toldIn } from "../not-trouble";

const BEHIND =
  /\b(?:\w+ (?:minutes?|days?|weeks?|hours?|months?) (?:behind|late)|behind (?:schedule|plan|time)|running late|over(?:run|spent| budget)|delay(?:s|ed)?|held up|stuck|postponed|slipp(?:ed|ing)|slips? (?:a|by|to|on)|run(?:ning)? out of|ran out of|out of stock|sold out|double[- ]booked|short[- ]staffed|understaffed|off sick|called in sick|in hospital|broke down|fallen? (?:behind|through|ill)|falls? through|no-?show|pulled out|backed out|(?:has|have) (?:withdrawn|quit|resigned|walked off|gone under|died|let us down)|in the ditch|(?:is|are) (?:bad|worse|ill|sick|down)(?: again| today| with)|gone bankrupt|insolven\w+|(?:on|a|the) strike\b|(?:staff|crew|team|people|drivers|colleagues) will be (?:out|off|away|missing)|walked out|handed in (?:his|her|their) notice|overbooked)\b/i;
/** "He was meant to come at nine and arrived at noon", "left without repairing anything". */
const NOT_AS_MEANT =
  /\b(?:was|were) (?:meant|supposed|due|going) to\b[^.;?]{3,60}\b(?:and|but) (?:\w+ )?(?:arrived|came|left|started|began|turned up|did(?:n['’]t| not)|has(?:n['’]t| not)|is(?:n['’]t| not)|was(?:n['’]t| not)|only)\b|\b(?:left|went|drove off|hung up|was gone)\b[^.;?]{0,40}\bwithout (?:\w+ing) (?:anything|a thing|it|the|us|me|anybody|anyone|a word)\b/i;
const PATTERNS = [BEHIND, NOT_AS_MEANT];

/** Time and hands that are lacking: "two weeks behind", "the driver called in sick". */
export const behind: KindRule = {
  name: "something is late or stuck",
  confidence: 0.8,
  says: "trouble",
  find: ({ text }) => (PATTERNS.some((pattern) => pattern.test(toldIn(text))) ? "trouble" : null),
};
