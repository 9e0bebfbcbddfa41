import { tellingWords } from "../finding/telling-words";
import type { FoundSlip } from "../reading/slip";
import { dayOf } from "../time/moment";
import { answerInOrder, answerQuestions } from "./answers-left";
import { askerTurn } from "./asker-turns";
import {
  BARE_ANSWER,
  bareTargets,
  CAN_BE_MAILED,
  GOES_WITH_IT,
  INTRODUCES,
  isAnswerWithPlease,
  isThanksOnly,
  KNOWS_NOTHING,
  POINTS_BACK,
  POINTS_TO_WANTED,
  TURNS_TO,
} from "./bare-answer";
import type { FollowContext } from "./context";
import { ASKER_CUES } from "./cues";
import { cureOf } from "./cure";
import { dueIn } from "./days-named";
import { addDays, addsSomething, isRestLeft, isStillToCome, turnedTo } from "./goes-on";
import { allHandedTo } from "./handed-whole";
import { lastRaised, type OpenItem, raisedLast } from "./item";
import { ownerTurn } from "./owner-turns";
import { isHandedOn, isSentElsewhere, passedTo } from "./passed-to";
import { agreeToDays } from "./proposals";
import {
  IS_THE_REST,
  isDayGiven,
  mainClause,
  type Ruled,
  type Said,
  saidByAsker,
  saidByOwner,
  stronger,
  wantsWords,
} from "./said";
import { type Handed, saidAtOnce } from "./said-at-once";
import type { Segment } from "./segments";
import { isToldWhatToDo } from "./told-what-to-do";
import { Topics } from "./topics";

/** What the rules find in a letter: changes by their items, and every stretch that was taken to speak of an item. */
export interface ChangesRuled {
  readonly changes: ReadonlyMap<string, Ruled>;
  readonly understood: readonly { readonly start: number; readonly end: number; readonly item: string }[];
}

const HANDED_TO: Omit<Said, "owner"> = {
  change: "passed",
  due: null,
  isNamed: true,
  isPlain: true,
  reason: "the letter is handed on",
};

const ANSWERED: Said = {
  change: "done",
  due: null,
  owner: null,
  isNamed: true,
  isPlain: true,
  reason: "it is said what to do",
};

/** "…, so the driver comes tomorrow": what follows from an excuse is said of the thing that was asked. */
function isConsequence({ letter }: FollowContext, segment: Segment): boolean {
  return /^so\b/i.test(segment.text) || /\bso\s+$/i.test(letter.text.slice(0, segment.start));
}

