/** "We should like to know whether she may race": an answer is wanted. */
export const WANTS_TO_KNOW =
  /^(?:i|we) (?:should|would) (?:also |very much )?(?:like|love) to (?:know|hear) (?:if|whether|what|when|which|who|where|how|why)\b/i;

/** "I need until Monday to copy it", "the menu needs a few more days": time is wanted, and nobody can send that. */
const NEEDS_TIME =
  /\b(?:needs?|wants?|requires?|must have)(?: \w+)? (?:until\b|till\b|(?:the|this|another) (?:weekend|week|day|night|morning|afternoon|month)\b(?! (?:off|free))|(?:an? )?(?:few|little|bit|some|one|two|three|four|five|\d+)(?: more| extra| longer)? (?:days?|weeks?|hours?|months?|time|longer)\b(?!['’]|,? notice| of\b)|(?:some )?more time\b)/i;

/**
 * Whether a clause is no ask whatever words it has: it asks for an answer, or speaks of what its writer is going to do. "We
 * must" and "we should" may still be meant for somebody.
 */
export function isNoAsk(text: string, bare: string): boolean {
  if (/\?$/.test(text) || WANTS_TO_KNOW.test(bare) || NEEDS_TIME.test(bare)) return true;
  return (
    /^(?:i|we) (?:will|shall|am going|have to|must|need to|should|want to)\b/i.test(bare) &&
    !/^(?:(?:we|i) (?:will|shall)(?: also| still| then| now)? (?:need|require|have to (?:know|get|see|hear|receive))\b|we (?:must|need to|should|have to)|i must have|i need to (?:have|know|get|see|hear|receive))\b/i.test(
      bare,
    )
  );
}
