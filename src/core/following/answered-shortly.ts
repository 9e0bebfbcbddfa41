import { tellingWords } from "../finding/telling-words";
import { type OpenItem, raisedLast } from "./item";
import { wantsWords } from "./said";
import { wordsOf } from "./words-of";

const YES_OR_NO = /^(?:yes|yep|yeah|no|nope|correct|that['’]s right|exactly)(?:[,.:;!]|$| [–—-] )/i;

/** "That works for me.", "fine by us" */
const SUITS =
  /^(?:(?:yes,? )?(?:that|this|it|which)(?:['’]s| is)? )?(?:works?(?: (?:well|fine|perfectly))?(?: for (?:me|us))?|suits (?:me|us)(?: (?:well|fine|perfectly))?|(?:fine|good|perfect|ok(?:ay)?|all right)(?: (?:by|with|for) (?:me|us)))[.!]*$/i;

/** "She can.", "They are not." */
const BY_A_VERB =
  /^(?:(?:yes|no),? )?(?:i|we|he|she|they|it|that|this|there|you|\p{L}+) (?:can|could|will|would|does|do|did|is|are|was|were|has|have|had|may|might|should)(?:n['’]t| not)?[.!]*$/iu;

/** "Yes, I'll send it": who says so takes on what was asked. */
const TAKES_ON =
  /\b(?:pleasure|gladly|of course|happily|can do|will do|no problem|done|(?:i|we)(?:['’]ll| will| can))\b/i;

const ASKS_WHAT = /\b(?:what|which|who|whose|when|where|why|how)\b/i;
const ASKS_WHETHER = /\b(?:whether|if)\b/i;

/** "That was me.", "Ruben did.": it answers who. */
const BY_WHOM =
  /^(?:[Tt]hat|[Ii]t)(?:['’]s| is| was| has been|['’]d be| would be| will be|['’]ll be) (?:me|us|him|her|them|\p{Lu}\p{L}+)(?: (?:again|too))?[.!]*$|^(?:[Ii]|[Ww]e|[Hh]e|[Ss]he|[Tt]hey|\p{Lu}\p{L}+) (?:did|do|does|was|is|has|have|will)(?: it| that| them| one)?[.!]*$/u;
const ASKS_WHO = /^(?:(?:and|so|but|then|or)[, ]+)*(?:by the way,? )?who\b/i;

/** "With.", where it was asked "with or without VAT?": one of those that were named. */
function isOneOfThem(text: string, { kind, quote }: OpenItem): boolean {
  const said = wordsOf(text).filter((word) => !/^(?:the|please|thanks|a|an)$/.test(word));
  return (
    kind === "question" &&
    / or /i.test(quote) &&
    said.length > 0 &&
    said.length <= MOST_WORDS_OF_A_CHOICE &&
    said.every((word) => wordsOf(quote).includes(word))
  );
}
const MOST_WORDS_OF_A_CHOICE = 3;

/** A question that is answered by yes or no. */
function isPolar({ quote }: OpenItem): boolean {
  return ASKS_WHETHER.test(quote) || (/\?$/.test(quote) && !ASKS_WHAT.test(quote));
}

/** "I need to know whether", "please find out if", "is it open?": the first left that was asked last and is answered so. */
function askedLast(left: readonly OpenItem[]): OpenItem | null {
  const questions = left.filter((item) => wantsWords(item) && item.kind !== "trouble");
  return raisedLast(questions).find(isPolar) ?? null;
}

/**
 * The question that an answer of yes, no or a bare verb answers: "No, leave it on.", "She can."; null where it is no such answer,
 * or may be one to something that is to be done.
 * @param left what its writer owes, and has said nothing of yet
 */
export function answeredShortly(text: string, left: readonly OpenItem[]): OpenItem | null {
  if (/\?$/.test(text)) return null;
  const who = left.findLast((item) => item.kind === "question" && ASKS_WHO.test(item.quote));
  if (who && BY_WHOM.test(text) && !TAKES_ON.test(text)) return who;
  const choice = left.findLast((item) => isOneOfThem(text, item));
  if (choice) return choice;
  const isByVerb = BY_A_VERB.test(text) || SUITS.test(text);
  if (!isByVerb && !YES_OR_NO.test(text)) return null;
  const question = askedLast(left);
  if (!question) return null;
  const asks = left.filter(({ kind }) => kind === "ask" || kind === "promise").filter((item) => !wantsWords(item));
  if (TAKES_ON.test(text) && asks.some(({ raised }) => raised >= question.raised)) return null;
  const said = [...tellingWords(text)];
  const isOfAsk = asks.some(({ words }) => said.some((word) => words.has(word)));
  return isOfAsk && !said.some((word) => question.words.has(word)) ? null : question;
}
