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

/** "Ruben will think of something": of whatever was asked. */
const POINTS_TO_SOMETHING = /\b(?:will|['’]ll|can|to) (?:\w+ ){1,3}(?:something|it|that|them)[.!]?$/i;
const MOST_WORDS_OF_A_POINTER = 2;

/** "Bring it round tomorrow at eight": said by whoever will do it, and when. */
const BRING_IT = /^(?:just )?bring (?:it|her|him|them|the \w+(?: \w+)?) (?:in|round|over|along|by|to us)\b/i;

/** "Can I have until tomorrow noon?": what is told with it is why. */
const ASKS_FOR_TIME =
  /\b(?:can|could|may|might) (?:i|we) have (?:until|till|another|one more|a (?:day|week|few)|more time)\b|\bwould \w+day (?:do|suit|be (?:all right|ok|okay|fine|soon enough|early enough))\b|\b(?:is|would) \w+day (?:be )?(?:too late|soon enough|early enough)\b/i;

/** How many asks somebody owes an answer to. */
function askedOf(writer: string, open: readonly OpenItem[], sides: Sides): number {
  return open.filter((item) => item.kind !== "trouble" && sides.owes(writer, item)).length;
}

const WANTS_MONEY = /\b(?:pay|paid|payment|settle|transfer|remit)\b/i;
const SPEAKS_OF_MONEY = /\b(?:money|payment|amount|sum|balance|transfer|paid)\b/i;

/** The one bill that somebody is to pay, where they promise money: "Your money goes out on Monday." */
function paidFor(
  quote: string,
  writer: string,
  open: readonly OpenItem[],
  sides: Sides,
  changed: (item: OpenItem) => boolean,
): OpenItem | null {
  if (!SPEAKS_OF_MONEY.test(quote)) return null;
  const owed = open.filter(
    (item) => item.kind === "ask" && WANTS_MONEY.test(item.quote) && sides.owes(writer, item) && !changed(item),
  );
  return owed.length === 1 ? owed[0]! : null;
}

/** Whether a promise goes on in the sentence in which something was promised or put off. */
function goesOnInSentence(
  slip: FoundSlip,
  changes: readonly ItemChange[],
  text: string,
  isOwed: (item: string) => boolean,
): boolean {
  return changes.some(
    ({ item, change, start, end }) =>
      isOwed(item) &&
      (change === "promised" || change === "moved") &&
      end <= slip.start &&
      !/[.!?]/.test(text.slice(Math.max(start, end - 1), slip.start)),
  );
}

function isPassedOn({ passedOn, parts, subject }: FollowContext["letter"]): boolean {
  return Boolean(passedOn) || /^(?:fwd?|wg):/i.test(subject) || parts.some((part) => part.kind === "forwarded");
}

/**
 * The ask that somebody is given by what is asked of them with the letter that is passed on to them: the only one that its
 * reader has not dealt with otherwise.
 */
function handedWhole(
  slip: FoundSlip,
  writer: string,
  open: readonly OpenItem[],
  sides: Sides,
  changed: (item: OpenItem) => boolean,
): OpenItem | undefined {
  if (slip.kind !== "ask" || slip.owner === null || slip.owner === writer) return undefined;
  const left = open.filter(
    (item) => item.kind === "ask" && item.asker !== slip.owner && sides.owes(writer, item) && !changed(item),
  );
  return left.length === 1 ? left[0] : undefined;
}

const POINTS_AT_IT = /\b(?:it|them|this|that|these|those|one|ones|her|him)\b/i;

/**
 * The trouble that a promise cures: the only one that its writer has to see to, where nothing else is asked of them, and that
 * the promise names or points at. Null where there is none.
 */
function curedBy(
  quote: string,
  words: ReadonlySet<string>,
  writer: string,
  open: readonly OpenItem[],
  sides: Sides,
  changed: (item: OpenItem) => boolean,
): OpenItem | null {
  const owed = open.filter((item) => sides.owes(writer, item) && !changed(item) && item.kind !== "question");
  const [trouble] = owed;
  if (!trouble || owed.length > 1 || trouble.kind !== "trouble") return null;
  return POINTS_AT_IT.test(quote) || likeness(words, trouble.words) > 0 ? trouble : null;
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
  const asksForTime = slips.some((slip) => ASKS_FOR_TIME.test(letter.text.slice(slip.start, slip.end)));
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
      const cured =
        slip.kind === "promise"
          ? (curedBy(quote, words, writer, open, sides, changed) ?? paidFor(quote, writer, open, sides, changed))
          : null;
      if (cured) {
        again("promised", cured, null, "it is what is promised");
        continue;
      }
      // "You'll get them tomorrow, I'll drive myself": how it will be done, in the same sentence.
      if (
        slip.kind === "promise" &&
        near &&
        goesOnInSentence(slip, changes, letter.text, (id) =>
          open.some((item) => item.id === id && sides.owes(writer, item)),
        )
      )
        continue;
      // An excuse beside a change is its reason, not trouble of its own.
      if (
        slip.kind === "trouble" &&
        open.length > 0 &&
        (near || asksForTime || changes.some((change) => change.change === "moved"))
      )
        continue;
      opened.push({ ...slip, words });
      continue;
    }
    if (covering.length > 0 && isAnswerWithPlease(quote)) continue;
    if (BRING_IT.test(quote)) {
      const owed = open.filter((item) => item.kind === "ask" && item.asker === slip.owner && sides.owes(writer, item));
      if (owed.length === 1) {
        if (!changed(owed[0]!)) again("promised", owed[0]!, null, "it will be done when it is brought");
        continue;
      }
    }
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
        // "Do we still need it?" hands nothing on.
        (slip.kind === "ask" || item.kind === "question") &&
        (likeness(words, item.words) >= SAME_ASK ||
          ((words.size <= 1 ? POINTS_BACK : POINTS_TO_SOMETHING).test(quote) &&
            words.size <= MOST_WORDS_OF_A_POINTER &&
            askedOf(writer, open, sides) === 1)),
    );
    const handed = own ?? (isPassedOn(letter) ? handedWhole(slip, writer, open, sides, changed) : undefined);
    if (handed) {
      if (!changed(handed)) again("passed", handed, slip.owner, "handed to somebody else");
    } else if (same) {
      const isNewDay = slip.due !== null && same.due !== null && slip.due.day !== same.due;
      if (!changed(same)) again(isNewDay ? "moved" : "reminded", same, null, "asked for again");
    } else opened.push({ ...slip, words });
  }
  return { slips: opened, changes };
}