/** What the rules say that a letter changes of the items that are open. */
export function changesByRules(
  context: FollowContext,
  open: readonly OpenItem[],
  slips: readonly FoundSlip[],
): ChangesRuled {
  const { writer, sides, segments } = context;
  const owed = open.filter((item) => sides.owes(writer, item));
  const wanted = open.filter((item) => sides.wants(writer, item));
  const topics = new Topics(open);
  const changes = new Map<string, Ruled>();
  const understood: { start: number; end: number; item: string }[] = [];
  const consumed = new Set<Segment>();
  const note = (item: OpenItem, said: Said, segment: Segment) => {
    const before = changes.get(item.id);
    const counts = before ? stronger(before.said, said) : said;
    const isBefore = before !== undefined && counts.change === before.said.change;
    changes.set(item.id, { said: counts, segment: isBefore ? before.segment : segment });
    consumed.add(segment);
    understood.push({ start: segment.start, end: segment.end, item: item.id });
  };
  let handed: Handed | null = null;
  for (const segment of segments) {
    const atOnce = saidAtOnce(context, segment, { owed, wanted, changes, handed });
    handed = null;
    if (atOnce) {
      note(atOnce.item, atOnce.said, segment);
      continue;
    }
    if (isThanksOnly(segment.text) || [INTRODUCES, KNOWS_NOTHING].some((pattern) => pattern.test(segment.text))) {
      consumed.add(segment);
      continue;
    }
    const order = slips.find((one) => one.kind === "ask" && one.start <= segment.start && segment.start < one.end);
    const questions = owed.filter((item) => item.kind === "question" && !changes.has(item.id));
    const toBeTold = order
      ? raisedLast(questions).find((item) => isToldWhatToDo(context.letter.text.slice(order.start, order.end), item))
      : undefined;
    if (toBeTold) {
      note(toBeTold, ANSWERED, segment);
      continue;
    }
    const taker = allHandedTo(context.letter, segment.text);
    const given = taker ? raisedLast(owed.filter(({ kind, asker }) => kind !== "trouble" && asker !== taker)) : [];
    if (given.length > 0) {
      for (const item of given) note(item, { ...HANDED_TO, owner: taker }, segment);
      continue;
    }
    const { items, isNamed } = topics.of(segment);
    const slip = slips.find((one) => one.start < segment.end && segment.start < one.end);
    const isAsk =
      slip !== undefined &&
      (slip.kind === "ask" || slip.kind === "question") &&
      TURNS_TO.test(segment.text) &&
      !isAnswerWithPlease(segment.text) &&
      !isSentElsewhere(segment.text);
    const pointsBack = POINTS_BACK.test(mainClause(segment.text)) || BARE_ANSWER.test(segment.text);
    let about = items.filter((item) => owed.includes(item));
    // "Here it is, chairs included.": the price that was asked for, not the chairs.
    const mailed = GOES_WITH_IT.test(segment.text)
      ? owed.filter((item) => !changes.has(item.id) && CAN_BE_MAILED.test(item.quote))
      : [];
    if (mailed.length === 1 && about.length > 0 && !about.some((item) => CAN_BE_MAILED.test(item.quote)))
      about = mailed;
    // What names nothing goes on about the last thing only where it points back to it; a promise of a new thing is its own.
    if (!isNamed && !pointsBack && tellingWords(segment.text).size > 0) about = [];
    if (
      !isNamed &&
      slip?.kind === "promise" &&
      !IS_THE_REST.test(segment.text) &&
      about.some((item) => changes.get(item.id)?.said.change === "done")
    )
      about = [];

    // "You'll have it on the 16th. I'll send you a sketch this Friday.": something more, that nobody had asked for.
    if (slip?.kind === "promise" && addsSomething(segment.text) && about.some((item) => changes.has(item.id))) continue;
    const left = owed.filter((item) => !changes.has(item.id));
    // "The container is gone. Everything else tomorrow."
    if (EVERYTHING_ELSE.test(segment.text) && changes.size > 0 && left.length > 0) {
      const due = dueIn(context, segment.text);
      for (const item of left) {
        const change = due && item.due && due.day > item.due ? "moved" : "promised";
        note(
          item,
          { change, due, owner: null, isNamed: true, isPlain: true, reason: "all else will be done" },
          segment,
        );
      }
      continue;
    }
    // "As for the concert: …", "I'll have a word with the boss and tell you": of what is left only one thing can be meant.
    const turned = !isNamed && !isAsk ? turnedTo(left, segment.text) : null;
    if (turned) {
      topics.turnTo(turned, segment);
      about = [turned];
    }
    const isCure = left.length > 0 && left.every((item) => item.kind === "trouble");
    // "The red is finished, …, and so its results come on Monday": what is still to come of what is done.
    const rest =
      isStillToCome(segment.text) && !isNamed
        ? items.find((item) => owed.includes(item) && changes.get(item.id)?.said.change === "done")
        : undefined;
    const restDue = rest ? dueIn(context, segment.text) : null;
    if (rest && restDue) {
      note(rest, { change: "part", due: restDue, owner: null, isNamed: true, reason: "a part of it" }, segment);
      continue;
    }
    const justDone = slip?.kind !== "ask" && isRestLeft(segment.text) ? lastDone(owed, changes, segment) : null;
    if (justDone) {
      note(
        justDone,
        { change: "part", due: dueIn(context, segment.text), owner: null, isNamed: true, reason: "a part of it" },
        segment,
      );
      continue;
    }
    // "Flat tyre at Bexley, tomorrow at seven without fail.": a day for the only thing that is left.
    const isOnlyDay =
      lastRaised(left)?.isPromised === true &&
      !slip &&
      !isNamed &&
      segment.text.split(/\s+/).length <= FEW_WORDS &&
      !/\?$/.test(segment.text) &&
      dueIn(context, segment.text) !== null;
    const isDayFor =
      isOnlyDay ||
      ((slip?.kind !== "promise" || isConsequence(context, segment) || isCure) && isDayGiven(context, segment.text));
    // "It went out last night": the only thing that is open.
    const isOnly =
      new Set(left.map((item) => cureOf(item, owed) ?? item)).size === 1 &&
      (isHandedOn(segment.text) ||
        (slip?.kind === "promise" && !addsSomething(segment.text)) ||
        GETS_IT.test(segment.text) ||
        IS_FITTED.test(segment.text) ||
        DID_IT.test(segment.text) ||
        passedTo(segment.text, context.people, writer, new Set(left.map(({ asker }) => asker)))?.isPlain === true ||
        (left[0] !== undefined &&
          ownerTurn(segment.text, left[0], { isOfWords: wantsWords(left[0]), isNamed }) !== null) ||
        // "15 can go today, the other 11 on Tuesday."
        (IS_THE_REST.test(segment.text) && dueIn(context, segment.text) !== null) ||
        /^(?:it|they|that|those|these|this)\b(?! (?:is|was) (?:a|the|not)\b)/i.test(segment.text));
    const isBare = isOnly || (pointsBack && (BARE_ANSWER.test(segment.text) || slip?.kind === "promise")) || isDayFor;
    if ((items.length === 0 || (!isNamed && about.length === 0 && GETS_IT.test(segment.text))) && !isAsk && isBare)
      about = bareTargets(left, segment.text, writer);
    about = [...new Set(about.map((item) => cureOf(item, owed) ?? item))];
    const partly = new Set(
      [...changes].filter(([, { said }]) => said.change === "part" || said.change === "done").map(([id]) => id),
    );
    if (!isAsk)
      for (const item of about) {
        // Whoever reports trouble may also be the one who asks again.
        if (item.asker === writer && askerTurn(segment.text, isNamed)) continue;
        const said = saidByOwner({ ...context, partly }, segment, item, isNamed);
        if (said) note(item, said, segment);
        if (said?.change === "passed" && said.owner !== null && isNamed) handed = { item, segment };
      }
    let asked = items.filter((item) => wanted.includes(item));
    if (
      asked.length === 0 &&
      !isNamed &&
      (POINTS_TO_WANTED.test(segment.text) || isTakenBack(segment.text) || askerTurn(segment.text, false) !== null)
    ) {
      const missing = wanted.filter((item) => !changes.has(item.id));
      // "Got them.": what was promised last, where more is wanted.
      const promised = missing.filter((item) => item.isPromised);
      // "Still no lorry in sight?": what should be here by now.
      const dueNow = missing.filter(({ due }) => due !== null && due <= dayOf(context.sent));
      asked = [missing, promised, dueNow].find(({ length }) => length === 1) ?? [];
    }
    for (const item of asked) {
      const said = saidByAsker(context, segment, item, isNamed);
      if (said) note(item, said, segment);
    }
  }
  addDays(context, changes, consumed);
  const answering = { context, owed, slips, changes, consumed, note };
  answerInOrder(answering);
  answerQuestions(answering);
  agreeToDays(context, open, changes);
  return { changes, understood };
}

