import type { KindRule } from "../kind-rule";

/** "Give my regards to the crew", "say hello to your mother", "remember me to him". */
const GREETINGS =
  /^(?:and |please |do |oh,? )*(?:give (?:my|our|him|her|them|everyone|everybody|(?:the|your) \p{L}+) (?:\p{L}+ )?(?:my |our )?(?:best |kind |warm(?:est)? |fond(?:est)? )?(?:regards|love|best|wishes|greetings)\b|(?:send|pass on) (?:him|her|them|everyone|my|our) (?:\p{L}+ )?(?:best |kind |warm(?:est)? )?(?:regards|love|wishes|greetings)\b|say (?:hello|hi|good ?bye) (?:to|from)\b|remember (?:me|us) to (?:your|him|her|them|the|\p{Lu}))/iu;

/** "Keep up the good work", "get well soon", "drive safely", "enjoy your holiday". */
const WISHES =
  /^(?:and |now |please |do |so |just |well,? )*(?:keep (?:up the (?:good|great|excellent|fine) work|it up|going|smiling|well|in touch)|get (?:well|better)(?: (?:soon|quickly|first))?|(?:drive|travel|fly|sail|get home|ride) (?:safely|carefully|safe|well)|sleep (?:well|tight)|enjoy (?:your|the|it|yourself|yourselves|every)|make yourselves? (?:at home|comfortable)|cheer up|stay (?:well|safe|healthy|warm|as you are)|look after yourself|all the (?:best|same)|have fun|don['’]t (?:work too hard|worry)|never mind)(?![^.!?]*\b(?:and|but|so|then|because)\b)[^?:]{0,40}[.!]*$/i;

/** "How are things at your end?", "how is everybody?": nobody waits for the answer. */
const HOW_ARE_THINGS =
  /^(?:and |so |well,? |hello,? |hi,? )*how (?:are|is|['’]s|have|has) (?:things|everything|everybody|everyone|life|all|(?:the|your) (?:family|wife|husband|kids|children|little ones?|weather|mood|holidays?))(?: (?:been|going|doing|at|in|over|up|down|with|on|your|you|there|end|side|way|these|days|keeping|now))*\?+$/i;

/** "Was this answer helpful?", "please rate your visit", "give us five stars". */
const SURVEYS =
  /\b(?:was (?:this|our|that) (?:answer|reply|mail|e-?mail|message|article|page|information|visit|chat) (?:helpful|useful)|did you find (?:this|our|the) (?:answer|site|page|article|shop|information)\b|how (?:would|do) you rate\b|how (?:satisfied|happy) (?:are|were) you with (?:our|your|this|the)|(?:please )?rate (?:your|us|our|this|the)\b(?=.{0,80}\b(?:stars?|experience|visit|stay|scale|service|answer|purchase)\b|[ ,.!]*$)|(?:give|leave|award) us (?:\p{L}+|\d) stars?|tell us what you think (?:in|of|about) our|(?:fill in|complete|take part in|answer) (?:our|this|the) (?:short |quick |little )?(?:survey|questionnaire about (?:our|your)))/iu;

/** "Think of the environment before you print this mail", "to change your settings, open your profile". */
const FOOTER =
  /\b(?:consider|think of|think about|mind) (?:the|our) (?:environment|trees|planet|forests?)\b|\bprint this (?:e-?mail|mail|message) only\b|^to (?:change|update|manage|edit) your (?:\p{L}+ )?(?:settings|preferences|details|subscription|profile|notifications?|password|account)\b|^to (?:unsubscribe|log in|sign in|opt out|stop these)\b/iu;

const PATTERNS = [GREETINGS, WISHES, HOW_ARE_THINGS, SURVEYS, FOOTER];

/** Greetings to others, good wishes, surveys and footers: they sound like orders and questions, and nobody waits for them. */
export const regards: KindRule = {
  name: "regards, wishes or a survey",
  confidence: 1,
  says: "nothing",
  find: ({ text }) => (PATTERNS.some((pattern) => pattern.test(text)) ? "nothing" : null),
};
