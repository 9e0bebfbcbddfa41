import type { Clause } from "../clauses";
import { isImperative } from "../imperative";
import { type KindRule, namedIn } from "../kind-rule";
import type { Person } from "../slip";

const LEAD_IN =
  /^(?:(?:and|but|so|also|then|ok|okay|right|well|now|first|second|secondly|third|finally|next|otherwise|in the meantime|meanwhile|before that|after that|for now|next time|today|tomorrow|on (?:mon|tues|wednes|thurs|fri)day|before you \w+|when you (?:can|have|get|are)[^,]*|if (?:you can|possible|not|so|it is[^,]*)|one (?:more )?thing|no (?:rush|hurry)(?: on (?:this|that|it))?,?(?: but)?|low priority,?|p\.?s\.?)[,:.]?\s+)+/i;

/** "Top priority for you: …", "One more thing: …": a few words that only announce. */
const ANNOUNCED = /^(?!\w+ (?:says?|said|asks?|asked|wrote)\b)(?:[\p{L}’'-]+[\s,]+){0,5}[\p{L}’'-]+:\s+(?=\p{L})/u;

/** A condition before an order: "If they don't, make sure …". */
const CONDITION_FIRST =
  /^(?:if|when|whenever|wherever|once|as soon as|before|after|until|while|in case|unless)\b[^,;:]{1,90},\s+(?:then\s+)?(?=\S)/i;

/** The clause without words that only lead into it, and without a name that is called at its head ("Anton, …"). */
export function bareClause(text: string): string {
  return text
    .replace(/^(?:(?:Mr|Mrs|Ms|Dr)\.?\s+)?[A-Z][\p{L}'-]+(?: and [A-Z][\p{L}'-]+)?\s*[,:–-]\s+(?=\S)/u, "")
    .replace(LEAD_IN, "")
    .replace(ANNOUNCED, "")
    .replace(CONDITION_FIRST, "")
    .replace(LEAD_IN, "")
    .trim();
}

