import { bareClause } from "../bare-clause";
import type { KindRule } from "../kind-rule";
import { isNoAsk } from "../own-duty";
import { isPutToSomebody } from "../spoken-about";

const DUTY =
  "must|mustn['’]t|shouldn['’]t|has to|have to|needs to|need to|ought to|should|will(?: \\w+)? have to|will(?: \\w+)? need to|is to|are to|has got to";
const DUTY_ADVERBS =
  "(?:(?:please|also|now|all|both|first|not|still|really|definitely|urgently|at least|only|then)\\s+)*";
/** Somebody has a duty: "you will have to call", "the council must sign", "we should order". */
const DUTY_OF_SOMEBODY = new RegExp(
  `^(?:(?:and|but|so|also|then|now|therefore|unfortunately|in the meantime|at some point|sooner or later|some day|by \\w+|for (?:that|this)|(?:i|we) (?:do )?(?:believe|think|feel|reckon|fear|suppose)(?: that)?|in my (?:view|opinion))[, ]+)*(?:you|we|(?:someone|somebody)(?: \\p{L}+){0,4}?|everyone|everybody|one of (?:you|us)|(?:the|your|our|his|her|their) \\p{L}+(?: \\p{L}+)?|(?!this|that|it\\b|there)\\p{Lu}[\\p{L}-]+(?: (?:and )?\\p{Lu}[\\p{L}-]+)?)\\s+(?:(?:also|still|really|now|all|both)\\s+)*(?:${DUTY})\\s+${DUTY_ADVERBS}(?!be\\b|been\\b|have (?:been|had|said|seen|known|heard|to)|say\\b|admit|confess|wait and see|do with|mean|suffice|help\\b|know\\b|apply|last\\b|contain|think|rise|fall|increase|close|open|see (?:how|what|if|whether|you|each)|look like|feel|work\\b|expect|(?<=should )(?:arrive\\b(?! (?:here|with us|at our))|reach you)|take (?:a|an|one|two|about|less|more)|cost|fit\\b|hold\\b|get (?:used|going|over|better|worse|on\\b))\\p{L}+`,
  "iu",
);
/** Something is to be done to a thing: "the sails must be dried", "the hedge needs cutting". */
const DUTY_TO_THING = new RegExp(
  `\\b(?:${DUTY})\\s+${DUTY_ADVERBS}be\\s+${DUTY_ADVERBS}(?!able|tired|proud|delighted|excited|exhausted|worried|surprised|relieved|disappointed|thrilled|fine|ok|okay|there|easy|enough|good|possible|safe|interesting|at\\b|in\\b|aware|a\\b|an\\b|the\\b|here|careful|all right|said|noted|thinking|clear|used to|pleased|interested|called|going|getting|noticed|expected|considered|able)(?:\\w+(?:ed|en|wn|pt|nt|ld|de|id|ut|ung|one|et|ad|und|ung|ought|aught|ent)\\b|with (?:us|me|them|the \\w+|our \\w+)\\b|ready|in place|on site|here by|there by|(?:empty|clear|clean|dry|closed|open|free|finished|complete|off|on|out|up|gone|tidy|full|correct|legible|valid|available|accessible|visible|readable)(?= (?:and|by|before|until|on|at|when|from)\\b|[.,;!]|$))|\\b(?:must|has to|have to|needs to|need to|should|ought to)\\s+${DUTY_ADVERBS}(?:come|go|leave|stay|reach(?! you\\b)|(?<!should )arrive|stand|remain|carry|bear)\\b|\\bmay not be \\w+(?:ed|en|nt|ld|pt|de|id|ut|ught)\\b(?: \\w+){0,4} (?:until|before|without|unless)\\b|\\b(?:is|are) to (?:go|stay|remain)\\b|\\b(?:must|has to|have to|needs to|need to|should) be (?:in|at|on|with) (?:the|my|our|your|their) [\\w’']+(?: \\w+){0,2} (?:by|before|until|today|tomorrow|tonight|on|this|next)\\b|\\b(?:needs?|wants?|could do with|deserves?)(?: a| some)?(?: good| proper| thorough)? (?!nothing|anything|something|everything|during|evening|morning)\\w+ing\\b(?! to\\b)|\\bneeds (?:your|another|a|an|some|more|new|fresh|two|three|proper)\\b|\\b(?:it is|it['’]s) (?:essential|important|vital|crucial|necessary|imperative) (?:that|to)\\b`,
  "i",
);
/** "The delivery you'd have to give to others". */
const YOU_WOULD_HAVE = /\byou(?:['’]d|['’]ll| would| will) (?:have|need) to (?!wait and|admit|be\b|say\b)\w+/i;

/** "The ramp wants looking at", "the lock could do with oiling". */
const WANTS_DOING =
  /\b(?:wants?|needs?|could do with|requires?) (?:a bit of |some |urgent |proper )?(?:looking at|looking into|looking over|seeing to|sorting|fixing|mending|repairing|replacing|cleaning|checking|tightening|signing|returning|attention|oiling|emptying|renewing|updating)\b/i;

/** "The swords have to be rubber": what a thing has to be. */
const HAS_TO_BE =
  /^(?:the|all|both|your|our|these|those) (?:[\p{L}-]+ ){1,4}(?:has|have) to be (?!able|said|in|at|a\b|an\b|the\b|there|here|careful|seen|fun)[\p{L}-]+/iu;

/** "Under no circumstances may the case be opened." */
const ON_NO_ACCOUNT =
  /\b(?:under no circumstances|on no account|in no (?:case|event)|at no time) (?:may|must|should|can|is|are|shall|let|open|use|leave|do)\b/i;

const HAD_BETTER =
  /^you (?:are given|have) until\b|^(?:(?:and|but|so|then)[,\s]+)*(?:you|we)(?:['’]d| had) better (?!not\b)\w+/i;

/** "You will have to haul her out", "the sails must be dried", "you'd better get that in writing". */
export const duty: KindRule = {
  name: "somebody must, or something must be done",
  confidence: 0.8,
  says: "ask",
  find({ text }) {
    const bare = bareClause(text);
    if (HAD_BETTER.test(bare) || ON_NO_ACCOUNT.test(bare)) return "ask";
    if (isNoAsk(text, bare) || /^(?:nothing|nobody|no one|none)\b/i.test(bare)) return null;
    const found =
      DUTY_OF_SOMEBODY.exec(bare) ??
      DUTY_TO_THING.exec(bare) ??
      WANTS_DOING.exec(bare) ??
      HAS_TO_BE.exec(bare) ??
      YOU_WOULD_HAVE.exec(bare);
    return found && isPutToSomebody(bare, found.index) ? "ask" : null;
  },
};
