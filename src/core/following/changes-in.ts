import { tellingWords } from "../finding/telling-words";
import type { FoundSlip } from "../reading/slip";
import { changesByRules } from "./changes-by-rules";
import type { FollowContext } from "./context";
import { canBecome, type ItemChange, type OpenItem } from "./item";
import { SHE_WILL } from "./said-at-once";
import type { Segment } from "./segments";
import { asksSomethingElse, choose, likeliest } from "./weighing/choose";
import { LEARNT } from "./weighing/learnt";
import type { Looked } from "./weighing/sureness";
import { type FollowingWeights, weigh } from "./weighing/weigh";

/** Changes of a letter, and the stretches that were understood by them. */
export interface ChangesFound {
  readonly changes: readonly ItemChange[];
  readonly understood: readonly { readonly start: number; readonly end: number; readonly item: string }[];
  /** The stretches that by their wording may well speak of what is open, whether or not they change it. */
  readonly likely: readonly { readonly start: number; readonly end: number }[];
  /** Items of which the words speak beyond nearly every doubt. */
  readonly plainly: ReadonlySet<string>;
  /** Everything that was open, and what was found of it. */
  readonly looked: readonly Looked[];
}

/** How likely it must be that a stretch may well speak of what is open, and that there is hardly a doubt of it. */
const MAY_WELL = 0.35;
const PLAINLY = 0.98;

/** Things of which one stretch can be by its words alone; what would fit more is of none. */
const MOST_BY_WORDS = 2;

/**
 * Of how many things a stretch can be. "I have hung it in the surgery" of whoever wanted them is of one, and where it could be two
 * nobody knows of which; who owes two may well do both in one go ("will bolt it on tonight").
 */
function mostOf({ sides, writer }: FollowContext, item: OpenItem, text: string): number {
  const isNamed = [...tellingWords(text)].some((word) => item.words.has(word));
  return /\bit\b/i.test(text) && !isNamed && !sides.owes(writer, item) ? 1 : MOST_BY_WORDS;
}

/** "…, she will write to you": said of what was just handed to her, and of nothing else. */
function goesOnAboutAnother(
  { item, segment }: { readonly item: OpenItem; readonly segment: Segment },
  understood: ChangesFound["understood"],
): boolean {
  const its = understood.filter((one) => one.start === segment.start);
  return SHE_WILL.test(segment.text) && its.some((one) => one.item !== item.id);
}

/** What a letter changes of the items that are open, in the order of the text. */
export function changesIn(
  context: FollowContext,
  open: readonly OpenItem[],
  slips: readonly FoundSlip[],
  learnt: FollowingWeights = LEARNT,
): ChangesFound {
  const ruled = changesByRules(context, open, slips);
  const weighed = weigh(context, open, slips, learnt);
  const looked = open.map((item): Looked => {
    const byRules = ruled.changes.get(item.id) ?? null;
    const isPossible = byRules && (byRules.said.isPlain || canBecome(item.kind, byRules.said.change));
    const chosen = choose(context, item, isPossible ? byRules : null, weighed.get(item));
    return { item, ruled: byRules, weighed: weighed.get(item), chosen, isGuess: false };
  });
  const counting = looked.flatMap(({ item, chosen }) => (chosen ? [{ item, ...chosen }] : []));
  const clear = counting.filter((one) => {
    const alike = counting.filter(({ segment }) => segment.start < one.segment.end && one.segment.start < segment.end);
    // What the rules take to speak of one thing, words alone do not give to another.
    return (
      one.isRuled ||
      (alike.length <= mostOf(context, one.item, one.segment.text) &&
        !alike.some((other) => other.isRuled) &&
        !goesOnAboutAnother(one, ruled.understood))
    );
  });
  const atLeast = clear.length === 0 && slips.length === 0 ? likeliest(context, weighed) : null;
  const chosen = atLeast ? [atLeast] : clear;
  // "Please collect the certificates and send them in": whoever is asked has it from now on.
  const askedThere = ({ start, end }: Segment, { asker }: OpenItem) =>
    slips.find(
      (slip) =>
        slip.kind === "ask" &&
        slip.start < end &&
        start < slip.end &&
        slip.owner &&
        slip.owner !== context.writer &&
        slip.owner !== asker,
    )?.owner ?? null;
  return {
    changes: chosen
      .map(({ item, said, segment, confidence }) => ({
        item: item.id,
        change: said.change,
        due: said.due?.day ?? null,
        otherDays: said.due?.others ?? [],
        owner: said.owner ?? (said.change === "passed" ? askedThere(segment, item) : null),
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
    likely: [...weighed].flatMap(([item, { whether, segments }]) =>
      whether > MAY_WELL ? segments.filter((segment) => !asksSomethingElse(segment, item)) : [],
    ),
    looked: looked.map((one) => (one.item === atLeast?.item ? { ...one, isGuess: true } : one)),
    plainly: new Set([...weighed].filter(([, { whether }]) => whether > PLAINLY).map(([{ id }]) => id)),
  };
}
