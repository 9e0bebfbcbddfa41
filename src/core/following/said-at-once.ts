import { tellingWords } from "../finding/telling-words";
import { thankedFor } from "./asker-turns";
import { KNOWS_NOTHING } from "./bare-answer";
import type { FollowContext } from "./context";
import type { OpenItem } from "./item";
import { dueIn, type Said, saidByOwner, wantsWords } from "./said";
import type { Segment } from "./segments";

/** What was handed on to somebody, and where that was said. */
export interface Handed {
  readonly item: OpenItem;
  readonly segment: Segment;
}

/** "…, she will write to you": somebody who was just named. */
export const SHE_WILL = /^(?:and )?(?:he|she)(?:['’]ll| will)\b/i;

/** What is open of the two sides of a letter, and what was changed in it so far. */
interface SoFar {
  readonly owed: readonly OpenItem[];
  readonly wanted: readonly OpenItem[];
  readonly changes: ReadonlyMap<string, unknown>;
  readonly handed: Handed | null;
}

/** What a segment says that needs no look at what it is about; null where it is none of these. */
export function saidAtOnce(
  context: FollowContext,
  segment: Segment,
  { owed, wanted, changes, handed }: SoFar,
): { readonly item: OpenItem; readonly said: Said } | null {
  const { text } = segment;
  // "Oda does the vellum, she will write to you."
  if (handed?.segment.block === segment.block && SHE_WILL.test(text)) {
    const reason = "somebody else will do it";
    return {
      item: handed.item,
      said: { change: "passed", due: dueIn(context, text), owner: null, isNamed: false, reason },
    };
  }
  // "Thanks for the drawings."
  const thanked = [...tellingWords(thankedFor(text) ?? "")];
  const come = wanted.find(
    ({ kind, words }) => kind !== "question" && thanked.length > 0 && thanked.every((word) => words.has(word)),
  );
  if (come) {
    const reason = "thanks are given for it";
    return { item: come, said: { change: "done", due: null, owner: null, isNamed: true, reason } };
  }
  if (!KNOWS_NOTHING.test(text)) return null;
  // "Sorry, no idea.": whoever was asked alone has no answer.
  const [asked, ...others] = owed.filter(
    (item) => item.owner === context.writer && wantsWords(item) && !changes.has(item.id),
  );
  const said =
    asked && others.length === 0 ? saidByOwner({ ...context, partly: new Set() }, segment, asked, false) : null;
  return asked && said?.isPlain ? { item: asked, said } : null;
}
