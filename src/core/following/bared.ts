/** Words with which an answer is softened, and that say nothing of their own. */
const OPENER =
  /^(?:(?:well|so sorry|sorry(?: about (?:this|that))?|unfortunately|regrettably|sadly|alas|but|and|so|oh|thank you|thanks|thank you for (?:asking|your \w+)|thanks for (?:asking|your \w+)|to be honest|honestly|(?:i['’]?m|i am|we['’]?re|we are) (?:really |very |so |terribly )?(?:afraid|sorry)(?: to say)?|(?:i|we) (?:regret(?: to say)?|fear|think|believe|guess)|at the moment|right now|just)(?:,? but|,? that|[,:])?\s+)+/i;

const CLOSER =
  /(?:,? (?:sorry|so sorry|(?:i['’]?m|i am|we['’]?re|we are) (?:afraid|sorry)|unfortunately|i fear|i think|by the way|at last|many thanks|thank you|thanks|though))*[\s.!]*$/i;

/** An answer without what softens it: "I'm sorry, but that's not possible." is "that's not possible". */
export function bared(text: string): string {
  return text.replace(OPENER, "").replace(CLOSER, "");
}
