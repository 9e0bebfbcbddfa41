import type { Priority } from "./slip";

const HIGH =
  /\b(?:urgent(?:ly)?|asap|a\.s\.a\.p|as soon as (?:possible|you can)|critical|immediately|at once|(?:right|straight) away|this (?:minute|second|instant|very moment)|without delay|forthwith|top priority|(?:can|could)(?:['’]t|not| not) wait(?! (?:more|longer|for (?:the|you|it|them))\b)|high priority|most important)\b/i;
const LOW =
  /\b(?:no (?:great |particular |real |big )?(?:rush|hurry|pressure)|not (?:urgent|pressing)|isn['’]t urgent|whenever (?:you|it|suits)|no deadline|when(?:ever)? you(?:['’]ve| have|['’]ve got| get| find)(?: got)? (?:a (?:spare |free |quiet |bit of )?(?:moment|minute|min|second|sec|chance|time)|some time|time)|low priority|in your own time|at your leisure|take your time|can wait|some ?time when|if you get round to)\b|^whenever\b(?=[.,!]|$)/i;

/** "It can't wait.", "No rush with this one, …": a sentence that only says how urgent what stands before it is. */
const ONLY_HOW_URGENT =
  /^(?:(?:and|but|so|though|although)[\s,]+)*(?:(?:it|this|that|they|these|those|this one|that one|the (?:whole )?matter|none of (?:this|it|that)|nothing (?:of|in) this)(?:['’]s| is| are|['’]re)? (?:really |very |rather |most |quite |all |simply |not |n['’]t )*(?:urgent|pressing|critical|(?:a |of )?(?:top|high|low|highest) priority|can(?:['’]?t|not)? wait|won['’]t wait)|(?:there(?:['’]s| is) )?(?:absolutely |really )?no (?:great |particular |real |big )?(?:rush|hurry|pressure)(?: at all)?(?: (?:on|with|for|about|to|there|here)(?: (?:this|that|these|those|it|them|this one|that one|the answer|the reply|any of (?:this|it)))?)?|take your time(?: with (?:it|this|that))?|(?:very |most |rather |really )?urgent|top priority|low priority)(?=\s*(?:[,;:.!–-]|$|as\b|because\b|since\b|but\b|though\b|until\b))/i;

/** How urgent a sentence says that what stands before it is; null where it says anything else. */
export function saysHowUrgent(text: string): Priority | null {
  return ONLY_HOW_URGENT.test(text) ? priorityOf(text) : null;
}

/** "None of this is urgent", "the matter is not pressing": said of all that a letter asks. */
export function saysOfAll(text: string): boolean {
  return /^(?:(?:and|but|so)[\s,]+)*(?:the (?:whole )?matter|none of (?:this|it|that)|nothing (?:of|in) this)\b/i.test(
    text,
  );
}

/** How urgent the words of a clause are. */
export function priorityOf(text: string): Priority {
  if (LOW.test(text)) return "low";
  return HIGH.test(text) ? "high" : "normal";
}
