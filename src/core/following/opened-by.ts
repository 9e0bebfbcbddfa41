import { tellingWords } from "../finding/telling-words";
import type { FoundSlip } from "../reading/slip";
import { isAnswerWithPlease } from "./bare-answer";
import type { ChangesFound } from "./changes-in";
import type { FollowContext } from "./context";
import type { ItemChange, OpenItem } from "./item";
import type { Sides } from "./sides";

/** A slip that is new in its conversation, with the words that tell it from others. */
export interface Opened extends FoundSlip {
  readonly words: ReadonlySet<string>;
}

/** Share of common words from which two asks are the same. */
const SAME_ASK = 0.5;

/** How sure it is that an ask in other words is one that was there. */
const SAID_AGAIN = 0.75;

function likeness(a: ReadonlySet<string>, b: ReadonlySet<string>): number {
  const shared = [...a].filter((word) => b.has(word)).length;
  return shared === 0 ? 0 : shared / Math.min(a.size, b.size);
}

/** "Emeka, the shelves are yours" is about shelves, and not about Emeka. */
function withoutCall(text: string): string {
  return text.replace(/^(?:and\s+)?\p{Lu}\p{L}+[,:]\s+/u, "");
}

const POINTS_BACK = /\b(?:it|them|this|that|these|those)\b/i;

/** How many asks somebody owes an answer to. */
function askedOf(writer: string, open: readonly OpenItem[], sides: Sides): number {
  return open.filter((item) => item.kind !== "trouble" && sides.owes(writer, item)).length;
}

/** What of a letter's slips is new, and what is only said again or done to what was open. */
export function openedBy(
  context: FollowContext,
  open: readonly OpenItem[],
  slips: readonly FoundSlip[],
  { changes: found, understood }: ChangesFound,
): { slips: Opened[]; changes: ItemChange[] } {
  const { letter, writer, sides } = context;
  const changes = [...found];
  const opened: Opened[] = [];
  const changed = (item: OpenItem) => changes.some((change) => change.item === item.id);
  for (const slip of slips) {
    const quote = letter.text.slice(slip.start, slip.end);
    const words = tellingWords(withoutCall(quote));
    const covering = understood
      .filter((one) => one.start < slip.end && slip.start < one.end)
      .flatMap((one) => changes.filter((change) => change.item === one.item));
    const again = (change: ItemChange["change"], item: OpenItem, owner: string | null, reason: string) =>
      changes.push({
        item: item.id,
        change,
        due: slip.due?.day ?? null,
        otherDays: slip.due?.others ?? [],
        owner,
        quote,
        start: slip.start,
        end: slip.end,
        isNamed: words.size > 0,
        confidence: SAID_AGAIN,
        reason,
      });
    if (slip.kind === "promise" || slip.kind === "trouble") {
      if (covering.length > 0) continue;
      const near = changes.some(
        (change) =>
          change.change !== "reminded" &&
          change.change !== "done" &&
          letter.text.slice(Math.min(change.end, slip.end), Math.max(change.start, slip.start)).trim().length < 4,
      );
      // An excuse beside a change is its reason, not trouble of its own.
      if (slip.kind === "trouble" && open.length > 0 && (near || changes.some((change) => change.change === "moved")))
        continue;
      opened.push({ ...slip, words });
      continue;
    }
    if (covering.length > 0 && isAnswerWithPlease(quote)) continue;
    if (covering.some((change) => change.change !== "done" && change.change !== "called off")) continue;
    const isShort = quote.split(/\s+/).length <= 7;
    const asked = open.filter((item) => sides.wants(writer, item));
    const same =
      asked.find(
        (item) =>
          words.size > 0 &&
          likeness(words, item.words) >= SAME_ASK &&
          [...words].filter((word) => item.words.has(word)).length >= (isShort ? 1 : Math.min(2, item.words.size)),
      ) ??
      (words.size === 0 && isShort && POINTS_BACK.test(quote) && slip.owner !== null
        ? asked.findLast((item) => item.owner === slip.owner)
        : undefined);
    // What was asked is handed on before trouble is, which anybody may cure.
    const own = [...open.filter((item) => item.kind !== "trouble"), ...open].find(
      (item) =>
        sides.owes(writer, item) &&
        slip.owner !== null &&
        slip.owner !== item.owner &&
        slip.owner !== item.asker &&
        slip.owner !== writer &&
        (likeness(words, item.words) >= SAME_ASK ||
          (words.size <= 1 && POINTS_BACK.test(quote) && askedOf(writer, open, sides) === 1)),
    );
    if (own) {
      if (!changed(own)) again("passed", own, slip.owner, "handed to somebody else");
    } else if (same) {
      const isNewDay = slip.due !== null && same.due !== null && slip.due.day !== same.due;
      if (!changed(same)) again(isNewDay ? "moved" : "reminded", same, null, "asked for again");
    } else opened.push({ ...slip, words });
  }
  return { slips: opened, changes };
}
