import { withClauseBefore } from "./clause-before";
import type { Clause } from "./clauses";
import type { FoundSlip } from "./slip";
import { LONGEST_TITLE } from "./title";

/** What is done with "it" or "them"; not "tell them" and "ask them", who are people, nor "make it clear", which means nothing. */
const DONE_WITH =
  /\b(?:send|get|bring|return|sign|fix|mend|repair|check|issue|print|pay|order|cancel|change|clean|paint|collect|fetch|deliver|post|forward|finish|read|have|replace|fit|put|test|measure|correct|update|approve|confirm|store|share|move|remove|pick up|take away|take down|give back|send back|look over|hand in|swap)\s+(?<pronoun>it|them)\b(?! (?:is|was|are|were|has|have|clear|easy|hard|difficult|that|known)\b)/i;

const WORD = "[\\p{L}\\d'’-]+";
const ONE =
  "is|was|has|isn['’]?t|wasn['’]?t|hasn['’]?t|comes|came|gives|gave|does|doesn['’]?t|needs|leaks|works|looks|shows|says|lies|stands|hangs|sticks|will be";
const SEVERAL = "are|were|have|aren['’]?t|weren['’]?t|haven['’]?t|come|don['’]?t|need|lie|stand|hang|will be";

/** "Your invoice 2044 gives our former address": a thing with an article, and what is told of it. */
const TOLD_OF_ONE = new RegExp(
  `^(?:(?:and|but|so|now|also) )*(?:the|your|our|my|this|that) (?<thing>${WORD}(?: ${WORD}){0,5}?) (?:${ONE})\\b`,
  "iu",
);
const TOLD_OF_SEVERAL = new RegExp(
  `^(?:(?:and|but|so|now|also) )*(?:the|your|our|my|these|those|both|all the) (?<thing>(?:${WORD} ){0,5}?\\p{L}+s(?: (?:of|for|from|in|on|at) (?:the |our |your )?${WORD}(?: ${WORD})?)?) (?:${SEVERAL})\\b`,
  "iu",
);

/** "Attached is the certificate for the bolts", "here is the plan". */
const SHOWN =
  /^(?:attached|enclosed|here|below)(?: (?:you will find|you['’]ll find|please find))? (?<verb>is|are) (?:the|our|my|an?|your) (?<thing>[\p{L}\d'’ -]{3,45}?)(?=[.,;:]|$)/iu;

/** Somebody, of whom "it" is not said: "our director has asked for it". */
const SOMEBODY =
  /^(?:\p{L}+ )*(?:man|woman|boy|girl|people|team|board|council|committee|police|director|inspector|manager|client|customer|driver|neighbours?|parents?|children|mother|father|wife|husband|brother|sister|son|daughter|\p{L}+(?:ers|ors|ists))$/iu;

/** "The bank has rejected the payment": then it may be either. */
const DOES_TO_ANOTHER = /\b(?:has|have)(?: not| now| just)? (?!been\b)\p{L}+(?:ed|en|t|d|n) (?:the|your|our|my|an?) /iu;

/** The thing that was told of in a sentence, as "it" or "them" behind it mean it; null where there is none, or it is somebody. */
function thingIn(before: string, pronoun: string): string | null {
  const shown = SHOWN.exec(before)?.groups;
  const isOne = pronoun.toLowerCase() === "it";
  const thing = shown
    ? (shown.verb!.toLowerCase() === "is") === isOne && shown.thing
    : (isOne ? TOLD_OF_ONE : TOLD_OF_SEVERAL).exec(before)?.groups?.thing;
  return thing && !SOMEBODY.test(thing) && !DOES_TO_ANOTHER.test(before) ? thing : null;
}

/** The title of what is to be done with a thing that the sentence before told of, with its name. */
function named(title: string, before: string): string {
  const done = DONE_WITH.exec(title);
  // "Prepare the offer and send it": the title says itself what it is.
  if (!done || /\b(?:the|an?|your|our|my) /i.test(title.slice(0, done.index))) return title;
  const [said] = done;
  const { pronoun } = done.groups!;
  const thing = thingIn(before, pronoun!);
  if (!thing) return title;
  const article = /\d$/.test(thing) ? "" : "the ";
  const full = title.replace(said, `${said.slice(0, -pronoun!.length)}${article}${thing}`);
  return full.length > LONGEST_TITLE ? title : full;
}

/** "Your invoice 2044 gives our old address. Kindly issue it again.": asks and promises whose title says what "it" and "them" are. */
export function withThings(slips: readonly FoundSlip[], clauses: readonly Clause[]): FoundSlip[] {
  return slips.map((slip) => {
    if (slip.kind !== "ask" && slip.kind !== "promise") return slip;
    const pair = withClauseBefore(slip, clauses);
    return pair ? { ...slip, title: named(slip.title, pair.before.text) } : slip;
  });
}
