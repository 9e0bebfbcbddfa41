import type { FoundSlip } from "../reading/slip";
import { type ChangesFound, changesIn } from "./changes-in";
import type { FollowContext } from "./context";
import type { ItemChange, OpenItem } from "./item";
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
  return changes.filter((one) => {
    const { item: id, change, start, end } = one;
    const item = over.find((each) => each.id === id);
    if (!item) return false;
    // "Thank you, the ledgers came": so they did.
    if (!mayBeOpen(item, one) && (!plainly.has(id) || change === "done")) return false;
    return !found.understood.some((other) => other.start < end && start < other.end);
  });
}
