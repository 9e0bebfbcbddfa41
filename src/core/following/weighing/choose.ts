import { tellingWords } from "../../finding/telling-words";
import { TURNS_TO } from "../bare-answer";
import type { FollowContext } from "../context";
import type { OpenItem } from "../item";
import { passedTo } from "../passed-to";
import { dueIn, type Said } from "../said";
import type { Segment } from "../segments";
import type { Weighed } from "./weigh";

/** A change as the rules see it. */
export interface Ruled {
  readonly said: Said;
  readonly segment: Segment;
}

/** A change that counts, and how sure it is. */
export interface Chosen extends Ruled {
  readonly confidence: number;
}

/** From here on the words alone are believed where the rules find nothing: that anything changes, and what. */
const LIKELY = 0.8;
const LIKELY_WHAT = 0.6;

/** From here on they say of what the rules find what it is: the rules know the words of a change, and not whom it goes on about. */
const TELLS = 0.5;

/** From here on they bear out what the rules find. */
const BORNE_OUT = 0.6;
const BORNE_OUT_WHAT = 0.8;

/** Telling words from which an ask speaks of a thing of its own. */
const OWN_WORDS = 2;

/** How sure a change is: by rules and words alike, by rules that name the thing, by rules alone; by words alone it is never sure. */
const AGREED = 0.9;
const NAMED = 0.7;
const RULED = 0.6;
const WEIGHED = 0.55;

/** "Could you also letter the spine of the atlas?": an ask with words of its own is no reminder of another. */
function asksSomethingElse({ text }: Segment, item: OpenItem): boolean {
  const words = [...tellingWords(text)];
  return TURNS_TO.test(text) && words.length >= OWN_WORDS && !words.some((word) => item.words.has(word));
}

/** What the weighed words say, in the terms of the rules. */
function saidBy(context: FollowContext, item: OpenItem, { change, segments, segment }: Weighed): Said {
  const due = segments.map((one) => dueIn(context, one.text)).find((one) => one !== null) ?? null;
  const base = { due: null, owner: null, isNamed: false, reason: "by the way it is put" };
  const isLater = due !== null && item.due !== null && due.day > item.due && !due.others.includes(item.due);
  switch (change) {
    case "promised":
    case "moved":
      if (isLater || (change === "moved" && context.sides.wants(context.writer, item)))
        return { ...base, change: "moved", due };
      // Whoever takes on what nobody had yet is its owner from then on.
      if (item.owner === null && (item.kind === "ask" || item.kind === "question") && change === "promised")
        return { ...base, change: "passed", due, owner: context.writer };
      // Only what had a day, or was promised, can be moved to another.
      return { ...base, change: due !== null && !item.isPromised ? "promised" : change, due };
    case "passed": {
      const to = passedTo(segment.text, context.people, context.writer, new Set([item.asker]));
      return { ...base, change, due, owner: to?.person?.address ?? null };
    }
    case "part":
      return { ...base, change, due };
    default:
      return { ...base, change };
  }
}

/**
 * What counts of an item's change by the rules and by the weight of its words: where both agree it is sure; where the rules
 * find nothing, plain words count alone. Null where nothing changes.
 * @param taken segments that the rules have understood of other items
 */
export function choose(
  context: FollowContext,
  item: OpenItem,
  ruled: Ruled | null,
  weighed: Weighed | undefined,
  taken: ReadonlySet<Segment>,
): Chosen | null {
  // A guess that the words do not bear out is none.
  if (ruled?.said.isGuessed && weighed && weighed.whether <= BORNE_OUT) return null;
  if (ruled) {
    const said = weighed && saidBy(context, item, weighed);
    if (
      said &&
      ruled.said.change !== "passed" &&
      said.change !== "called off" &&
      !(said.change === "done" && ruled.said.due !== null) &&
      said.change !== ruled.said.change &&
      weighed.whether > TELLS &&
      weighed.what >= TELLS &&
      weighed.segments.includes(ruled.segment)
    )
      return { said, segment: ruled.segment, confidence: WEIGHED };
    const isAgreed =
      weighed !== undefined &&
      weighed.whether > BORNE_OUT &&
      weighed.what >= BORNE_OUT_WHAT &&
      !(weighed.isShared && !ruled.said.isNamed) &&
      said?.change === ruled.said.change;
    return { ...ruled, confidence: isAgreed ? AGREED : ruled.said.isNamed ? NAMED : RULED };
  }
  if (!weighed || weighed.whether <= LIKELY || weighed.what < LIKELY_WHAT || weighed.change === "called off")
    return null;
  // Who owes it and asks back changes nothing yet.
  if (/\?$/.test(weighed.segment.text) && context.sides.owes(context.writer, item)) return null;
  if (weighed.segments.some((one) => taken.has(one))) return null;
  if (weighed.change === "reminded" && asksSomethingElse(weighed.segment, item)) return null;
  return { said: saidBy(context, item, weighed), segment: weighed.segment, confidence: WEIGHED };
}
