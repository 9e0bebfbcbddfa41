// What people write of a thing while it is not done yet: they have to look, have asked somebody, offer to come, or a part is left.

/** "…; the second has been requested": something is left of what is done. */
const LEAVES_SOME =
  /[,;] (?:and |but |while )?(?:the (?:second|third|fourth|other|others|rest|last|remaining|remainder)\b[^,;]{0,30}?|\p{L}[\p{L} ]{0,18}) (?:(?:is|are) (?:still |yet |now )?(?:being \p{L}+|on order|to come|to follow|missing|in the making|under way)|(?:has|have) been (?:requested|ordered|promised)|follows?|(?:is|are|has|have) (?:still|yet) to)\b/iu;

/** Whether a sentence that tells what is done says that some of it is left. */
export function leavesSome(sentence: string): boolean {
  return LEAVES_SOME.test(sentence);
}

const MUST_LOOK =
  /\b(?:i|we)(?:['’]d| would|['’]ll| will| shall| first)? (?:have|need) to (?:look (?:it |that |them )?up|look into|see (?:if|whether|who|what|how|about)|check|ask\b|find out|enquire|inquire|consult)(?!.*\b(?:before|not)\b)/i;

/** "That I'd have to look up", "I shall have to ask around": an answer is to come. */
export function hasToLook(text: string): boolean {
  return MUST_LOOK.test(text);
}

const HAS_ASKED =
  /\b(?:i|we)(?:['’]ve| have) (?:just |now |already )?(?:put (?:that|it|this|the question) to|asked (?!for\b|you\b)|written to|rung|phoned|e-?mailed|enquired|inquired|made enquiries|left (?:him|her|them) a (?:note|message))\b/i;

/** "…, and he says yes": he has answered. */
const HAS_ANSWER = /\b(?:says?|said|answered|replied|tells?|told|thinks?|confirms?|confirmed|wants?|no objection)\b/i;

/** "I've asked the verger about the church": nobody has answered yet. */
export function hasOnlyAsked(text: string): boolean {
  return HAS_ASKED.test(text) && !HAS_ANSWER.test(text);
}

const OFFERS =
  /^(?:and |so |then )?(?:i|we)(?:['’]d| would| could| can) (?:come|be (?:with you|there|round)|start|begin|fetch|collect|bring|deliver|do (?:it|that|them)|manage|drop|call|make it)\b/i;

/** "I'd come on Friday with the van" */
export function offersToDoIt(text: string): boolean {
  return OFFERS.test(text);
}
