import { bareClause } from "../bare-clause";
import { isImperative } from "../imperative";
import type { KindRule } from "../kind-rule";
import { isNoAsk } from "../own-duty";

/** A verb, and right behind it what it is done to: "hold the press", "bring them", "switch off both". */
const VERB_AND_THING =
  /^(?:(?:do|don['’]?t|do not|just|only|simply)\s+)?[\p{L}-]+ (?:up |down |off |out |back |on |away |over )?(?:the|an?|your|our|my|his|her|their|its|this|that|these|those|me|us|him|them|it|all|both|each|every(?:thing|one|body)?|nobody|whoever|whatever|nothing|any(?:thing|one)|some(?:body|one))\b/iu;

/** "Lift A works normally": a thing by its letter, of which something is told. */
const LETTERED_THING = /^[\p{L}-]+ A\b/u;

/** "Hold the press", "Bring them on the 9th": of orders in this form hardly one is none. */
export const orderForThing: KindRule = {
  name: "an order, and what it is for",
  confidence: 0.95,
  says: "ask",
  find({ text }) {
    const bare = bareClause(text);
    if (!VERB_AND_THING.test(bare) || LETTERED_THING.test(bare) || isNoAsk(text, bare)) return null;
    return isImperative(bare) ? "ask" : null;
  },
};
