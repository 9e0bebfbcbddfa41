import type { Priority } from "./slip";

const HIGH =
  /\b(?:urgent(?:ly)?|asap|a\.s\.a\.p|as soon as (?:possible|you can)|critical|immediately|at once|right away|straight away|forthwith|top priority|(?:can|could)(?:['’]t|not| not) wait|high priority|most important)\b/i;
const LOW =
  /\b(?:no (?:great |particular |real |big )?(?:rush|hurry|pressure)|not urgent|isn['’]t urgent|whenever (?:you|it|suits)|when you (?:have|get|find) (?:a moment|time|a minute|a chance)|low priority|in your own time|at your leisure|take your time|can wait|some ?time when|if you get round to)\b/i;

/** How urgent the words of a clause are. */
export function priorityOf(text: string): Priority {
  if (LOW.test(text)) return "low";
  return HIGH.test(text) ? "high" : "normal";
}
