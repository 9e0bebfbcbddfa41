import { tellingWords } from "../../finding/telling-words";
import type { FoundSlip } from "../../reading/slip";
import { isByWordingAlone } from "../../reading/weighing/sense";
import { sharesOf, type Weights } from "../../reading/weighing/shares";
import type { FollowContext } from "../context";
import { CHANGES, type ItemChange, type OpenItem } from "../item";
import type { Ruled } from "../said";
import type { Segment } from "../segments";
import { meet } from "../stretch";
import type { Chosen } from "./choose";
import { timeOf } from "./forms";
import { step } from "./steps";
import sureness from "./sureness.json";
import type { Weighed } from "./weigh";

/** One thing that was open while a letter was read, and what was found of it: by rules, by the weight of words, and what of both was believed. */
export interface Looked {
  readonly item: OpenItem;
  readonly ruled: Ruled | null;
  readonly weighed: Weighed | undefined;
  readonly chosen: Chosen | null;
  /** Whether it is only the likeliest of all, where nothing of the letter was believed. */
  readonly isGuess: boolean;
}

/** A letter, and all that it was held against. */
export interface Reading {
  readonly context: FollowContext;
  readonly slips: readonly FoundSlip[];
  readonly looked: readonly Looked[];
}

/** Counts above it are taken together. */
const MANY = 3;
const MOST_OPEN = 5;

/** How likely words must make a change that others of the letter compete with it. */
const STRONG = 0.5;

