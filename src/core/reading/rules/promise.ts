import { bareClause } from "../bare-clause";
import type { KindRule } from "../kind-rule";

const WILL =
  /\b(?:i|we)(?:['’]ll| will| shall)(?: always| also| then| just| now| both| all| personally| gladly| certainly| definitely| of course)* (?!be\b(?! (?:with you|sending|bringing|delivering|ringing|calling|writing|posting|paying|in touch|back (?:to you|with)|ready (?:by|on|for)|done (?:by|on)))|have to (?:say|admit)|not\b|never\b|miss\b|see (?:you|how|what(?! (?:i|we) can))|also\b|then\b|just\b|remember\b|cherish|treasure|always\b|now\b|both\b|all\b|need\b|probably|know\b|assume|wait\b|love|try to (?:be|keep)|require|think about|want|believe|ignore|manage\b|survive|live\b|keep (?:watching|hoping|trying|wondering|dreaming|my fingers|our fingers)|continue to (?:hope|watch|wonder))\w+/i;
const GOING_TO =
  /^(?:(?:so|and|then|ok|yes)[, ]+)*(?:ill|well|youll|theyll|shell|hell|itll) (?:be with you|send|get|do it|have it|bring|ring|call|come|take|make|let you|check|ask|tell|write|give|pass|post|fix|book|drop|pick|chase|sort|pop|grab|leave|speak|talk|print|order|finish|start|fetch|deliver|email|mail|text|phone|forward|put|find|pay|return|collect|prepare)\b|\b(?:i['’]m|i am|we['’]re|we are) (?:going|about) to (?!be\b|need|have to|miss)\w+|(?<!before |if |when |until |once )\b(?:i|we)(?:['’]ve| have)? promised?\b|\bpromises? (?:it|them|that|this)? ?(?:for|by) |\bleave [\w ]{2,40} (?:with|to) (?:me|us)\b|^will (?!you\b|there\b|it\b|that\b|this\b|the\b|be\b|we\b|they\b|he\b|she\b|i\b|any|some|your\b|our\b|not\b|your)\w+|^will (?:do|send|get|have|let|ring|check|report)\b/i;
/** "I'm ringing them tomorrow": what is about to be done, with its day. */
const DOING_SOON =
  /\b(?:i['’]m|i am|we['’]re|we are) (?:sending|ringing|calling|writing to|phoning|mailing|emailing) (?:the|him|her|them|you|my|our|\p{Lu}\p{L}+|someone|somebody|a (?:man|driver|fitter|technician)|our \p{L}+)\b|\b(?:i['’]m|i am|we['’]re|we are)\s+(?!being|going (?!there|over|round|to (?:the|see|look|ask|ring|call|talk|speak)\b)|having|looking|hoping|waiting|travelling|traveling|working|leaving|flying|staying|moving|thinking|living|sitting|trying|closing|opening|expecting|wondering|missing|meeting|asking (?:you|every|all|people))\w+ing\b.{1,60}\b(?:today|tonight|tomorrow|this (?:morning|afternoon|evening|week)|next week|(?:on|for|by) (?:mon|tues|wednes|thurs|fri|satur|sun)day|first thing|right (?:now|away|this)|straight away|at once|this (?:minute|second|instant)|as we speak|on the day|with me|myself|at (?:\d{1,2}|one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve|noon))\b/iu;
/** "Dropping it off on the way home", of people who write without "I'm". */
const DOING_WITHOUT_I =
  /^(?:just |now |am |so |ok |already )*(?:dropping|sending|bringing|ringing|calling|posting|ordering|picking|booking|chasing|taking|fetching|sorting|writing|printing|paying|emailing|mailing|collecting|converting|fixing|mending|cleaning|delivering|phoning|replacing|(?:talking|speaking|writing) to \p{L}+ about|looking into|looking at|going through|going over|seeing to|dealing with|working on) (?:up |off |round |over |in |out )?(?:it|them|the|him|her|you|one|a|an|more|some|two|three|this|that|my|our|your|another|new)\b(?!.*\b(?:is|was|are|were|would|takes?|costs?|helps?)\b)/iu;
/** "Redrawing it Thursday", "ordering tomorrow". */
const DOING_ON_A_DAY =
  /^(?:just |now |am |so |ok |but |and )*(?!(?:hoping|looking|waiting|travelling|going|flying|leaving|meeting|staying|being|having|wondering|thinking|trying|seeing|working|starting|opening|closing|arriving|coming|sitting|living|feeling|getting|according|owing|during|following|regarding|concerning|including|something|anything|nothing|everything|morning|evening|training|building|wedding|meeting|raining|snowing|sailing|missing|planning|parking|running)\b)[a-z]{3,}ing\b(?: (?!(?:is|was|are|were|would|will|starts?|begins?|ends?|opens?|closes?|takes?|needs?|costs?|resumes?|continues?)\b)[^\s,.;]+){0,6} (?:today|tonight|tomorrow|tmrw|tmw|mon|tues?|wed|thurs?|fri|(?:mon|tues|wednes|thurs|fri|satur|sun)day|first thing|next week|this (?:morning|afternoon|evening|week))\b/i;
const YOU_WILL_HAVE =
  /\byou(?:['’]ll| will| shall| should) (?:have(?! (?:already |just |surely |probably |all )?(?:heard|noticed|thought|seen|read|found|guessed|received|had|got|been|known|come|[a-z]+ed)\b)|get|receive|hear|know (?:more|by|on|tomorrow|in|within)|be the first\b|find (?!(?:it |them |the |a |an |our |my |all |everything )?(?:[\w-]+ ){0,4}(?:below|attached|enclosed|above|online|here|in|on|at|under)\b)|be (?:sent|credited|refunded|informed|notified|advised|contacted|phoned|telephoned|called|told|paid|reimbursed|compensated|invited|hearing|getting|receiving))\b/i;
const LET_ME = /^let me (?!know\b|explain|say|add|be\b|put|remind|introduce)\w+/i;
const CONDITION = /\b(?:if (?:you|we|it|they|that|i)|in case|unless we|once you|as soon as you)\b/i;
/** "I know somebody and will ask her". */
const AND_WILL = /^(?:i|we)\b.{3,80}\band (?:i |we )?(?:will|shall) (?!be\b|not\b|never|miss|need|see)\w+/i;
/** "This office will decide within four weeks", "our driver will bring it": the writer's house will. */
const OFFICE_WILL =
  /^(?:this|our|the undersigned|my) (?:office|company|firm|department|team|workshop|driver|courier|fitter|engineer|accountant|bookkeeper|lawyer|colleagues?|house|shop|bank|mill|studio|crew|people)s? (?:will|shall|is going to|are going to)\b/i;

/** "I talk to the head on Wednesday", "I can put you in touch": said as if it were done. */
const AS_IF_DONE =
  /^(?:so )?i (?:talk|speak|ring|call|send|bring|order|write|fetch|collect|post|deliver|pick|drop|book|pay)\b(?: \S+){1,8} (?:today|tonight|tomorrow|(?:on|by) (?:mon|tues|wednes|thurs|fri|satur|sun)day|next week)\b|^(?:so )?i ask (?:in|at|the|him|her|them|my|our|around|round)\b|\b(?:i|we) can put you in touch\b/i;

/** "With this letter we are sending you": it is done. */
const SENT_HEREWITH = /\b(?:with this (?:letter|mail|message|note)|herewith|by the same post)\b/i;

/** Promises: what the writer's side says it will do, and can be held to. */
export const promise: KindRule = {
  name: "the writer says that they will",
  confidence: 0.95,
  says: "promise",
  find({ text, isListItem }) {
    const bare = bareClause(text);
    if (/\?$/.test(text) || (SENT_HEREWITH.test(text) && !WILL.test(bare))) return null;
    // "We're launching next week and I couldn't get away": why something did not happen.
    if (/\b(?:i|we) (?:couldn['’]t|could not|wasn['’]t able|weren['’]t able)\b/i.test(text) && !WILL.test(bare))
      return null;
    // "I do the table plan" in notes.
    if (
      isListItem &&
      /^i (?:do|take|bring|write|order|ring|call|make|prepare|print|cook|drive|look after|send)\b/i.test(bare)
    )
      return "promise";
    if (AS_IF_DONE.test(bare)) return "promise";
    if (OFFICE_WILL.test(bare) && !/\b(?:not|be able)\b/i.test(bare)) return "promise";
    if (WILL.test(bare)) return CONDITION.test(bare.slice(0, 20)) ? null : "promise";
    return [DOING_SOON, DOING_WITHOUT_I, DOING_ON_A_DAY, GOING_TO, YOU_WILL_HAVE, LET_ME, AND_WILL].some((pattern) =>
      pattern.test(bare),
    )
      ? "promise"
      : null;
  },
};