/** "You'll get them on Thursday", said after something else was: of what is left. */
const GETS_IT = /^(?:and |so )?(?:you|it|they|he|she)(?:['’]ll| will| shall)\b/i;

/** "Looked it over": said of the only thing that was asked. */
const DID_IT =
  /^(?:looked|checked|had a look|been (?:there|round|over)|tried|searched|fixed|mended|swapped|cleaned)\b/i;

/** What was told right before a segment to be done, by whoever owes it. */
function lastDone(owed: readonly OpenItem[], changes: ReadonlyMap<string, Ruled>, { block }: Segment): OpenItem | null {
  const done = owed.findLast((item) => {
    const change = changes.get(item.id);
    return change?.said.change === "done" && change.segment.block === block;
  });
  return done && done.kind !== "question" ? done : null;
}

/** Whatever was asked besides. */
const EVERYTHING_ELSE =
  /^(?!.*(?:\b(?:not|cannot|never|no longer)\b|n['’]t\b))(?:and )?(?:everything else|all else|the other (?:things|points|questions))\b(?=.*\b(?:follow\w*|will|comes?|soon|later|tomorrow|tonight|today|\w+day|next)\b|.*['’]ll\b)/i;

/** Words of a segment that only names a day. */
const FEW_WORDS = 9;

/** "New bearing's in." */
const IS_FITTED =
  /^(?:the |a )?new \p{L}+(?: \p{L}+)?(?:['’]s| is| are) (?:in|fitted|on|up|installed|mounted|running)\b/iu;

/** "Nothing has reached us so far", "please cancel the slot": said by whoever wants it, of the only thing there is. */
function isTakenBack(text: string): boolean {
  return ASKER_CUES.some((cue) => (cue.change === "called off" || cue.change === "reminded") && cue.pattern.test(text));
}
