import { bareClause } from "../bare-clause";
import type { KindRule } from "../kind-rule";
import { isNoAsk } from "../own-duty";

const OWED =
  /\b(?:has|have) (?:still not|not yet) been (?:received|returned|submitted|handed in|signed|supplied|delivered|sent|answered|paid)\b|\b(?:you(?: still)? owe|(?:is|are) still owed|waits? (?:for|on) your|waiting (?:for|on) your|lies? (?:on|with) (?:your|you)|is (?:with|on) (?:you|your (?:desk|table)) (?:since|now)|is yours\b)/i;
const THEY_WANT =
  /^(?:(?:and|but|so|also|then)[,\s]+)*(?:he|she|they|(?:the|our|your|my|his|her|their) [\p{L} -]{2,30}?|\p{Lu}\p{L}+)(?:['’]ll| will| also| still| now| only| really)* (?:wants?|needs?|requires?|asks? for|insists? on|is asking for|are asking for|would like)\b(?! (?:to (?:say|thank|know)|no\b|not\b|\w+ing\b))/iu;
/** "The auditors have asked for the receipts", "my boss wants to see three quotes". */
const THEY_ASK =
  /^(?:he|she|they|(?:the|our|your|my|his|her|their) [\p{L} -]{2,30}?|\p{Lu}\p{L}+)(?: also| still| now| even)* (?:(?:asks?|(?:has|have) (?:now |also )?asked|(?:is|are) asking|insists?|calls?) (?:for|on)\b|(?:asks?|(?:has|have) asked|want|wants|expects?|wishes|begs?|urges?|would like) (?:us|you)(?:, \w+,)? to\b|wants? to (?:see|have|speak to|talk to|meet)\b)/iu;
const FROM_YOU = /\b(?:by|before|until|from you|from us|in writing|you to|us to|your)\b/i;

/** "The contract waits for your signature", "the insurance wants photos by Wednesday": what somebody is owed, they are asked for. */
export const owed: KindRule = {
  name: "somebody waits for it or wants it",
  confidence: 0.75,
  says: "ask",
  find({ text }) {
    const bare = bareClause(text);
    if (isNoAsk(text, bare) || /^(?:if|whether|unless) (?:we|you|it|they)\b/i.test(bare)) return null;
    if (OWED.test(text)) return "ask";
    if (THEY_ASK.test(bare)) return "ask";
    return THEY_WANT.test(bare) && FROM_YOU.test(bare) && !/\bwhat\b/i.test(bare.slice(0, 20)) ? "ask" : null;
  },
};
