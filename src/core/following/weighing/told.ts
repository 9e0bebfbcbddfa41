import { CHANGES, type ChangeKind, canBecome, type OpenItem } from "../item";
import type { Ruled } from "../said";
import { timeOf } from "./forms";
import type { Weighed } from "./weigh";

/** How much counts what all its words say together, and what the segment says that the rules have found. */
const TOGETHER = 0.8;
const RULES_SEGMENT = 0.2;

/** How much more likely, as a logarithm, a change is that the rules find as well: of what is named, and of what is not. */
const FOUND_AND_NAMED = 1.5;
const FOUND = 0.7;
/** And how much more where it is handed on to somebody by name, though the writer says yes to it besides: "With pleasure. Ruben will do it." */
const HANDED_ON = 0.8;
/** What of that is left where the words say it of another stretch than the rules. */
const FOUND_ELSEWHERE = 0.7;

/** No share is less: nothing is impossible. */
const LEAST = 0.03;

/** Words by which what is said may be of a part: numbers that are no hour, "the rest", "some", "so far". */
const OF_A_PART =
  /\b(?:so far|up to|most|half|only|apart from|except|bar|rest|others?|another|remaining|remainder|missing|first|second|third|last|still|some|few|several|part(?:s|ly)?|almost|nearly|until|draft|already|two-thirds|three-quarters|all but|more|follows?)\b|%|(?<!\b(?:by|at|before|until|till|from|around|about|after|for|on|in) )\b(?:one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve|twenty|thirty|forty|fifty|sixty|hundred|\d+)\b(?!(?:st|nd|rd|th)\b)/i;

/** "We don't do cooling units": nothing is well again by what is not; "no more noise" says that it is. */
const IS_NOT = /\b(?:not|never|cannot|nobody|nothing|no one|still|no)\b|n['’]t\b/i;
const NO_LONGER = /\b(?:no (?:longer|more|further)|any ?more|(?:again|wrong|missing|broken|damaged)[.!]?$)/i;

const CANNOT = /\b(?:can(?:not|['’]t| not)|won['’]t|will not) (?!wait|say|tell|know|complain|find|see|hurt)/i;

/** Words by which a day may be put off: "Friday off, the rest I work" puts off nothing, it answers. */
const PUTS_OFF =
  /\b(?:will|shall|can(?:not)?|could|would|may|might|must|need|by|until|till|on|at|in|from|for|not|no|before|after|instead|rather|later|earlier|sooner|next|another|more|longer|days?|weeks?|months?|late|delay(?:ed)?|postpon\w+|wait|make|move|moved|push|put|slip|scrap|now|still|tomorrow|first|end|is|are|be|has|have)\b|['’](?:ll|s|re|d|ve|t)\b/i;

/** "Please block the lost one": of one thing there is no part. */
const ONE_THING = /\b(?:the|that|this|my|your|our)(?: [a-z]+)? one[.!?]*$/i;

const surely = (share: number | undefined) => Math.log((share ?? 0) + LEAST);

/**
 * What has become of an item, if anything has: the change for which its words and the rules speak most together. Opinions are
 * multiplied, each by its weight (a logarithmic opinion pool: Genest and Zidek, Statistical Science 1, 1986); the weights were
 * fitted to labelled conversations.
 */
export function told(item: OpenItem, ruled: Ruled | null, weighed: Weighed): ChangeKind {
  // A turn that leaves no doubt is not held against the weighed words, which know most of them less well.
  if (ruled?.said.isPlain) return ruled.said.change;
  const atRules = ruled ? weighed.sharesBy(ruled.segment) : [];
  const isElsewhere = ruled !== null && !weighed.segments.includes(ruled.segment);
  const found = (ruled?.said.isNamed ? FOUND_AND_NAMED : FOUND) * (isElsewhere ? FOUND_ELSEWHERE : 1);
  const isOfAPart = weighed.segments.some(({ text }) => !/^(?:will|is)$/.test(timeOf(text)) || OF_A_PART.test(text));
  // "The lights cannot be tested before Friday" does no work; a question may be answered so.
  const isWork = item.kind === "ask" || item.kind === "promise";
  const cannot = weighed.segments.every(({ text }) => CANNOT.test(text)) && ruled?.said.change !== "done";
  const isStillAmiss =
    item.kind === "trouble" &&
    ruled?.said.change !== "done" &&
    weighed.segments.every(({ text }) => IS_NOT.test(text) && !NO_LONGER.test(text));
  const isPutOff = ruled?.said.change === "moved" || weighed.segments.some(({ text }) => PUTS_OFF.test(text));
  const points = CHANGES.map((change, i) => {
    if (!canBecome(item.kind, change)) return Number.NEGATIVE_INFINITY;
    if (change === "done" && isWork && cannot) return Number.NEGATIVE_INFINITY;
    if (change === "done" && isStillAmiss) return Number.NEGATIVE_INFINITY;
    if (change === "part" && ONE_THING.test(item.quote)) return Number.NEGATIVE_INFINITY;
    if (change === "part" && ruled?.said.change !== "part" && !isOfAPart) return Number.NEGATIVE_INFINITY;
    if (change === "moved" && !isPutOff) return Number.NEGATIVE_INFINITY;
    const byWords = TOGETHER * surely(weighed.shares[i]);
    if (!ruled) return byWords;
    const handedOn = change === "passed" ? HANDED_ON : 0;
    const byRules = ruled.said.change === change ? found + handedOn : 0;
    return byWords + RULES_SEGMENT * surely(atRules[i]) + byRules;
  });
  return CHANGES[points.indexOf(Math.max(...points))]!;
}
