import { bareClause } from "../bare-clause";
import type { KindRule } from "../kind-rule";

/** What is wanted without a verb, and by when: "Delivery to both addresses not later than 7 October". */
const WANTED_BY =
  /^(?!(?:by|on|in|at|from|until|before|after|since|deadline|due|end|present|open|closed|valid|back|away|out of|offer|offers|price|prices|holiday|holidays|i|we|you|he|she|they|it|there|this|that|sent|paid|done|sorted|fixed|finished|received|arrived|signed|gone|here)\b)(?:[\p{L}\d’'-]+ ){1,9}?(?:(?:off|in|back|out|over|here|ready) )?(?:not later than|no later than|at the latest by|(?<!\d )by|before) (?:the )?(?:(?:[12]?\d|3[01])(?:st|nd|rd|th)?\b(?! (?:an?|per|centimetres?|metres?|cm|mm|m)\b)|(?:mid|early|late)[- ]\p{L}|mon|tues|wednes|thurs|fri|satur|sun|tomorrow|noon|tonight|next week|end of|the end of|close of)[^.?!;]{0,40}[.!]?$/iu;

/** A verb that says something of what stands before it: then it is told, not wanted. */
const TELLS =
  /\b(?:is|are|was|were|be|been|has|have|had|will|would|shall|should|can|could|may|might|must|does|do|did|comes?|came|goes|went|got|gets|arrives?|leaves?|takes?|took|needs?|wants?|expects?|hopes?|knows?|said|says)\b|['’](?:s|re|ve|ll|d|m)\b(?! )|\b(?:i|we|you|he|she|they)\b/i;

/** A point of few words that ends with a limit. */
export const wantedBy: KindRule = {
  name: "something is wanted by a day",
  confidence: 0.8,
  says: "ask",
  find({ text }) {
    const bare = bareClause(text);
    return WANTED_BY.test(bare) && !TELLS.test(bare) ? "ask" : null;
  },
};
