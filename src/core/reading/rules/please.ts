import type { KindRule } from "../kind-rule";

const PLEASE =
  /(?:^|[,\s(])(?<!(?:won['’]t|not|to|it|very|most|so) )(?:please|kindly|pls|plz)\b[\s,]+(?!(?:us|me|them|him|her|everybody|everyone|nobody)\b|find|note|see (?:attached|below|enclosed)|accept|excuse|feel|don['’]t hesitate|do not hesitate|be (?:aware|advised|assured))(?=\w+)/i;
/** "The drawings by Friday, please." */
const PLEASE_LAST = /[\w)],?\s+(?:please|pls|plz)[.!]*$/i;

/** "Please send it", "the drawings by Friday, please". */
export const please: KindRule = {
  name: "“please”",
  confidence: 0.95,
  find: (clause) => (PLEASE.test(clause.text) || PLEASE_LAST.test(clause.text) ? "ask" : null),
};
