import { bareClause } from "../bare-clause";
import type { KindRule } from "../kind-rule";

const WHOEVER =
  /^(?:someone|somebody|one of (?:us|you)|everyone|everybody|all (?:of (?:us|you)|staff|crew|teams?)|whoever [^,]{3,40},?)\s+(?:has to|have to|needs to|need to|must|should|might|could|will have to|to|please|is (?:at|in|to be))\s+\w+/i;

/** "Someone has to be at the door", "Everyone to hand in their hours": said of whoever it may be. */
/** "Whoever is last out turns off the heating." */
const WHOEVER_DOES = /^whoever (?!(?:said|did|was|wrote|made|told|has (?:made|done|said))\b)[^,?]{3,60}$/i;

export const whoever: KindRule = {
  name: "somebody has to",
  confidence: 0.9,
  says: "ask",
  find: (clause) => (WHOEVER.test(bareClause(clause.text)) || WHOEVER_DOES.test(clause.text) ? "ask" : null),
};
