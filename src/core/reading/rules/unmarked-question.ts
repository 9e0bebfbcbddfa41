import { bareClause } from "../bare-clause";
import type { KindRule } from "../kind-rule";

/** Only who asks says it in this order: "is there", "do you", "how can one". */
const ORDER_OF_QUESTION =
  /^(?:(?:is|are|was|were|does|did|has) (?:there|it|this|that|these|those|anyone|anybody|someone|somebody)|(?:do|does|did|have|has|are|were) (?:you|we|they|i|any of you)|(?:should|shall) (?:i|we)|(?:how|when|where|why|whom?|what) (?:do|does|did|can|could|should|would) (?:i|we|you|one|they|he|she|it|the|this|that)|what (?:is|are) (?:the|your|its|their)|how (?:much|many|long|often|far|soon)(?: \p{L}+)? (?:is|are|do|does|did|can|could|should|will|would))\b/iu;

/** "Are we glad", "do I ever", "did they laugh": cries in the order of a question. */
const CRY =
  /^(?:(?:boy|man|oh),? )?(?:are|is|was|were|did|do|does|have) (?:\p{L}+) (?:ever|glad|lucky|a mess)\b|!\s*$/iu;

const FEWEST_WORDS = 5;

/** "How do I get it removed." Many who write in haste leave the mark out. */
export const unmarkedQuestion: KindRule = {
  name: "words in the order of a question",
  confidence: 0.75,
  isCertain: true,
  find({ text }) {
    if (/\?/.test(text) || CRY.test(text)) return null;
    const bare = bareClause(text);
    return ORDER_OF_QUESTION.test(bare) && bare.split(/\s+/).length >= FEWEST_WORDS ? "question" : null;
  },
};
