import type { FoundSlip } from "../reading/slip";
import { type ChangesFound, changesIn } from "./changes-in";
import type { FollowContext } from "./context";
import type { ItemChange, OpenItem } from "./item";
import type { FollowingWeights } from "./weighing/weigh";

/**
 * What a letter changes of things that were over: "she tells me she never got them", "we now need them already on the 19th",
 * or what was taken for all of it was a part. Only where the words leave hardly a doubt that they speak of it, and nothing
 * that is open takes them.
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
  return changes.filter(({ item: id, change, start, end }) => {
    const item = over.find((one) => one.id === id);
    // "Thank you, the ledgers came": so they did.
    if (!item || !plainly.has(id) || change === "done") return false;
    return !found.understood.some((one) => one.start < end && start < one.end);
  });
}
