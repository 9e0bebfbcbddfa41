import { bareClause } from "../bare-clause";
import type { KindRule } from "../kind-rule";
import { isPolite } from "../polite-words";

/** "If Ruben would bake with it, …" */
const IF_SOMEBODY = /^if (?:\p{Lu}\p{L}+|somebody|someone|one of you|you) (?:could|would|might)\b/iu;

/** "Could you look at it?", "It would help if you measured it", "If Ruben would bake with it, …". */
export const polite: KindRule = {
  name: "a polite request",
  confidence: 0.95,
  counts: 2.5,
  says: "ask",
  find({ text }) {
    const bare = bareClause(text);
    if (IF_SOMEBODY.test(bare) && !/^if you (?:could|would) (?:like|prefer|rather)/i.test(bare)) return "ask";
    if (IF_SOMEBODY.test(text)) return "ask";
    // "How soon can you start?" wants an answer.
    if (
      /^(?:(?:on|at|in|by|from|for|to|with|until) )?(?:how|when|where|what|which|who|whom|why)\b/i.test(bare) &&
      /\?$/.test(text)
    )
      return null;
    return isPolite(text) && !/^(?:i|we) (?:was|were) told\b/i.test(bare) ? "ask" : null;
  },
};
