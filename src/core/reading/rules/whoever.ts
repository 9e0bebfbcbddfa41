import { bareClause } from "../bare-clause";
import { isImperative } from "../imperative";
import type { KindRule } from "../kind-rule";

/** "Someone has to be at the door", "Everyone to hand in their hours": said of whoever it may be. */
const WHOEVER =
  /^(?:someone|somebody|one of (?:us|you)|everyone|everybody|all (?:of (?:us|you)|staff|crew|teams?)|whoever [^,]{3,40},?)\s+(?:has to|have to|needs to|need to|must|should|might|could|will have to|to|please|is (?:at|in|to be))\s+\w+/i;

/** "Whoever is last out turns off the heating." */
/** "Whoever is in the yard first: salt the ramp". */
const WHOEVER_IS = /^whoever [^,:?]{3,60}[:,] (?=\p{Ll})/iu;
const WHOEVER_DOES = /^whoever (?!(?:said|did|was|wrote|made|told|has (?:made|done|said))\b)[^,?]{3,60}$/i;

export const whoever: KindRule = {
  name: "somebody has to",
  confidence: 0.9,
  says: "ask",
  find({ text }) {
    const called = WHOEVER_IS.exec(text)?.[0];
    if (called && isImperative(text.slice(called.length), true)) return "ask";
    return WHOEVER.test(bareClause(text)) || WHOEVER_DOES.test(text) ? "ask" : null;
  },
};
