import { tellingWords } from "../finding/telling-words";
import type { FoundSlip } from "../reading/slip";
import { type ChangesFound, changesIn } from "./changes-in";
import type { FollowContext } from "./context";
import type { ItemChange, OpenItem } from "./item";
import { meet } from "./stretch";
import type { FollowingWeights } from "./weighing/weigh";

/** What is over by no more than this may well be open still: the rules alone, or the words alone, said so. */
const HARDLY_OVER = 0.6;

/** What is over by no more than this may be open still, if what is said of it now names it, or rules and words agree. */
const PERHAPS_OVER = 0.75;
const IS_NAMED = 0.7;

/** Whether what was said of an item before may have been misunderstood: then it is spoken of as if it were open. */
function mayBeOpen({ kind, overBy }: OpenItem, { change, confidence }: ItemChange): boolean {
  // Words that follow an answer are no other answer, nor do words that only sound like it do a thing once more.
  if (change === "done" && (kind === "question" || confidence < IS_NAMED)) return false;
  return overBy <= HARDLY_OVER || (overBy <= PERHAPS_OVER && confidence >= IS_NAMED);
}

/** "We're waiting for the chairs" */
const WAITS = /\b(?:(?:i|we) (?:am|are)|i['’]m|we['’]re) (?:still |all )?waiting for (?!you\b)/i;

/** What whoever wanted it waits for by its name, though it was taken for done: then it was not. Null where nothing is. */
function waitedFor(
  { letter, segments, sides, writer }: FollowContext,
  open: readonly OpenItem[],
  over: readonly OpenItem[],
): ItemChange | null {
  for (const { start, end, text } of segments) {
    const words = WAITS.test(text) ? [...tellingWords(text)] : [];
    const isNamed = (item: OpenItem) => sides.wants(writer, item) && words.some((word) => item.words.has(word));
    const item = open.some(isNamed)
      ? undefined
      : over.findLast((one) => one.kind !== "trouble" && one.overBy < 1 && isNamed(one));
    if (item)
      return {
        item: item.id,
        change: "reminded",
        due: null,
        otherDays: [],
        owner: null,
        quote: letter.text.slice(start, end),
        start,
        end,
        isNamed: true,
        confidence: 0.7,
        reason: "it is waited for",
      };
  }
  return null;
}

/**
 * What a letter changes of things that were over: "she tells me she never got them", "we now need them already on the 19th",
 * or what was taken for all of it was a part. Only where the words leave hardly a doubt that they speak of it, or it was hardly
 * sure that it is over, and nothing that is open takes them.
 */
export function reopened(
  context: FollowContext,
  open: readonly OpenItem[],
  over: readonly OpenItem[],
  slips: readonly FoundSlip[],
  found: ChangesFound,
  learnt: FollowingWeights,
): readonly ItemChange[] {
  if (over.length === 0) return [];
  const { changes, plainly } = changesIn(context, [...open, ...over], slips, learnt);
  const waited = waitedFor(context, open, over);
  if (waited) return [waited];
  return changes.filter((one) => {
    const { item: id, change } = one;
    const item = over.find((each) => each.id === id);
    if (!item) return false;
    // "Thank you, the ledgers came": so they did.
    if (!mayBeOpen(item, one) && (!plainly.has(id) || change === "done")) return false;
    return !found.understood.some((other) => meet(other, one));
  });
}
