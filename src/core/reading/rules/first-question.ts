import { bareClause } from "../bare-clause";
import type { KindRule } from "../kind-rule";

/** The order of words of a question; "would you" and its like ask for something to be done. */
const ASKS_ALREADY =
  /^(?:(?:do|does|did|are|is|was|were|has|have|may|might|shall|should) (?:i|we|you|they|he|she|it|there|the|this|that|these|those|your|our|my)|(?:can|could) (?:i|we|they|he|she|it|the|this|that|your|our|my)|(?:what|which|when|where|who|whose|why|how)(?: \p{L}+)? (?:is|are|was|were|do|does|did|can|could|shall|should|will|has|have))\b/iu;

/** "May we have" wants the thing, "should you come" is a condition, and "what matters is" leads up to something. */
const NO_QUESTION =
  /^(?:(?:may|can|could|might) (?:i|we) (?:please )?(?:have|get|borrow|see|receive)|should you|what \p{L}+s (?:is|was))\b/iu;

/** "Do you deliver on Sundays, and what does it cost?": the mark stands behind the last of the questions. */
export const firstQuestion: KindRule = {
  name: "one question of several",
  confidence: 0.85,
  isCertain: true,
  find({ text, asks }) {
    if (!asks || /\?["'”’)]*$/.test(text)) return null;
    const bare = bareClause(text);
    const said = bare.slice(bare.lastIndexOf(": ") + 1).trim();
    return ASKS_ALREADY.test(said) && !NO_QUESTION.test(said) ? "question" : null;
  },
};