/** "They are drying on the shelf": what is going on is not done. */
const IS_GOING_ON =
  /\b(?:(?:am|is|are|being)|['’](?:m|s|re)) (?:still |just |now |only )?(?!nothing|anything|everything|something)\w{2,}ing\b/i;

/** "The price is attached": who says so has done it. */
const GOES_WITH_LETTER = /\b(?:attach\w*|enclos\w*|herewith|here(?: (?:is|are|you)|['’]s))\b/i;

const few = (count: number) => Math.min(MANY, count);

/** By which kind of rule a change was found, if by any. */
function kindOfRule(ruled: Ruled | null): string {
  if (!ruled) return "no rule";
  const { change, isNamed, isPlain, isGuessed } = ruled.said;
  return [change, isNamed && "named", isPlain && "plain", isGuessed && "guessed"].filter(Boolean).join(" ");
}

/** What rules and words each say, and whether they agree. */
function ofGrounds({ ruled, weighed, chosen }: Looked, side: string, change: string): string[] {
  const rule = kindOfRule(ruled);
  const found = [`rule: ${rule}`, `${change} by ${chosen?.isRuled ? rule : "words"}`];
  if (!weighed) return found;
  const most = Math.max(...weighed.shares);
  const top = CHANGES[weighed.shares.indexOf(most)]!;
  return [
    ...found,
    `words: ${top}`,
    `words: ${top} ${step(most, 0.5)}`,
    `agreed: ${ruled ? ruled.said.change === top : "no rule"}`,
    `agreed on ${change}: ${ruled?.said.change === change} ${top === change}`,
    `whether ${side} ${step(weighed.whether)}`,
    `whether ${change} ${step(weighed.whether)}`,
    `by itself ${step(weighed.byItself)}`,
    `shared ${weighed.isShared}`,
    `shared ${weighed.isShared} ${change}`,
  ];
}

/** What else the letter speaks of, and how far it could be meant. */
function ofOthers(reading: Reading, one: Looked, segment: Segment | null, change: string): string[] {
  const { sides, writer } = reading.context;
  const spoken = reading.looked.filter(({ item }) => sides.owes(writer, item) || sides.wants(writer, item));
  const whether = one.weighed?.whether ?? 0;
  const likelier = spoken.filter(({ weighed }) => (weighed?.whether ?? 0) > whether).length;
  const strong = spoken.filter(({ weighed }) => (weighed?.whether ?? 0) > STRONG).length;
  const beside = spoken.filter(
    (other) => other !== one && other.chosen && segment && meet(other.chosen.segment, segment),
  );
  const owed = spoken.filter(({ item }) => sides.owes(writer, item) && item.kind !== "trouble");
  const words = [...tellingWords(segment?.text ?? "")];
  const named = ({ item }: Looked) => words.filter((word) => item.words.has(word)).length;
  const namedOther = Math.max(0, ...spoken.filter((other) => other !== one).map(named));
  return [
    `open ${Math.min(MOST_OPEN, spoken.length)}`,
    `likelier ${few(likelier)} ${change}`,
    `strong ${few(strong)}`,
    `beside ${Math.min(2, beside.length)}`,
    `beside by rule ${beside.some(({ chosen }) => chosen?.isRuled)} ${one.chosen?.isRuled ?? false} ${change}`,
    `beside by name ${beside.some(({ chosen }) => chosen?.said.isNamed)}`,
    `owed ${few(owed.length)}`,
    `the only one owed ${owed.length === 1 && owed[0] === one} ${change}`,
    `names ${Math.min(2, named(one))}, another ${Math.min(2, namedOther)}`,
  ];
}

/** How and where in the letter it stands. */
function ofPlace(
  { context, slips }: Reading,
  { item, ruled }: Looked,
  segment: Segment | null,
  change: string,
): string[] {
  const side = context.sides.owes(context.writer, item) ? "owes" : "wants";
  const found = [`${item.kind} ${side}`, `slips ${few(slips.length)}`];
  if (!segment) return found;
  const slip = slips.find((one) => meet(one, segment));
  const at = context.segments.findIndex(({ start }) => start === segment.start);
  return [
    ...found,
    `${slip?.kind ?? "no slip"} ${change}`,
    slip ? `${slip.kind} ${step(slip.confidence)} ${isByWordingAlone(slip.rule)} ${side}` : `no slip ${side}`,
    `first ${at === 0} last ${at === context.segments.length - 1}`,
    `${timeOf(segment.text)} ${change}`,
    `with the letter ${GOES_WITH_LETTER.test(segment.text)} ${change}`,
    `with the letter ${GOES_WITH_LETTER.test(segment.text)} ${change}, named ${ruled?.said.isNamed ?? false}`,
  ];
}

/** Names of what tells how sure a change is. */
export function surenessNames(reading: Reading, { item: id, change, reason }: ItemChange): string[] {
  const one = reading.looked.find(({ item }) => item.id === id);
  if (!one) return [];
  const { sides, writer } = reading.context;
  const side = sides.owes(writer, one.item) ? (sides.wants(writer, one.item) ? "both" : "owes") : "wants";
  const segment = one.chosen?.segment ?? one.weighed?.segment ?? null;
  return [
    change,
    `${change}: ${reason}`,
    ...ofGrounds(one, side, change),
    ...ofOthers(reading, one, segment, change),
    ...ofPlace(reading, one, segment, change),
  ];
}

/** What was over is opened again only once somebody has looked at it. */
const OF_WHAT_WAS_OVER = 0.5;

/** What words alone say, or what is only the likeliest of all, is never sure: no rule bears it out. */
const BY_WORDS_ALONE = 0.8;

/** What is going on may be done by words alone no sooner than not. */
const WHILE_GOING_ON = 0.5;

/**
 * How likely a change is to be right, from 0 to 1, by how it came about: learnt (`npm run learn:sureness`) from letters that the
 * weights of following were not learnt from, so that what is new to the reader does not seem surer than it is.
 */
export function surenessOf(reading: Reading, change: ItemChange, learnt: Weights = sureness): number {
  const names = surenessNames(reading, change);
  if (names.length === 0) return OF_WHAT_WAS_OVER;
  const share = sharesOf(learnt, names)[1]!;
  const { chosen, isGuess } = reading.looked.find(({ item }) => item.id === change.item)!;
  if (!isGuess && chosen?.isRuled !== false) return share;
  const isHalfDone = change.change === "done" && IS_GOING_ON.test(change.quote);
  return Math.min(isHalfDone ? WHILE_GOING_ON : BY_WORDS_ALONE, share);
}
