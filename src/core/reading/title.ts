import { firstNameOf } from "../letters/first-name";
import { bareClause } from "./bare-clause";
import type { Person, SlipKind } from "./slip";
import { askInTitle, promiseInTitle } from "./title-turns";

/** Longest title a slip is given; a person may write a longer one. */
export const LONGEST_TITLE = 70;

const ASK_LEAD =
  /^(?:please|kindly|pls|just|also|further|then|so|and|would you mind|(?:could|can|would|will) (?:you|we|someone|somebody|anyone|one of you)(?: please| kindly| also| possibly| perhaps)*|(?:could|can) (?:i|we) (?:please )?(?=have|get)|do you think you could|(?:any|is there (?:any|a)) chance (?:that )?you (?:could|can)|(?:i|we)(?:['’]d| would) (?:be grateful|appreciate it|be glad) if you (?:could|would)|it would (?:be \w+|help(?: us| me)?) if you (?:could|would)?|(?:i|we) (?:was |were |am |are )?wonder(?:ing|ed)? (?:if|whether) you (?:could|can|would)|(?:i|we)(?:['’]d| would)? (?:also |still |really )?(?:need|like|want) you to|you (?:must|have to|need to|should|will have to)|make sure (?:that )?you |don['’]t forget to|remember to|be so (?:kind|good) as to|you are (?:kindly |hereby )?(?:asked|requested|required|reminded) to|each(?= \p{Ll})|do(?! (?:it|that|this|so|the|a|an|your|my|our|one|both|not|all|what|you)\b))\b[\s,]*/iu;

/** Soft clothes of an order: "perhaps you could", "I suggest you", "let's", "it is time somebody". */
const SOFT_LEAD =
  /^(?:(?:perhaps|maybe|possibly) (?:you|we|someone|somebody) (?:could|can|should|might)|(?:i|we)(?:['’]d| would)? (?:suggest|propose|recommend|advise)(?: that)? (?:you|we)|you (?:might|may|['’]ll|will) want to|let['’]s|(?:i|we)(?:['’]m| am|['’]re| are)? hop(?:e|ing)(?: that)? (?:you|someone|somebody) (?:can|could|will|would)|(?:i|we)(?:['’]d| would| must)?(?: kindly| also| like to| have to)* ask (?:that )?you to|(?:i|we) must ask you to|why don['’]t you|better|i['’]m counting on you to|we(?:['’]re| are) counting on you to|it is (?:requested|important|essential) that (?:you )?)\s+/i;

/** "Whoever does the drawings should mark the bench": what is to be done stands behind it. */
const WHOEVER_LEAD =
  /^(?:(?:could|can|would|will) )?whoever [^,;.?]{3,60}?,? (?:should|must|has to|needs to|could|can|will|to|please)(?: please)? (?=\p{Ll})/iu;

const TAIL =
  /[\s,;–-]*(?:,?\s*(?:please|pls|thanks|thank you|if (?:you can|possible|you could|you would)|when you (?:can|have a moment|get a chance)|as soon as possible|asap|urgently|no rush(?: on (?:those|that|this|it))?|at the latest|for (?:me|us)|(?:an?|one|two|three|four|five|\d+) (?:days?|weeks?) before (?:that|then)))+\s*$/i;

/** A greeting in the same breath: "morning ines, which hours …". */
const GREETING =
  /^(?:dear|hi|hello|hey|morning|good (?:morning|afternoon|evening)|evening)\b(?: \p{L}+){0,2},\s+(?=\S)/iu;

/** "@Rosa - the keel". */
const CALLED = /^@\p{L}[\p{L}-]*\s*[-–:,]?\s+(?=\S)/u;

/** "Can u", as people write on phones. */
const SHORT_YOU = /^(can|could|would|will) u\b/i;

const REASON =
  /[\s,]+(?:so that|unless (?:i|we|you)|because|since|as (?:i|we|the|it|they)|otherwise|in order that|before (?:we|i|they|the)|if not|or (?:else )?we|which (?:is|means|would))\b.*$/i;

/** A statement behind what is to be done: "…, I think I lost it", "…, then I put it on the lorry". */
const STATEMENT_BEHIND =
  /^((?!(?:if|when|once|unless|until|as|should|in case)\b)(?:\S+ ){2,}?\S+), (?:(?:and|so|but|then|though|as) )*(?:i|we|it|they|he|she|that|this|there)(?:['’](?:ll|m|ve|d|s|re))? [\p{Ll}][^?]*$/iu;

/** The same of a thing: "…, part no is on the plate". Not where something is told or asked of several: "whether Mo, Ann and Bo are in". */
const THING_BEHIND =
  /^((?!.*\b(?:if|whether|which|who|what|when|where|how|that|for)\b)(?:\S+ ){2,}?\S+), (?!(?:one|two|three|each|all|both|some|most|none|as|with|and) )(?:[\p{Ll}\d]+ ){1,3}(?:is|are|was|were) [^?]*$/u;

function upperFirst(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}

function cut(text: string): string {
  if (text.length <= LONGEST_TITLE) return text;
  const short = text.slice(0, LONGEST_TITLE - 1);
  const space = short.lastIndexOf(" ");
  return `${short.slice(0, space > 40 ? space : short.length).replace(/[\s,;:–-]+$/, "")}…`;
}

/** What is told of something that was named before, with nobody who does it: with what, where, whence. */
const GOES_ON =
  /^\s*,?\s*(?:with|at|from|by|via|in|on|after|before|together)\s(?!.*\b(?:i|we|you|he|she|they|it|please|could|can|will)\b)/i;

function withoutWords(text: string, words: string | null): string {
  if (!words) return text;
  const at = text.lastIndexOf(words);
  // "Before Wednesday's run": the day is the run's name.
  if (at === -1 || /^['’]s\b/.test(text.slice(at + words.length))) return text;
  const before = text
    .slice(0, at)
    .replace(/[\s,]*\b(?:by|before|on|until|till|for|no later than|due|at|in)?\s*(?:the\s*)?$/i, "");
  const after = text
    .slice(at + words.length)
    .replace(/^\s*(?:(?:at the (?:very )?)?latest|say|morning|afternoon|evening|night|noon)\b/i, "");
  // "On Thursday week with the morning lorry": without the day nobody would know what the rest is about.
  if (before.trim() === "" && GOES_ON.test(after)) return text;
  return /[\p{L}\d]/u.test(after) ? `${before}${/^[\s,.;]/.test(after) ? "" : " "}${after}` : before;
}

/**
 * A title as a colleague would write it: begins with what is to be done, without greeting, "please" and the date.
 * @param words the words of the due date, which stand in their own field
 * @param you whom the writer of a promise calls "you", as the reader of the title says it: "us", or a first name
 */
export function titleOf(
  kind: SlipKind,
  clause: string,
  writer: Person | null,
  words: string | null,
  you = "us",
): string {
  const first = writer ? firstNameOf(writer.name) : null;
  let text = bareClause(clause.replace(GREETING, "").replace(CALLED, "").replace(SHORT_YOU, "$1 you"))
    .replace(/[.!]+["”']?$/, "")
    .trim();
  if (kind === "ask") {
    text = askInTitle(text, first);
    for (let i = 0; i < 3; i += 1) text = text.replace(ASK_LEAD, "").replace(SOFT_LEAD, "");
    text = text
      .replace(
        /^(?:[Cc]ould|[Cc]an|[Ww]ould|[Ww]ill) \p{Lu}[\p{L}-]+ (?:please |kindly |also |perhaps )*(?=\p{Ll})/u,
        "",
      )
      .replace(WHOEVER_LEAD, "")
      .replace(
        /^(?:\p{Lu}[\p{L}.-]* ){1,3}(?:is|are) (?:kindly |hereby )?(?:asked|requested|required|reminded|expected) to (?=\p{Ll})/u,
        "",
      )
      .replace(
        /^(?:[Ww]ould|[Cc]ould|[Cc]an|[Ww]ill) (?:she|he|they) (?:please |kindly |also |perhaps )*(?=\p{Ll})/u,
        "",
      )
      .replace(
        /^(?!(?:It|They|This|That|These|Those|There|He|She|Everything|All) )\p{Lu}[\p{L}-]+ (?:will have to|will need to|will|should|must|has to|needs to|can|could|promised(?: (?:us|me))?(?: to)?|owes (?:us|me)) (?=\p{Ll})/u,
        "",
      )
      .replace(/\?$/, "");
  }
  if (kind === "ask" || kind === "promise") text = text.replace(STATEMENT_BEHIND, "$1").replace(THING_BEHIND, "$1");
  text = withoutWords(text, words)
    .replace(REASON, "")
    .replace(TAIL, "")
    .replace(/[\s,;:–-]+$/, "")
    .trim();
  if (kind === "promise")
    text = promiseInTitle(text, you).replace(
      /\b(send|tell|give|let|show|get|ring|call|bring|write|pass|forward) you\b/i,
      `$1 ${you}`,
    );
  if (kind === "question") {
    const asked = text
      .replace(/\?+$/, "")
      .replace(
        /^(?:(?:i|we)(?:['’]m| am)? ?(?:just |also )?(?:wonder(?:ing)?|['’]d like to know|would like to know))\s+/i,
        "",
      );
    return cut(
      first
        ? `Answer ${first}: ${asked.charAt(0).toLowerCase() === "i" && /^i\b/i.test(asked) ? asked : lowerFirst(asked)}?`
        : `${upperFirst(asked)}?`,
    );
  }
  // "Suki will send you the plan": the one who is to send it is somebody else than "you".
  if (kind === "ask")
    text = text.replace(/^(send|tell|give|let|show|ring|call|bring|write|pass|forward) you\b/i, `$1 ${you}`);
  if (first && kind === "ask")
    text = text
      .replace(
        /\b(send|tell|give|let|show|get|ring|call|bring|remind|write|email|pass|forward)\s+(?:me|us)\b/i,
        `$1 ${first}`,
      )
      .replace(/\b(to|with|for|from)\s+(?:me|us)\b/i, `$1 ${first}`);
  const title = text
    .replace(/\s+(?=[:;,.])/g, "")
    .replace(/\s+/g, " ")
    .trim();
  return cut(upperFirst(title === "" ? clause.replace(/\s+/g, " ").trim() : title));
}

/** "Which colour" → "which colour"; a name or an abbreviation at the head keeps its capital. */
function lowerFirst(text: string): string {
  return /^(?:[A-Z][a-z']*\s|[A-Z][a-z]+$)/.test(text) &&
    /^(?:what|when|where|which|who|whose|why|how|is|are|was|were|do|does|did|has|have|had|can|could|should|shall|will|would|any|if|whether|the|a|an|and|or|in|on|at|by|for|so)\b/i.test(
      text,
    )
    ? text.charAt(0).toLowerCase() + text.slice(1)
    : text;
}
