import type { FoundSlip } from "../reading/slip";
import { changesByRules } from "./changes-by-rules";
import type { FollowContext } from "./context";
import { canBecome, type ItemChange, type OpenItem } from "./item";
import { choose } from "./weighing/choose";
import { LEARNT } from "./weighing/learnt";
import { type FollowingWeights, weigh } from "./weighing/weigh";

/** Changes of a letter, and the stretches that were understood by them. */
export interface ChangesFound {
  readonly changes: readonly ItemChange[];
  readonly understood: readonly { readonly start: number; readonly end: number; readonly item: string }[];
  /** The stretches that by their wording may well speak of what is open, whether or not they change it. */
  readonly likely: readonly { readonly start: number; readonly end: number }[];
  /** Items of which the words speak beyond nearly every doubt. */
  readonly plainly: ReadonlySet<string>;
}

/** How likely it must be that a stretch speaks of what is open. */
const MAY_WELL = 0.35;

/** And from here on there is hardly a doubt of it. */
const PLAINLY = 0.985;

/** So many others that words alone would change as well as an item: then they are of none. */
const MANY = 2;

/** What a letter changes of the items that are open, in the order of the text. */
export function changesIn(
  context: FollowContext,
  open: readonly OpenItem[],
  slips: readonly FoundSlip[],
  learnt: FollowingWeights = LEARNT,
): ChangesFound {
  const ruled = changesByRules(context, open, slips);
  const weighed = weigh(context, open, slips, learnt);
  const counting = open.flatMap((item) => {
    const byRules = ruled.changes.get(item.id);
    const isPossible = byRules && canBecome(item.kind, byRules.said.change);
    const one = choose(context, item, isPossible ? byRules : null, weighed.get(item));
    return one ? [{ item, ...one }] : [];
  });
  // What the rules take to speak of one thing, words alone do not give to another.
  // "I have hung it in the surgery": nor what would fit this and that and something else.
  const chosen = counting.filter((one) => {
    const others = counting.filter(
      (other) => other !== one && other.segment.start < one.segment.end && one.segment.start < other.segment.end,
    );
    return one.isRuled || (others.length < MANY && !others.some((other) => other.isRuled));
  });
  return {
    changes: chosen
      .map(({ item, said, segment, confidence }) => ({
        item: item.id,
        change: said.change,
        due: said.due?.day ?? null,
        otherDays: said.due?.others ?? [],
        owner: said.owner,
        quote: context.letter.text.slice(segment.start, segment.end),
        start: segment.start,
        end: segment.end,
        isNamed: said.isNamed,
        confidence,
        reason: said.reason,
      }))
      .sort((a, b) => a.start - b.start),
    understood: [
      ...ruled.understood.filter((one) => chosen.some(({ item, isRuled }) => isRuled && item.id === one.item)),
      ...chosen.map(({ item, segment: { start, end } }) => ({ start, end, item: item.id })),
    ],
    likely: [...weighed.values()].flatMap(({ whether, segments }) => (whether > MAY_WELL ? segments : [])),
    plainly: new Set([...weighed].filter(([, { whether }]) => whether > PLAINLY).map(([{ id }]) => id)),
  };
}
