import { tellingWords } from "../finding/telling-words";
import type { FoundSlip } from "../reading/slip";
import type { Day } from "../time/day";
import { dayOf } from "../time/moment";
import { isAnswerWithPlease, isYesOrNo, POINTS_AT_IT } from "./bare-answer";
import type { ChangesFound } from "./changes-in";
import type { FollowContext } from "./context";
import { isCalledOff } from "./cues";
import { handedWhole, isPassedOn } from "./handed-whole";
import { type ItemChange, type OpenItem, raisedLast } from "./item";
import { likeness } from "./likeness";
import { goesOnInSentence, promisedFor } from "./promised-for";
import { wantsWords } from "./said";
import type { Sides } from "./sides";
import { meet } from "./stretch";
import { isToldWhatToDo } from "./told-what-to-do";

/** A slip that is new in its conversation, with the words that tell it from others. */
export interface Opened extends FoundSlip {
  readonly words: ReadonlySet<string>;
}

/** Share of common words from which two asks are the same. */
const SAME_ASK = 0.5;

/** How sure it is that an ask in other words is one that was there. */
const SAID_AGAIN = 0.75;

/** "Emeka, the shelves are yours" is about shelves, and not about Emeka. */
function withoutCall(text: string): string {
  return text.replace(/^(?:and\s+)?\p{Lu}\p{L}+[,:]\s+/u, "");
}

const POINTS_THERE = /\b(?:it|them|this|that|these|those|there|here|about)\b/i;

/** "Can you answer this?", "please tell him" */
const ANSWERS_IT =
  /\b(?:answer|reply|tell|say|know|let|write|ring|call|find out|check|deal with|take|handle|look after|see to|yours|for you)\b/i;

