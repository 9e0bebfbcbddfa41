import type { FoundSlip } from "../../reading/slip";
import { sharesOf, type Weights } from "../../reading/weighing/shares";
import { saysNothing } from "../bare-answer";
import type { FollowContext } from "../context";
import { CHANGES, canBecome, type OpenItem } from "../item";
import type { Segment } from "../segments";
import { answerPlaces } from "./answer-runs";
import { type ChangeWeights, changesSaid } from "./changes-said";
import { Evidence } from "./evidence";
import { type Situation, situationOf } from "./situation";

/** What was learnt of answers: whether a segment changes an item (no, yes), and how. */
export interface FollowingWeights extends ChangeWeights {
  readonly whether: Weights;
}

/** Nothing: then the rules count alone. */
export const NOTHING_LEARNT: FollowingWeights = {
  whether: { bias: [0, 0], weights: {} },
  what: { bias: CHANGES.map(() => 0), weights: {} },
  runs: null,
};

/** What a letter does to an item by the weight of its words. Shares from 0 to 1. */
export interface Weighed {
  /** How likely it is that the letter changes the item at all. */
  readonly whether: number;
  /** The same, if what its segments say of other items counted for nothing. */
  readonly byItself: number;
  /** How likely each change is, if any, by all its segments together; in the order of `CHANGES`. */
  readonly shares: readonly number[];
  /** The same by one segment alone. */
  readonly sharesBy: (segment: Segment) => readonly number[];
  /** Whether its words fit something else that is open nearly as well. */
  readonly isShared: boolean;
  /** The segment that says it most plainly, and all that say it. */
  readonly segment: Segment;
  readonly segments: readonly Segment[];
}

/** Share of the strongest bond from which a segment can say something of another item too, and makes it doubtful which is meant. */
const FITS_TOO = 0.8;

/** Segments held against items at the most in one letter: a long letter to a long list is left to the rules. */
const MOST_PAIRS = 600;

/** From here on a segment is given to the item that it fits best. */
const GIVEN = 0.25;

/** From here on a segment is plainly an item's, though others say the same of it. */
const PLAINLY_ITS = 0.85;

/** From here on a segment counts among those that say it. */
const SAYS_IT = 0.45;

interface Held {
  readonly segment: Segment;
  readonly found: readonly string[];
  readonly whether: number;
}

function weighItem(
  situation: Situation,
  item: OpenItem,
  held: readonly Held[],
  learnt: FollowingWeights,
): Omit<Weighed, "isShared" | "byItself"> {
  const saidBy = ({ segment, found }: Pick<Held, "segment" | "found">) =>
    changesSaid(learnt, found, answerPlaces(situation, segment, item));
  const sharesBy = (segment: Segment) => saidBy(held.find((one) => one.segment === segment) ?? { segment, found: [] });
  const best = held.reduce((a, b) => (b.whether > a.whether ? b : a), held[0]!);
  const saying = held.filter((one) => one === best || one.whether > Math.max(SAYS_IT, best.whether * 0.6));
  const sums = CHANGES.map(() => 0);
  for (const one of saying)
    for (const [i, share] of saidBy(one).entries())
      if (canBecome(item.kind, CHANGES[i]!)) sums[i]! += share * one.whether;
  const sum = sums.reduce((a, b) => a + b, 0);
  const shares = sums.map((one) => (sum > 0 ? one / sum : 0));
  return {
    whether: best.whether,
    shares,
    sharesBy,
    segment: best.segment,
    segments: saying.map((one) => one.segment),
  };
}

/** Which items each segment is given to by its place: the likeliest first, each item one, and a segment to several only where it is bound to all nearly alike. */
function sharedOut(held: ReadonlyMap<OpenItem, readonly Held[]>): ReadonlyMap<number, ReadonlySet<OpenItem>> {
  const pairs = [...held].flatMap(([item, own]) => own.map(({ whether }, at) => ({ item, at, whether })));
  const most = new Map<number, number>();
  for (const { at, whether } of pairs) most.set(at, Math.max(most.get(at) ?? 0, whether));
  const taken = new Map<number, { most: number; items: Set<OpenItem> }>();
  const served = new Set<OpenItem>();
  for (const { item, at, whether } of pairs.sort((a, b) => b.whether - a.whether)) {
    if (whether < GIVEN) break;
    if (served.has(item)) continue;
    const by = taken.get(at);
    if (by && whether < by.most * FITS_TOO) continue;
    // "The ledgers need another week, you will have them on the 13th": all of it is said of the ledgers.
    if (most.get(at)! > PLAINLY_ITS && whether < most.get(at)! * FITS_TOO) continue;
    if (by) by.items.add(item);
    else taken.set(at, { most: whether, items: new Set([item]) });
    served.add(item);
  }
  return new Map([...taken].map(([at, { items }]) => [at, items]));
}

/**
 * Weighs what a letter does to each open item that its writer can speak of. Items of a letter with too much in it are left
 * out; so are all where the letter says nothing.
 */
export function weigh(
  context: FollowContext,
  open: readonly OpenItem[],
  slips: readonly FoundSlip[],
  learnt: FollowingWeights,
): ReadonlyMap<OpenItem, Weighed> {
  const { sides, writer } = context;
  const spoken = open.filter((item) => sides.owes(writer, item) || sides.wants(writer, item));
  const weighed = new Map<OpenItem, Weighed>();
  if (learnt === NOTHING_LEARNT || spoken.length === 0 || spoken.length * context.segments.length > MOST_PAIRS)
    return weighed;
  const situation = situationOf(context, open, slips);
  if (situation.segments.length === 0) return weighed;
  const evidence = new Evidence(situation);
  const held = new Map<OpenItem, Held[]>();
  for (const item of spoken) {
    const own = situation.segments.map((segment) => {
      const found = evidence.of(segment, item);
      return { segment, found, whether: saysNothing(segment.text) ? 0 : sharesOf(learnt.whether, found)[1]! };
    });
    held.set(item, own);
  }
  // A segment says something of the item that it is bound to most: "7.5 is right" answers one question, and not all of them.
  const most = situation.segments.map((_, i) => Math.max(...[...held.values()].map((own) => own[i]!.whether)));
  const taken = sharedOut(held);
  for (const [item, own] of held) {
    const free = own.map((one, i) => {
      const by = taken.get(i);
      const isIts = by === undefined ? one.whether >= most[i]! : by.has(item);
      return isIts ? one : { ...one, whether: 0 };
    });
    const one = weighItem(situation, item, free, learnt);
    const at = situation.segments.indexOf(one.segment);
    const isShared = [...held].some(([other, its]) => other !== item && its[at]!.whether > one.whether * FITS_TOO);
    weighed.set(item, { ...one, isShared, byItself: Math.max(...own.map((each) => each.whether)) });
  }
  return weighed;
}
