import type { FoundSlip } from "../reading/slip";
import type { ChangesFound } from "./changes-in";
import type { FollowContext } from "./context";
import type { ItemChange, OpenItem } from "./item";
import { openedBy } from "./opened-by";
import { isPlain } from "./plain-slip";
import type { Answering } from "./weighing/newness";

/**
 * A letter held against what is open and what was over: by the rules, what it changes and what is new.
 * @param found what it changes of the open
 * @param again what it changes of what was over
 */
export function answering(
  context: FollowContext,
  open: readonly OpenItem[],
  over: readonly OpenItem[],
  slips: readonly FoundSlip[],
  found: ChangesFound,
  again: readonly ItemChange[],
): Answering {
  const { sides, writer, letter } = context;
  const known = [...open, ...over.filter(({ id }) => again.some(({ item }) => item === id))];
  const opened = openedBy(context, known, slips, {
    changes: [...found.changes, ...again].sort((a, b) => a.start - b.start),
    understood: [...found.understood, ...again],
  });
  const isAnswer = open.some((item) => item.kind !== "trouble" && sides.owes(writer, item));
  return {
    context,
    slips,
    looked: found.looked,
    changes: opened.changes,
    fresh: opened.slips,
    old: opened.old,
    plain: opened.slips.filter((slip) => isPlain(slip, letter.text, isAnswer, found.likely)),
  };
}