const ASKS_AGAIN = /^(?:and |so |but )?where(?:['’]s| is| are)\b|\b(?:still|again|yet)\b/i;

/** "Can you take this?" */
const TAKES_IT =
  /\b(?:take (?:it|this|that|over)|take care of|handle|deal with|look after|see to|sort|yours|for you|over to you)\b/i;

/** "Ruben will think of something": of whatever was asked. */
const POINTS_TO_SOMETHING = /\b(?:will|['’]ll|can|to) (?:\w+ ){1,3}(?:something|it|that|them)[.!]?$/i;
const MOST_WORDS_OF_A_POINTER = 2;

/** "Bring it round tomorrow at eight": said by whoever will do it, and when. */
const BRING_IT = /^(?:just )?bring (?:it|her|him|them|the \w+(?: \w+)?) (?:in|round|over|along|by|to us)\b/i;

const GIVE_TIME =
  /^(?:just |please |but )?(?:give|allow) (?:me|us|him|her|them) (?:until\b|(?:an?(?:other)?|one|two|three|five|ten|fifteen|twenty|thirty|half an|\d+) (?:more )?(?:minutes?|hours?|days?|weeks?|hour)\b)/i;

/** "Can I have until tomorrow noon?": what is told with it is why. */
const ASKS_FOR_TIME =
  /\b(?:can|could|may|might) (?:i|we) have (?:until|till|another|one more|a (?:day|week|few)|more time)\b|\bwould \w+day (?:do|suit|be (?:all right|ok|okay|fine|soon enough|early enough))\b|\b(?:is|would) \w+day (?:be )?(?:too late|soon enough|early enough)\b/i;

const CURES_IT =
  /\b(?:corrected?|new|replac\w+|exchange|another|repair|mend|fix|put (?:it|this|that|them) right|sort (?:it|this|that|them) out)\b/i;

/** "The amount is wrong. Please send us a corrected bill.": trouble of which the cure is asked is no excuse. */
function isGroundOfAsk({ end }: FoundSlip, slips: readonly FoundSlip[], text: string): boolean {
  return (
    /[.!]/.test(text.slice(end - 1, end)) &&
    slips.some(
      (one) =>
        one.kind === "ask" &&
        one.start >= end &&
        text.slice(end, one.start).trim() === "" &&
        CURES_IT.test(text.slice(one.start, one.end)),
    )
  );
}

/** The words of a slip, with those of the thing that it only points at: the title of "could you look through it" names the offer. */
function withThingMeant(words: ReadonlySet<string>, slip: FoundSlip, quote: string, text: string): ReadonlySet<string> {
  if (!POINTS_AT_IT.test(quote)) return words;
  const before = tellingWords(text.slice(0, slip.start));
  return new Set([...words, ...[...tellingWords(slip.title)].filter((word) => before.has(word))]);
}

/** A slip as something that is opened by it, with the words that tell it from others. */
export function asOpened(slip: FoundSlip, text: string): Opened {
  const quote = text.slice(slip.start, slip.end);
  const words = tellingWords(withoutCall(quote));
  const isTold = slip.kind === "promise" || slip.kind === "trouble";
  return { ...slip, words: isTold ? words : withThingMeant(words, slip, quote, text) };
}

/** "And the nephew?" */
const AND_THE_REST = /^(?:and|what about|how about) (?:the|your|his|her|their|that) [\p{L}-]+(?: [\p{L}-]+)?\?$/iu;

/** "How long will that take?": it asks something of its own, unlike "when does it come?". */
const ASKS_WHAT = /^(?:and |but |so )?(?:how (?:long|much|many|big|heavy|far|often)|what|which|who|why)\b/i;

/** "Not yet, I'm afraid. Could you send it again?": of what the words right before it answer, and not of what was asked for. */
function isOfWhatWasJustSaid({ start, end }: FoundSlip, changes: readonly ItemChange[], text: string): boolean {
  return (
    /\b(?:again|once more)\b/i.test(text.slice(start, end)) &&
    changes.some((one) => one.change === "done" && one.end <= start && /^[\s.!,]*$/.test(text.slice(one.end, start)))
  );
}

/** The one thing that should be here by now. */
function lateOf(asked: readonly OpenItem[], today: Day): OpenItem | undefined {
  const [late, ...others] = asked.filter(({ kind, due }) => kind === "ask" && due !== null && due <= today);
  return others.length === 0 ? late : undefined;
}

const REGRETS = /\b(?:(?:i['’]?m|i am|we['’]?re|we are) (?:afraid|sorry)|unfortunately|regrettably)\b/i;

/** "All of us are at the party": unlike a van that has broken down, it says that nobody can come. */
const HAVE_NO_TIME =
  /\b(?:i am|we are|(?:all|both|most) of us are|(?:everybody|everyone|nobody|no one) (?:is|can)|the (?:whole |entire )?(?:team|kitchen|house|office) is)\b(?! (?:afraid|sorry))|\b(?:i['’]m|we['’]re)\b(?! (?:afraid|sorry))/i;

/** How many asks somebody owes an answer to. */
function askedOf(writer: string, open: readonly OpenItem[], sides: Sides): number {
  return open.filter((item) => item.kind !== "trouble" && sides.owes(writer, item)).length;
}

/** "We're waiting for the chairs", of chairs that were asked for. */
const WAITS = /\b(?:waiting|wait) for\b/i;

/** What of a letter's slips is new, what is beyond doubt a word about what was open, and what the letter does to that. */
export function openedBy(
  context: FollowContext,
  open: readonly OpenItem[],
  slips: readonly FoundSlip[],
  { changes: found, understood }: Pick<ChangesFound, "changes" | "understood">,
): { slips: Opened[]; old: FoundSlip[]; changes: ItemChange[] } {
  const { letter, writer, sides } = context;
  const changes = [...found];
  const opened: Opened[] = [];
  const old: FoundSlip[] = [];
  const changed = (item: OpenItem) => changes.some((change) => change.item === item.id);
  const asksForTime = slips.some((slip) => ASKS_FOR_TIME.test(letter.text.slice(slip.start, slip.end)));
  for (const slip of slips) {
    const quote = letter.text.slice(slip.start, slip.end);
    const words = tellingWords(withoutCall(quote));
    const covering = understood
      .filter((one) => meet(one, slip))
      .flatMap((one) => changes.filter((change) => change.item === one.item));
    const again = (change: ItemChange["change"], item: OpenItem, owner: string | null, reason: string) => {
      const due = change === "done" ? null : slip.due;
      changes.push({
        item: item.id,
        change,
        due: due?.day ?? null,
        otherDays: due?.others ?? [],
        owner,
        quote,
        start: slip.start,
        end: slip.end,
        isNamed: words.size > 0,
        confidence: SAID_AGAIN,
        reason,
      });
    };
    if (slip.kind === "promise" || slip.kind === "trouble") {
      if (covering.length > 0) continue;
      const near = changes.some(
        (change) =>
          change.change !== "reminded" &&
          change.change !== "done" &&
          letter.text.slice(Math.min(change.end, slip.end), Math.max(change.start, slip.start)).trim().length < 4,
      );
      const owed = open.filter((item) => sides.owes(writer, item));
      const left = owed.filter((item) => !changed(item));
      const meant = slip.kind === "promise" ? promisedFor({ quote, words }, left) : null;
      if (meant) {
        again("promised", meant, null, "it is what is promised");
        continue;
      }
      if (slip.kind === "promise" && near && goesOnInSentence(slip, changes, owed, letter.text)) continue;
      // An excuse beside a change is its reason, not trouble of its own.
      if (
        slip.kind === "trouble" &&
        open.length > 0 &&
        !isGroundOfAsk(slip, slips, letter.text) &&
        (near || asksForTime || changes.some((change) => change.change === "moved"))
      )
        continue;
      // "It runs again, a hose had slipped off": what was wrong with what is cured.
      const isCause = changes.some(
        ({ change, item }) => change === "done" && open.some((one) => one.id === item && one.kind === "trouble"),
      );
      if (slip.kind === "trouble" && isCause && /\b(?:had|was|were)\b/i.test(quote)) continue;
      // "On the 11th all of us are away, I'm afraid.": who is asked for something says no.
      const isRegret = slip.kind === "trouble" && REGRETS.test(quote) && HAVE_NO_TIME.test(quote);
      const refused = isRegret ? raisedLast(open).find((item) => left.includes(item)) : undefined;
      if (refused && refused.kind !== "trouble") {
        again(wantsWords(refused) ? "done" : "declined", refused, null, "it is refused with regret");
        continue;
      }
      opened.push(asOpened(slip, letter.text));
      continue;
    }
    if (isAnswerWithPlease(quote) || isYesOrNo(quote)) {
      if (covering.length > 0) continue;
      // "As stiff as you can make them, please.": of what the other side asked last.
      const questions = open.filter((item) => wantsWords(item) && sides.owes(writer, item));
      const question = questions.findLast((item) => !changed(item));
      if (question) again("done", question, null, "it is answered");
      if (questions.length > 0) continue;
    }
    // "Put them in the cellar", where it was asked where to put them.
    const isToldTo = (id: string) => open.some((item) => item.id === id && isToldWhatToDo(quote, item));
    // Where the question is answered before, in words of its own, the order is one: "Fleet Vans. Please book them."
    const isAnswer = ({ change, item, end }: ItemChange) => change === "done" && end > slip.start && isToldTo(item);
    if (covering.some(isAnswer)) continue;
    // "That's Nora's field. Nora, do you know what happened there?"
    const isToTaker = changes.some(
      ({ change, owner }) => change === "passed" && owner !== null && owner === slip.owner,
    );
    if (slip.kind === "question" && isToTaker && POINTS_THERE.test(quote)) {
      old.push(slip);
      continue;
    }
    // "Give him fifteen minutes", of whoever owes something: so long it takes.
    if (GIVE_TIME.test(quote) && open.some((item) => sides.owes(writer, item))) continue;
    if (BRING_IT.test(quote)) {
      const owed = open.filter((item) => item.kind === "ask" && item.asker === slip.owner && sides.owes(writer, item));
      if (owed.length === 1) {
        if (!changed(owed[0]!)) again("promised", owed[0]!, null, "it will be done when it is brought");
        continue;
      }
    }
    if (covering.some((change) => change.change !== "done" && (change.change !== "called off" || isCalledOff(quote)))) {
      if (WAITS.test(quote)) old.push(slip);
      continue;
    }
    const isShort = quote.split(/\s+/).length <= 7;
    const asked = open.filter((item) => sides.wants(writer, item));
    const same =
      asked.find(
        (item) =>
          words.size > 0 &&
          // Trouble is no ask: a question about it is one of its own, unless it only asks where the thing is.
          (item.kind !== "trouble" || ASKS_AGAIN.test(quote)) &&
          likeness(words, item.words) >= SAME_ASK &&
          [...words].filter((word) => item.words.has(word)).length >= (isShort ? 1 : Math.min(2, item.words.size)),
      ) ??
      (slip.kind === "question" && AND_THE_REST.test(quote) ? lateOf(asked, dayOf(context.sent)) : undefined) ??
      (words.size === 0 &&
      isShort &&
      POINTS_AT_IT.test(quote) &&
      slip.owner !== null &&
      !(slip.kind === "question" && ASKS_WHAT.test(quote)) &&
      !isOfWhatWasJustSaid(slip, changes, letter.text)
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
        // "Please go over and see what it is" answers no question.
        (item.kind !== "question" ||
          slip.kind === "question" ||
          ANSWERS_IT.test(quote) ||
          likeness(words, item.words) > 0) &&
        // "Please order a new seal" is work of its own that cures the trouble; "the seal is yours" is not.
        (item.kind !== "trouble" ||
          TAKES_IT.test(quote) ||
          (words.size > 0 && [...words].every((word) => item.words.has(word)))) &&
        (likeness(words, item.words) >= SAME_ASK ||
          ((words.size <= 1 ? POINTS_AT_IT : POINTS_TO_SOMETHING).test(quote) &&
            words.size <= MOST_WORDS_OF_A_POINTER &&
            askedOf(writer, open, sides) === 1)),
    );
    const left = open.filter((item) => sides.owes(writer, item) && !changed(item));
    // "Please order a new seal", of a letter that reports the seal and asks for an answer: the seal's cure, and not the answer.
    const isOfTrouble = open.some((item) => item.kind === "trouble" && [...words].some((word) => item.words.has(word)));
    const handed = own ?? (isPassedOn(letter) && !isOfTrouble ? handedWhole(slip, writer, left) : undefined);
    if (handed) {
      if (!changed(handed)) again("passed", handed, slip.owner, "handed to somebody else");
    } else if (same) {
      const isNewDay = slip.due !== null && same.due !== null && slip.due.day !== same.due;
      if (!changed(same)) again(isNewDay ? "moved" : "reminded", same, null, "asked for again");
      if (WAITS.test(quote)) old.push(slip);
    } else opened.push(asOpened(slip, letter.text));
  }
  return { slips: opened, old, changes };
}