const POLITE =
  /\b(?:could|can|would|will) (?:you|(?:\w+ ){0,3}your (?!office|shop|house)\w+(?= (?!be\b)\w+)|someone|somebody|anyone|one of you|we|they)\b(?! (?:believe|imagine|be (?:there|away|coming|at)|have (?:heard|seen)|like\b|prefer\b|rather\b|want (?:to|me|us)\b))|\bwould (?:you mind|it be possible)|\b(?:any|is there (?:any|a)) chance (?:of|you|that|to)|\bdo you think you could|\b(?:wonder(?:ing|ed)?|see) (?:if|whether) you (?:could|can|would|might)|\b(?:grateful|great|good|nice|lovely|helpful|help(?: \w+){0,3}|kind|appreciate(?: it)?|obliged|glad) if (?:you|someone|somebody|we|the|it|they|[A-Z]\w+)\b|\bmay i (?:ask|trouble|remind) you to|\bcan i (?:have|get|ask you)|\bcould (?:i|we) (?:have|get)|\b(?:i|we)(?:['’]d)? ?(?:must|would like to|would|need to|have to|like to)?(?: also| further| kindly)? ?ask (?:you|that|for)\b|\b(?:are|is) (?:kindly |hereby |therefore |also |further )*(?:requested|asked|instructed|reminded|required) to\b/i;

/** Words after which a need or duty is spoken about and not put to anybody: "all I need", "the form that you have to sign". */
const SPOKEN_ABOUT =
  /\b(?:what|all (?:i|we|you|that)|that|which|who|whom|whose|if|when|whenever|because|since|although|as|than|why|how|where|whatever|everything|anything|thing|things|think|thought|says?|said|would|unless|whether|only|wonder)\b/i;

/** "What I need from you is a clean copy." */
const WHAT_IS_NEEDED =
  /\b(?:what|all|the (?:only |one )?thing)(?: that)? (?:i|we)(?: still| now| really| urgently)* need(?: now| still)? (?:from you|is\b|are\b|by\b|before\b)/i;

const NEED =
  /\b(?:we|i)(?:['’]ll| will| still| also| really| do| would| urgently| just| now| both| all)* (?:need|require|want)\b(?! (?:neither|no|none|nothing|not)\b| to (?:say|thank|let you know|add|apologise|stress|mention|tell you)|(?<=\bi\b.{0,30}) to\b(?! (?:have|know|get|see|hear|receive)))|\b(?:i|we) must have (?:your|the|it|them|a|an|all)\b|\b(?:i|we)['’]d need\b|\b(?:i|we)(?:['’]d| would) be (?:glad|happy|grateful|pleased|delighted) to (?:have|get|see|receive|hear|know)\b|\b(?:i|we)(?:['’]d| would)(?: also| really)? (?:like|love|want|prefer|appreciate)\b(?! to (?:know|thank|say|hear from|invite|add|apologise|point out|see how|congratulate))|\b(?:is|are) (?:still )?(?:needed|required|wanted|outstanding|due)\b|\b(?:still|now) (?:waiting|missing)\b|\bwe(?:['’]re| are)(?: still)? (?:waiting|missing|short of) (?:for|on|your|the)?|\bi(?:['’]m| am) (?:still )?(?:waiting|missing) |\bthere(?:['’]s| is| are) still .{3,60} (?:to do|to come|missing)\b/i;

const DUTY = "must|has to|have to|needs to|need to|ought to|should|will have to|will need to|is to|are to|has got to";
const DUTY_ADVERBS =
  "(?:(?:please|also|now|all|both|first|not|still|really|definitely|urgently|at least|only|then)\\s+)*";
/** Somebody has a duty: "you will have to call", "the council must sign", "we should order". */
const DUTY_OF_SOMEBODY = new RegExp(
  `^(?:(?:and|but|so|also|then|now|therefore|unfortunately|in the meantime|by \\w+|for (?:that|this))[, ]+)*(?:you|we|(?:someone|somebody)(?: \\p{L}+){0,4}?|everyone|everybody|one of (?:you|us)|(?:the|your|our|his|her|their) \\p{L}+(?: \\p{L}+)?|\\p{Lu}[\\p{L}-]+(?: (?:and )?\\p{Lu}[\\p{L}-]+)?)\\s+(?:(?:also|still|really|now|all|both)\\s+)*(?:${DUTY})\\s+${DUTY_ADVERBS}(?!be\\b|been\\b|have (?:been|had|said)|say\\b|admit|confess|wait and see|do with|mean|suffice|help\\b|know\\b|apply|last\\b|contain|think|see\\b|look like|feel|work\\b|expect|take (?:a|an|one|two|about|less|more)|cost|fit\\b|hold\\b|get (?:used|going|over|better|worse|on\\b))\\p{L}+`,
  "iu",
);
/** Something is to be done to a thing: "the sails must be dried", "the hedge needs cutting". */
const DUTY_TO_THING = new RegExp(
  `\\b(?:${DUTY})\\s+${DUTY_ADVERBS}be\\s+${DUTY_ADVERBS}(?!able|fine|ok|okay|there|easy|enough|good|possible|safe|interesting|at\\b|in\\b|aware|a\\b|an\\b|the\\b|here|careful|all right|said|noted|thinking|clear|used to|pleased|interested|called|going|getting|noticed|expected|considered|able)(?:\\w+(?:ed|en|wn|pt|nt|ld|de|id|ut|ung|one|et|ad|und|ung|ought|aught|ent)\\b|with (?:us|me|them|the \\w+|our \\w+)\\b|ready|in place|on site|back|here by|there by)|\\b(?:must|has to|have to|needs to|need to|should|ought to)\\s+${DUTY_ADVERBS}(?:come|go|leave|stay|reach|arrive|stand|remain|carry|bear)\\b|\\bneeds \\w+ing\\b|\\bneeds (?:your|another)\\b|\\b(?:it is|it['’]s) (?:essential|important|vital|crucial|necessary|imperative) (?:that|to)\\b`,
  "i",
);

/** "Someone has to be at the door", "Everyone to hand in their hours": said of whoever it may be. */
const HAD_BETTER = /^(?:(?:and|but|so|then)[,\s]+)*(?:you|we)(?:['’]d| had) better (?!not\b)\w+/i;
const WHOEVER =
  /^(?:someone|somebody|one of (?:us|you)|everyone|everybody|all (?:of (?:us|you)|staff|crew|teams?)|whoever [^,]{3,40},?)\s+(?:has to|have to|needs to|need to|must|should|will have to|to|please)\s+\w+/i;
/** What somebody is owed, or what lies with them, they are asked for. */
const THEY_WANT =
  /^(?:(?:and|but|so|also|then)[,\s]+)*(?:he|she|they|(?:the|our|your|my|his|her|their) [\p{L} -]{2,30}?|\p{Lu}\p{L}+)(?:['’]ll| will| also| still| now| only| really)* (?:wants?|needs?|requires?|asks? for|insists? on|is asking for|are asking for|would like)\b(?! (?:to (?:say|thank|know)|no\b|not\b|\w+ing\b))/iu;
/** "If Ruben would bake with it, …" */
const FROM_YOU = /\b(?:by|before|until|from you|from us|in writing|you to|us to|your)\b/i;
const IF_SOMEBODY = /^if (?:\p{Lu}\p{L}+|somebody|someone|one of you|you) (?:could|would|might)\b/iu;
const OWED =
  /\b(?:you(?: still)? owe|(?:is|are) still owed|waits? (?:for|on) your|waiting (?:for|on) your|lies? (?:on|with) (?:your|you)|is (?:with|on) (?:you|your (?:desk|table)) (?:since|now)|is yours\b)/i;
/** "need a pump urgently": of somebody who saves words. */
const NEED_ALONE =
  /^(?:also |still |urgently )?need(?:ed)?:? (?:a|an|the|your|some|more|two|three|\d+|new|all|\w+s)\b/i;
/** "The drawings by Friday, please." */
const PLEASE_LAST = /[\w)],?\s+(?:please|pls|plz)[.!]*$/i;

/** "Sanna: new invoice to Agnes": a name, and what is theirs, without a verb that says how it is. */
const FINITE =
  /\b(?:is|are|was|were|has|have|had|will|would|did|does|do|can|could|said|says|went|came|got|thinks?|knows?)\b/i;
function isListedFor(text: string, others: readonly { at: number; end: number }[]): boolean {
  const head = others.find((name) => name.at <= 8);
  if (!head) return false;
  const after = /^\s*(?::|[–—-])\s+(?=\S)/.exec(text.slice(head.end));
  if (!after) return false;
  const rest = text.slice(head.end + after[0].length);
  return !/\?$/.test(rest) && !FINITE.test(rest) && !/^\w+ing\b/.test(rest) && rest.split(/\s+/).length >= 2;
}

/** "Nadia:" over a list: its points are hers. */
function isNameAlone(lead: string, team: readonly Person[]): boolean {
  const [named] = namedIn(lead, team);
  return named !== undefined && lead.replace(/[^\p{L}]/gu, "").length <= named.end - named.at + 1;
}

const ACTION_NAME = /^(?:action|todo|to do|ap)\b\s*[:–-]/i;
const PLEASE =
  /(?:^|[,\s(])(?:please|kindly|pls|plz)\b[\s,]+(?!find|note|see (?:attached|below|enclosed)|accept|excuse|feel|don['’]t hesitate|do not hesitate|be (?:aware|advised|assured))(?=\w+)/i;
const PROMISED_BY =
  /\b(?:promised|was going to|was supposed to|said (?:he|she|they) (?:would|['’]d)|offered to|agreed to|owes? (?:me|us|them))\b/i;
/** A named colleague who "will" do something: the writer gives it to them, or to themselves where it is the writer. */
function isAboutColleague(clause: Clause, others: readonly { at: number; end: number }[]): boolean {
  return others.some(
    (name) =>
      /\b(?:could|can|would|will)\s+$/i.test(clause.text.slice(0, name.at)) ||
      /^[,:]?\s+(?:will|shall|is going to|is to|can|could|would|please|has to|must|should|needs to|to)\b(?! (?:be (?:away|out|off|back|there|here|in)|know|love|like))/i.test(
        clause.text.slice(name.end),
      ),
  );
}

/** Asks: what somebody is wanted to do. */
export const ask: KindRule = {
  name: "ask",
  find(clause, ground) {
    const bare = bareClause(clause.text);
    if (ACTION_NAME.test(clause.text) || WHOEVER.test(bare) || HAD_BETTER.test(bare)) return "ask";
    const others = namedIn(clause.text, ground.people.team).filter(({ person }) => person.id !== ground.writer?.id);
    if (
      others.length > 0 &&
      (PROMISED_BY.test(clause.text) || isAboutColleague(clause, others)) &&
      !/\bif\b/i.test(clause.text.slice(0, 3))
    )
      return "ask";
    if (isListedFor(clause.text, others)) return "ask";
    if (
      others.some(({ at, end }) => at <= 8 && /^\s*[:–—-]\s|^,\s/.test(clause.text.slice(end))) &&
      isImperative(bare, true)
    )
      return "ask";
    if (clause.lead && isNameAlone(clause.lead, ground.people.team) && !/\?$/.test(clause.text)) return "ask";
    if (
      clause.lead &&
      /\b(?:please|could|can|would|need|require|send|asks?|action|to do|following|requested|asked|lack|lacking|missing|wanted|outstanding|still)\b/i.test(
        clause.lead,
      ) &&
      !/\bwe (?:have|did|can offer)\b/i.test(clause.lead)
    )
      return clause.text.endsWith("?") && !POLITE.test(clause.text) ? "question" : "ask";
    if (IF_SOMEBODY.test(bare) && !/^if you (?:could|would) (?:like|prefer|rather)/i.test(bare)) return "ask";
    if (PLEASE.test(clause.text) || PLEASE_LAST.test(clause.text)) return "ask";
    if (POLITE.test(clause.text) && !/^(?:i|we) (?:was|were) told\b/i.test(bare)) return "ask";
    if (/\?$/.test(clause.text)) return null;
    if (
      /^(?:i|we) (?:will|shall|am going|have to|must|need to|should|want to)\b/i.test(bare) &&
      !/^(?:we (?:must|need to|should|have to)|i must have)\b/i.test(bare)
    )
      return null;
    if (isImperative(bare)) return "ask";
    // "It is the wrong file, send the right one.": an order after a comma.
    const order =
      /,\s+(?=(?:send|give|make|tell|call|ring|check|bring|take|put|get|ask|stop|hold|use|change|replace|book|order|sign|write|read|mail|post|print|pay|wait|leave|keep|let|come|see that|do)\b)/i.exec(
        bare,
      );
    if (order && isImperative(bare.slice(order.index + order[0].length))) return "ask";
    if (/^(?:if|whether|unless) (?:we|you|it|they)\b/i.test(bare)) return null;
    if (OWED.test(clause.text) || NEED_ALONE.test(bare)) return "ask";
    if (THEY_WANT.test(bare) && FROM_YOU.test(bare) && !/\bwhat\b/i.test(bare.slice(0, 20))) return "ask";
    const need = NEED.exec(bare) ?? DUTY_OF_SOMEBODY.exec(bare) ?? DUTY_TO_THING.exec(bare);
    if (WHAT_IS_NEEDED.test(bare)) return "ask";
    if (need && !SPOKEN_ABOUT.test(bare.slice(0, need.index).split(/[,;:]/).at(-1)!))
      return /\b(?:did|had|was|were|used to|would have|should have|could have)\s+(?:to|need)?/i.test(bare.slice(0, 30))
        ? null
        : "ask";
    return null;
  },
};
