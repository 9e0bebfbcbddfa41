import { tellingWords } from "../finding/telling-words";
import type { OpenItem } from "./item";

/** An ask of one kind, and how it is told that it was done, in whatever words it was put. Held against the ask and the bared answer. */
interface Deed {
  readonly asked: RegExp;
  readonly done: RegExp;
  /** Whether it has to name something of the ask, if only where. */
  readonly isNamed?: boolean;
}

const SOMEBODY = "(?:him|her|them|both|everyone|everybody|all|the|our|my|their|\\p{Lu}\\p{L}+)";

/** "Could you call the service?", "I've just spoken to them." */
const TALK: Deed = {
  asked:
    /\b(?:(?:call|phone|ring|ask|tell|inform|contact|remind|warn)\s+(?!me\b|us\b|you\b|off\b|it\b|for\b)|(?:speak|talk|write) (?:to|with) (?!me\b|us\b)|get in touch with (?!me\b|us\b)|have a word with|let (?!me\b|us\b)\w+ know)/i,
  done: new RegExp(
    `^(?:(?:[Ii]|[Ww]e)(?:['’]ve| have)? |have )?(?:(?:already|just|now|also) )*(?:called|phoned|rung|rang|asked|told|informed|(?:spoken|spoke|talked) (?:to|with)|(?:written|wrote) to|contacted|reminded|warned|been in touch with|got (?:hold of|through to)|reached|caught|e-?mailed|had a word with) ${SOMEBODY}(?![\\p{L}])(?!.*\\b(?:but|not|nobody|no one)\\b)|^(?:[Hh]e|[Ss]he|[Tt]hey|[Ee]veryone|[Ee]verybody|\\p{Lu}\\p{L}+)(?: has| have|['’]s|['’]ve)? (?:been (?:told|informed|asked|warned)|knows? (?:now|already|about (?:it|this|that)))(?!.*\\bnot\\b)`,
    "u",
  ),
};

/** "Please be there and show him", "the man was here" */
const VISIT: Deed = {
  asked:
    /\b(?:be (?:there|here|in|at home|on site|around)\b|let (?:him|her|them|the [\w ]+?|[A-Z]\w+) in\b|show (?:him|her|them)\b|(?:meet|receive|wait for) (?:him|her|them|the)\b)/,
  done: /^(?:he|she|they|(?:the|your|our|their) \p{L}+(?: \p{L}+)?)(?: (?:was|were|has been|have been)|['’]s been|['’]ve been) (?:here|there|in|round)\b(?!.*\b(?:but|not|nobody|late)\b)|^(?:he|she|they|(?:the|your|our|their) \p{L}+(?: \p{L}+)?)(?: has| have|['’]s|['’]ve)? (?:been and gone|come and gone|came and went)\b/iu,
};

/** "Take the van to the garage", "it's at the garage": where it had to go. */
const PLACE: Deed = {
  asked:
    /^(?!.*\bby (?:post|mail)\b).*\b(?:take|bring|drive|move|carry|deliver|put|return|drop|hang|store)\b.* (?:to|at|in|into|on|onto)\b/i,
  isNamed: true,
  done: /^(?:it|they)(?:['’]s|['’]re| is| are) (?:now |already |all )?(?:(?:at|with|back (?:at|in|with|on)|hanging|standing) |(?:there|up)(?: now| already)?$)(?!.*\b(?:still|not)\b)/i,
};

/** "Switch the light off", "Off." */
const PARTICLE =
  /^(?:(?:it|they|all|everything)(?:['’]s|['’]re| is| are)? )?(off|on|up|down|out|in|away|back|over|shut|closed|open|locked|unlocked)$/i;

function isSoNow(quote: string, said: string): boolean {
  const particle = PARTICLE.exec(said)?.[1];
  return particle !== undefined && new RegExp(`\\b${particle}\\b`, "i").test(quote);
}

/** "Please find us a pianist", "I've got one." */
const FIND: Deed = {
  asked:
    /\b(?:find|get|hire|book|look for|organi[sz]e|arrange)(?: (?:us|me|him|her|them))? (?:an?|some|somebody|someone|another|two|three)\b/i,
  done: /^(?:(?:i|we)(?:['’]ve| have)? )?(?:got|found|booked|hired) (?:one|some|somebody|someone|him|her|two|three|an? \p{L}+)\b(?!.*\b(?:but|not|if|unless|only)\b)/iu,
};

const DEEDS = [TALK, VISIT, PLACE, FIND];

/** Whether the words of whoever was asked tell that it was done, by a deed that can only be what was asked. */
export function isDoneAsAsked(
  { kind, quote, words }: Pick<OpenItem, "kind" | "quote" | "words">,
  said: string,
): boolean {
  if (kind !== "ask") return false;
  if (isSoNow(quote, said)) return true;
  const names = /\b(?:there|up)\b/.test(said) || [...tellingWords(said)].some((word) => words.has(word));
  // "Rang them": who leaves out the "I" begins with a capital.
  const ways = [said, said.charAt(0).toLowerCase() + said.slice(1)];
  return DEEDS.some(
    ({ asked, done, isNamed }) => (names || !isNamed) && ways.some((one) => done.test(one)) && asked.test(quote),
  );
}
