import type { KindRule } from "../kind-rule";

/** "Give my regards to the crew", "say hello to your mother", "remember me to him". */
const GREETINGS =
  /^(?:and |please |do |oh,? )*(?:give (?:my|our|him|her|them|everyone|everybody|(?:the|your) \p{L}+) (?:\p{L}+ )?(?:my |our )?(?:best |kind |warm(?:est)? |fond(?:est)? )?(?:regards|love|best|wishes|greetings)\b|(?:send|pass on) (?:him|her|them|everyone|my|our) (?:\p{L}+ )?(?:best |kind |warm(?:est)? )?(?:regards|love|wishes|greetings)\b|say (?:hello|hi|good ?bye) (?:to|from)\b|remember (?:me|us) to (?:your|him|her|them|the|\p{Lu}))/iu;

/** "Keep up the good work", "get well soon", "drive safely", "enjoy your holiday". */
const WISHES =
  /^(?:and |now |please |do |so |just |well,? )*(?:enjoy (?:your|the|it|yourself|yourselves|every)\b[^.?:;,]{0,30}|(?:keep (?:up the (?:good|great|excellent|fine) work|it up|going|smiling|well|in touch)|get (?:well|better)(?: (?:soon|quickly|first))?|(?:drive|travel|fly|sail|get home|ride) (?:safely|carefully|safe|well)|sleep (?:well|tight)|make yourselves? (?:at home|comfortable)|cheer up|stay (?:well|safe|healthy|warm|as you are)|look after yourself|have fun|don['’]t (?:work too hard|worry)|never mind)(?:,? (?:all|both|everyone|everybody|there|today|tonight|tomorrow|you two|to (?:the|your|her|his|their|our) \w+|to (?:him|her|them|both|everyone)))?)[.!]*$/i;

/** "How are things at your end?", "how is everybody?": nobody waits for the answer. */
const HOW_ARE_THINGS =
  /^(?:and |so |well,? |hello,? |hi,? )*how (?:are|is|['’]s|have|has) (?:things|everything|everybody|everyone|life|all|(?:the|your) (?:family|wife|husband|kids|children|little ones?|weather|mood|holidays?))(?: (?:been|going|doing|at|in|over|up|down|with|on|your|you|there|end|side|way|these|days|keeping|now))*\?+$/i;

/** "Was this answer helpful?", "please rate your visit", "give us five stars". */
const SURVEYS =
  /\b(?:was (?:this|our|that) (?:answer|reply|mail|e-?mail|message|article|page|information|visit|chat) (?:helpful|useful)|did you find (?:this|our|the) (?:answer|site|page|article|information) (?:helpful|useful|easy|clear)|how (?:would|do) you rate (?:our|your|this)|how (?:satisfied|happy) (?:are|were) you with (?:our|your) (?:service|visit|stay|order|purchase|experience|support|answer)|(?:give|leave|award) us (?:\p{L}+|\d) stars?|tell us what you think (?:in our|of our (?:service|site|shop))|(?:fill in|complete|take part in|answer) our (?:short |quick |little |customer )?survey)|^(?:please |and )?rate (?:us[.!]*$|(?:your|us|our|this|the)\b(?=.{0,80}\b(?:stars?|experience|visit|stay|scale|service|purchase)\b))/iu;

/** "Think of the trees before you print this mail", "to change your settings, open your profile". */
const FOOTER =
  /\b(?:consider|think of|think about) (?:the|our) (?:environment|trees|planet|forests?) before (?:you )?print|\bprint this (?:e-?mail|mail|message) only\b|^to (?:change|update|manage|edit) your (?:\p{L}+ )?(?:settings|preferences|details|subscription|profile|notifications?|password|account)\b(?=.{0,60}\b(?:visit|open|use|go to|click|follow|log in)\b)|^to (?:unsubscribe|opt out|stop these)\b|^to (?:log|sign) in,/iu;

const PATTERNS = [GREETINGS, WISHES, HOW_ARE_THINGS, SURVEYS, FOOTER];

/** Whether words only greet, or wish somebody well. */
export function isRegards(text: string): boolean {
  return [GREETINGS, WISHES, HOW_ARE_THINGS].some((pattern) => pattern.test(text));
}

/** Greetings to others, good wishes, surveys and footers: they sound like orders and questions, and nobody waits for them. */
export const regards: KindRule = {
  name: "regards, wishes or a survey",
  confidence: 1,
  says: "nothing",
  find: ({ text }) => (PATTERNS.some((pattern) => pattern.test(text)) ? "nothing" : null),
};
