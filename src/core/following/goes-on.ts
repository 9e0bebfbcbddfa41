import type { FollowContext } from "./context";
import { dueIn } from "./days-named";
import type { OpenItem } from "./item";
import { type Ruled, wantsWords } from "./said";
import type { Segment } from "./segments";

/** "As for the concert: that is the bearing": the words after it are said of what it names. */
const TURNS_ELSEWHERE = /^(?:and )?as (?:for|to|regards) (?:the|that|your|our|his|her|their|this)\b/i;

/** "I'll ask the boss and tell you tomorrow." */
const WILL_TELL =
  /\b(?:will|['’]ll|shall)\b.{0,60}\b(?:tell (?:you|both|them)|let you know|come back to you|get back to you|give you (?:an|the|my) answer)\b/i;

/** Words of a segment that only names a day. */
const FEW_WORDS = 8;

/** "The blue one needs another week, I am sorry: 20 March.": the day stands behind the words that move it. */
export function addDays(context: FollowContext, changes: Map<string, Ruled>, consumed: ReadonlySet<Segment>): void {
  for (const [id, { said, segment }] of changes) {
    if (said.due !== null || (said.change !== "moved" && said.change !== "promised")) continue;
    const next = context.segments[context.segments.indexOf(segment) + 1];
    if (!next || next.block !== segment.block || consumed.has(next) || next.text.split(/\s+/).length > FEW_WORDS)
      continue;
    const due = /\?$/.test(next.text) ? null : dueIn(context, next.text);
    if (due) changes.set(id, { said: { ...said, due }, segment });
  }
}

const ADDS_SOMETHING =
  /^(?:and )?(?:i|we)(?:['’]ll| will| shall) (?:also |in addition )?(?:send|bring|give|show|make|draw|write|post|mail|e-?mail|get|prepare|add|enclose|include) (?:(?:you|them|him|her|both) )?(?:an?|some) \w/i;

/** "I'll also send you a drawing": a thing that was not spoken of. */
export function addsSomething(text: string): boolean {
  return ADDS_SOMETHING.test(text);
}

/** "The one for April I have asked them for": the rest of what is done in part. */
export function isRestLeft(text: string): boolean {
  return REST_LEFT.test(text) && !IS_DONE_TOO.test(text);
}
const REST_LEFT =
  /^(?:and |but |only )*the (?:ones?|others?|rest|remaining|last|second|third)\b.*\b(?:(?:have|['’]ve) (?:asked|ordered|requested)|look up|have to|has to|need to|still|missing|later|follows?|will|to come|waiting|not|\w+n['’]t)\b/i;
const IS_DONE_TOO = /\b(?:too|as well|also)[.!]*$/i;

/** "So its results come on 24 April": what is still to come of a thing. */
export function isStillToCome(text: string): boolean {
  return /^(?:and |so |and so |but )*(?:(?:its|their|the other|the others|the rest)\b|(?:the |my |our )?[\w-]+(?: [\w-]+)? follows? (?:on|by|tomorrow|today|tonight|next|later|soon|separately|this)\b)/i.test(
    text,
  );
}

/** What a segment turns to that names nothing open: the one thing left, or the one of which words are wanted. */
export function turnedTo(left: readonly OpenItem[], text: string): OpenItem | null {
  const asked = left.filter((item) => item.kind !== "trouble");
  const only = asked.length > 0 ? asked : left;
  if (TURNS_ELSEWHERE.test(text)) return only.length === 1 ? only[0]! : null;
  if (!WILL_TELL.test(text)) return null;
  const words = asked.filter(wantsWords);
  return words.length === 1 ? words[0]! : null;
}
