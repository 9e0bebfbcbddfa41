import { isImperative } from "../imperative";
import type { KindRule } from "../kind-rule";
import { taggedWords } from "../words";

/** Whoever is given something to do, at the head of a line: a name or two, a trade, a part of the house. */
const GIVEN_TO = /^(?:The )?(\p{L}[\p{L}’'-]+(?: (?:(?:and|&) )?\p{Lu}[\p{L}’'-]+)?) to (?=\p{Ll})/u;

/** What the tagger calls those who can be given something. */
const DOER = new Set(["NOUN", "PROPN", "CCONJ"]);

/** Heads of lines that give nobody anything: "Thanks to", "Time to", "Glad to". */
const NO_DOER =
  /^(?:the )?(?:thanks?|welcome|back|time|plan|way|next|idea|aim|goal|key|trick|thing|need|want|nothing|something|anything|hope|chance|permission|failure|attempt|right|close|people|reason|ability|money|room|place|licence|license|access|answer|reply|invitation|reference|addition|due|regards|ps|glad|good|great|nice|lovely|better|best|pleased|happy|sorry|easy|hard|able|unable|illegal|but|and|so|or|use|try|patch|result|code|attempts?|efforts?|theories|claims?)\b/i;

/** "Dorothy to tell the merchant", "The vicar to answer by Friday": a line of minutes that says whose it is. */
export const givenTo: KindRule = {
  name: "a line that says who is to do it",
  confidence: 0.9,
  says: "ask",
  find({ text }) {
    const head = GIVEN_TO.exec(text);
    if (!head || !/^\p{Lu}/u.test(text) || NO_DOER.test(text) || /\?$/.test(text)) return null;
    if (!taggedWords(head[1]!).every(({ tag }) => DOER.has(tag))) return null;
    return isImperative(text.slice(head[0].length), true) ? "ask" : null;
  },
};
