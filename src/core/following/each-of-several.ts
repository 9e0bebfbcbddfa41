import type { FoundSlip } from "../reading/slip";
import type { ItemChange, OpenItem } from "./item";

/** "Please send me your holiday dates", "all of you": each is asked for their own. */
const OF_EACH = /\byour\b|\b(?:each|every one|both|all) of you\b|\b(?:everybody|everyone)\b/i;

/** Who is asked, each for their own, by what is asked of nobody by name; addresses. Empty where one doing it is enough. */
export function eachAsked(slip: Pick<FoundSlip, "kind" | "owner">, quote: string, to: readonly string[]): string[] {
  return slip.kind === "ask" && slip.owner === null && to.length > 1 && OF_EACH.test(quote) ? [...to] : [];
}

/** What an answer comes to of a thing that each of several was asked for: done by one it is done in part, until the last has done it. */
export function byEach(change: ItemChange, item: OpenItem, writer: string): ItemChange {
  // Whoever wants it may say that all of it has come; whoever did their own part before does no more by doing it again.
  if (item.each.length === 0 || writer === item.asker) return change;
  if (change.change !== "done" && change.change !== "part") return change;
  const isLast = item.each.every((one) => one === writer);
  return { ...change, change: isLast ? "done" : "part" };
}
