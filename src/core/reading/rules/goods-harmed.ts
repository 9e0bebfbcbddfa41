import { HARMED } from "../harmed";
import type { KindRule } from "../kind-rule";
import { toldIn } from "../not-trouble";

const CAME = new RegExp(
  `\\b(?:came|comes|arrived?|arrives|(?:was|were|been|being|got) delivered|turned up|reached us|got here|unpacked|opened)\\b(?: (?!not\\b|no\\b|never\\b)[\\w-]+){0,3} (?:${HARMED}|wet|empty|incomplete|short|late)\\b`,
  "i",
);

const NEVER_CAME =
  /\b(?:never|(?:did|does|has|have|had)(?:n['’]t| not)(?: yet| even)?)(?: ever)? (?:arrived?|c[ao]me|turn(?:ed)? up|show(?:n|ed)? up|been delivered|reach(?:ed)? (?:us|me|them))\b/i;

/** Guests who did not come are no goods. */
const PEOPLE = /\b(?:i|you|he|she|we|nobody|no one|people|who|guests?)\b[^.;]{0,12}\b(?:never|not|n['’]t)/i;

/** "The oven is broken": a thing that is somebody's, as it is now. */
const BROKEN_NOW = new RegExp(
  `^(?:(?:and|but|so|also|now|unfortunately|sorry)[,\\s]+)*(?:the|our|my|your|their|his|her|both|all|two|three|one of|half|most of)\\b (?:[\\w’'/-]+ ){0,6}?(?:(?:is|are|has|have)(?: been)?|[\\w-]+['’]s)(?: (?:now|also|again|still|all|both|completely|badly|totally|quite))* (?:${HARMED})(?: (?:again|now|since|and|in|on|at|by|from|after)\\b|[,.;!]|$)`,
  "i",
);

/** Harm that is plainly told: "four of them came cracked", "the last delivery never arrived", "the oven is broken". */
export const goodsHarmed: KindRule = {
  name: "something came or is broken, or did not come",
  confidence: 0.95,
  says: "trouble",
  find({ text }) {
    const told = toldIn(text);
    if (CAME.test(told) || BROKEN_NOW.test(told)) return "trouble";
    return NEVER_CAME.test(told) && !PEOPLE.test(told) ? "trouble" : null;
  },
};
