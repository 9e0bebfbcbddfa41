import { stems } from "../../finding/telling-words";
import type { OpenItem } from "../item";
import type { Segment } from "../segments";
import type { Situation } from "./situation";

/** The first step that a value does not exceed, as a name. */
export function step(value: number, steps: readonly number[]): string {
  return String(steps.findIndex((one) => value <= one));
}

/** How a segment is bound to an item: by naming it, by going on about it, or by there being nothing else. `link` is the strongest. */
export function bondsOf(situation: Situation, segment: Segment, item: OpenItem): { link: string; found: string[] } {
  const { context, open, segments, statements, scored } = situation;
  const { sides, writer } = context;
  const all = scored.get(segment) ?? [];
  const own = all.find((one) => one.item === item);
  const best = all[0]?.score ?? 0;
  const found: string[] = [];
  const owed = open.filter((one) => sides.owes(writer, one) && one.kind !== "trouble");
  const newest = Math.max(...open.map((one) => one.raised));
  const share = own ? own.named / Math.max(1, item.words.size) : 0;
  if (own) {
    found.push(`named ${step(share, [0, 0.34, 0.67, 1])}`, `named words ${Math.min(3, own.named)}`);
    if (own.isPointed) found.push("pointed at");
    found.push(
      own.score >= best * 0.999 ? "named best" : own.score >= best * 0.75 ? "named nearly best" : "named less",
    );
  } else if (best > 0) found.push("another named");
  const before = segments[segments.indexOf(segment) - 1];
  const goesOn = before !== undefined && scored.get(before)?.[0]?.item === item;
  if (!own && goesOn) found.push(before.block === segment.block ? "goes on" : "goes on later");
  const asked = stems(item.quote);
  const common = [...stems(segment.text)].filter((word) => asked.has(word)).length;
  found.push(`stems ${Math.min(3, common)}`);
  const rivals = owed.filter((one) => one !== item);
  found.push(`rivals ${Math.min(3, rivals.length)}`);
  const newRivals = rivals.filter((one) => one.raised === newest);
  if (item.raised === newest) {
    found.push("newest", `new rivals ${Math.min(3, newRivals.length)}`);
    const order = owed.filter((one) => one.raised === newest);
    if (order.indexOf(item) === statements.indexOf(segment)) found.push(`in order ${Math.min(3, order.length)}`);
  }
  if (!own && segments.some((one) => one !== segment && scored.get(one)?.[0]?.item === item))
    found.push("named elsewhere");
  const link = own
    ? share > 0.34 || own.isPointed
      ? "named"
      : "touched"
    : goesOn
      ? "goes on"
      : best > 0
        ? "another"
        : rivals.length === 0
          ? "only"
          : newRivals.length === 0
            ? "only new"
            : "none";
  return { link, found: [...found, `link ${link}`] };
}
