import { bareClause } from "../bare-clause";
import type { KindRule } from "../kind-rule";
import { asksWhetherTheyCan, isPolite } from "../polite-words";

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
    if (asksWhetherTheyCan(text)) return null;
    // "Can they still be used, or shall we fetch new ones?" leaves a choice.
    if (/\bor (?:shall|should|do|must|can) (?:i|we)\b[^?]*\?$/i.test(bare)) return null;
    // "One thing would help: was it filled by the same man?": what stands behind the colon is asked.
    if (/: (?:is|are|was|were|do|does|did|has|have|when|where|which|who|what|how|why)\b[^:]*\?$/i.test(text))
      return null;
    // "How soon can you start?" wants an answer.
    if (
      /^(?:(?:on|at|in|by|from|for|to|with|until) )?(?:how|when|where|what|which|who|whom|why)\b/i.test(bare) &&
      /\?$/.test(text)
    )
      return null;
    return isPolite(text) && !/^(?:i|we) (?:was|were) told\b/i.test(bare) ? "ask" : null;
  },
};
