import { bareClause } from "../bare-clause";
import type { KindRule } from "../kind-rule";

const CAN =
  /\b(?:i|we) (?:can|should be able to) (?:let you have|have (?:it|them|this|that)|get (?:it|them|this|that|you)|send|deliver)\b/i;

/** "We can send larch on Wednesday": an offer, which may be meant as a promise. */
export const offered: KindRule = {
  name: "the writer says that they can",
  confidence: 0.7,
  says: "promise",
  find: ({ text }) => (!/\?$/.test(text) && CAN.test(bareClause(text)) ? "promise" : null),
};
