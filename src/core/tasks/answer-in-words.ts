/** What a member's letter to a task's address answers to who gave them the task. */
export type AnswerInWords =
  | { readonly act: "take on" }
  | { readonly act: "hand back"; readonly reason: string }
  | { readonly act: "ask back"; readonly question: string }
  | { readonly act: "done" };

const GREETING =
  /^(?:(?:hi|hello|dear|good (?:morning|afternoon|evening)|hey)\b[^\n]{0,60}\n+|(?!(?:sorry|yes|no|ok|okay|done|sure),)[\p{L}]+,\s*\n+)/iu;
const YES =
  /^(?:yes|yep|ok(?:ay)?|sure|gladly|of course|no problem|(?:i(?:['’]ll| will|['’]m on it| can)|will) (?:do|take|see to)\b.*|i(?:['’]m| am) on it|taken(?: on)?|fine(?: by me)?)\b[^?]*$/i;
const NO =
  /^(?:no(?!\s+(?:problem|worries|trouble))\b|sorry\b|i(?:['’]m afraid| am afraid)|unfortunately\b|i (?:can(?:no|['’])?t|cannot|won['’]t|have no (?:time|room))\b|not (?:me|mine|possible)\b)/i;
const DONE = /^(?:done|finished|it(?:['’]s| is) (?:done|finished)|sent(?: it)?(?: today| this morning)?)\b[^?]*$/i;

/** Words of an answer at the most; a longer letter is no short answer, and only stands on the task. */
const LONGEST = 600;

/**
 * Reads the new text of a letter as a short answer to a hand-over: "yes", "no, I am on the roof until Friday", "done", or a
 * question. Null where it is none of these: then the letter only stands on the task.
 */
export function answerInWords(newText: string): AnswerInWords | null {
  const text = newText.replace(/\r/g, "").trim().replace(GREETING, "").trim();
  if (text === "" || text.length > LONGEST) return null;
  const first = text.split("\n", 1)[0]!.trim();
  const whole = text.replace(/\s+/g, " ");
  if (DONE.test(first)) return { act: "done" };
  if (NO.test(first)) return { act: "hand back", reason: whole };
  if (YES.test(first)) return { act: "take on" };
  if (/\?\s*$/.test(first)) return { act: "ask back", question: whole };
  return null;
}
