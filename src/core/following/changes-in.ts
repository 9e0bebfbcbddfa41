import type { FoundSlip } from "../reading/slip";
import {
  BARE_ANSWER,
  bareTargets,
  isAnswerWithPlease,
  isInterjection,
  POINTS_BACK,
  POINTS_TO_WANTED,
  THANKS_ONLY,
} from "./bare-answer";
import type { FollowContext } from "./context";
import type { ItemChange, OpenItem } from "./item";
import { isSentElsewhere } from "./passed-to";
import {
  IS_THE_REST,
  isDayGiven,
  type Said,
  saidByAsker,
  saidByOwner,
  stronger,
  WILL_ANSWER,
  wantsWords,
} from "./said";
import type { Segment } from "./segments";
import { tellingWords } from "./telling-words";
import { Topics } from "./topics";

/** Changes of a letter, and the stretches that were understood by them. */
export interface ChangesFound {
  readonly changes: readonly ItemChange[];
  readonly understood: readonly { readonly start: number; readonly end: number; readonly item: string }[];
}

/** "…, so the driver comes tomorrow": what follows from an excuse is said of the thing that was asked. */
function isConsequence({ letter }: FollowContext, segment: Segment): boolean {
  return /^so\b/i.test(segment.text) || /\bso\s+$/i.test(letter.text.slice(0, segment.start));
}

/** An ask that turns to somebody, unlike "the blue one needs another week". */
const TURNS_TO =
  /\b(?:please|kindly|(?:could|can|would|will) (?:you|somebody|someone|one of you)|let (?:me|us)|tell (?:me|us))\b|\?$/i;

/** What a letter changes of the items that are open, in the order of the text. */
export function changesIn(
  context: FollowContext,
  open: readonly OpenItem[],
  slips: readonly FoundSlip[],
): ChangesFound {
  const { writer, sides, segments } = context;
  const owed = open.filter((item) => sides.owes(writer, item));
  const wanted = open.filter((item) => sides.wants(writer, item));
  const topics = new Topics(open);
  const changes = new Map<string, { said: Said; segment: Segment }>();
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
  for (const segment of segments) {
    if (THANKS_ONLY.test(segment.text)) {
      consumed.add(segment);
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
    const pointsBack = POINTS_BACK.test(segment.text) || BARE_ANSWER.test(segment.text);
    let about = items.filter((item) => owed.includes(item));
    // What names nothing goes on about the last thing only where it points back to it; a promise of a new thing is its own.
    if (!isNamed && !pointsBack && tellingWords(segment.text).size > 0) about = [];
    if (
      !isNamed &&
      slip?.kind === "promise" &&
      !IS_THE_REST.test(segment.text) &&
      about.some((item) => changes.get(item.id)?.said.change === "done")
    )
      about = [];

    const left = owed.filter((item) => !changes.has(item.id));
    const isCure = left.length > 0 && left.every((item) => item.kind === "trouble");
    const isDayFor =
      (slip?.kind !== "promise" || isConsequence(context, segment) || isCure) && isDayGiven(context, segment.text);
    // "It went out last night": the only thing that is open.
    const isOnly =
      left.length === 1 && /^(?:it|they|that|those|these|this)\b(?! (?:is|was) (?:a|the|not)\b)/i.test(segment.text);
    const isBare = isOnly || (pointsBack && (BARE_ANSWER.test(segment.text) || slip?.kind === "promise")) || isDayFor;
    if (items.length === 0 && !isAsk && isBare) about = bareTargets(left, segment.text);
    about = [...new Set(about.map((item) => cureOf(item, owed) ?? item))];
    const partly = new Set(
      [...changes].filter(([, { said }]) => said.change === "part" || said.change === "done").map(([id]) => id),
    );
    if (!isAsk)
      for (const item of about) {
        const said = saidByOwner({ ...context, partly }, segment, item, isNamed);
        if (said) note(item, said, segment);
      }
    let asked = items.filter((item) => wanted.includes(item));
    if (asked.length === 0 && items.length === 0 && POINTS_TO_WANTED.test(segment.text)) {
      const missing = wanted.filter((item) => !changes.has(item.id));
      // "Got them.": what was promised last, where more is wanted.
      const promised = missing.filter((item) => item.isPromised);
      asked = missing.length === 1 ? missing : promised.length === 1 ? promised : [];
    }
    for (const item of asked) {
      const said = saidByAsker(context, segment, item, isNamed);
      if (said) note(item, said, segment);
    }
  }
  const answering = { context, owed, slips, changes, consumed, note };
  answerInOrder(answering);
  answerQuestions(answering);
  return {
    changes: [...changes].map(([item, { said, segment }]) => ({
      item,
      change: said.change,
      due: said.due?.day ?? null,
      otherDays: said.due?.others ?? [],
      owner: said.owner,
      quote: context.letter.text.slice(segment.start, segment.end),
      start: segment.start,
      end: segment.end,
      isNamed: said.isNamed,
      reason: said.reason,
    })),
    understood,
  };
}

/** What is left to be answered once every segment was looked at. */
interface Answering {
  readonly context: FollowContext;
  readonly owed: readonly OpenItem[];
  readonly slips: readonly FoundSlip[];
  readonly changes: ReadonlyMap<string, unknown>;
  readonly consumed: ReadonlySet<Segment>;
  readonly note: (item: OpenItem, said: Said, segment: Segment) => void;
}

/** "Two hundred and twelve so far": some of it is there. */
const HAS_BEGUN = /\bso far\b|\b(?:is|are) (?:counted|listed|drawn|typed|named)\b/i;

/** Answers that can stand without naming what they answer. */
const ANSWERS: ReadonlySet<string> = new Set(["declined", "done", "part", "promised", "moved"]);

/** Answers that name nothing come in the order of what was asked last: "two I can't spare", "the other I will". */
function answerInOrder({ context, owed, slips, changes, consumed, note }: Answering): void {
  const newest = Math.max(...owed.map((item) => item.letter));
  const left = owed.filter(
    (item) => item.letter === newest && item.kind !== "trouble" && !wantsWords(item) && !changes.has(item.id),
  );
  const said = context.segments.flatMap((segment) => {
    const isAsk = slips.some(
      (slip) =>
        slip.start < segment.end && segment.start < slip.end && (slip.kind === "ask" || slip.kind === "question"),
    );
    const one =
      !isAsk && !consumed.has(segment) && left[0]
        ? saidByOwner({ ...context, partly: new Set() }, segment, left[0], false)
        : null;
    return one && ANSWERS.has(one.change) ? [{ segment, one }] : [];
  });
  // "Cellar and loft are counted, the shed I do on Monday": a part of the only thing that is left.
  const rest = left.length === 1 ? said.find(({ one }) => one.due !== null) : undefined;
  const begun =
    rest &&
    context.segments.find(
      (segment) =>
        segment.start < rest.segment.start &&
        (said.some((one) => one.segment === segment && one.one.change === "done") ||
          (!consumed.has(segment) && HAS_BEGUN.test(segment.text))),
    );
  if (rest && begun) {
    note(left[0]!, { ...rest.one, change: "part" }, rest.segment);
    return;
  }
  const plain = said.filter(({ one }) => one.change === "declined" || one.change === "done");
  if (plain.length > left.length || left.length > 2) return;
  for (const [i, { segment, one }] of plain.entries()) note(left[i]!, one, segment);
}

const CURES =
  /(?:^|\bplease |\bkindly |\byou |\bto )(?:replace|repair|fix|mend|exchange|swap|credit|refund|put (?:it|that|this|them) right|sort (?:it|that|this|them) out|send|bring|deliver|collect)\b|\bneed (?:a |an |the |some )?(?:new|fresh|another|replacement|spare)\b/i;

/** The ask that wants a trouble cured: what is promised or done about the trouble is said of that. */
function cureOf(item: OpenItem, owed: readonly OpenItem[]): OpenItem | null {
  if (item.kind !== "trouble") return null;
  return (
    owed.find(
      (one) =>
        one.kind === "ask" && one.letter === item.letter && one.place === item.place + 1 && CURES.test(one.quote),
    ) ?? null
  );
}

/** "I shall answer properly at the weekend." */
const ANSWERS_LATER = /\b(?:will|['’]ll|shall) (?:\w+ )?(?:answer|write|reply|come back|get back|let you know)\b/i;

const ASKS_A_NUMBER = /\bhow (?:many|much)\b/i;
const A_NUMBER =
  /\b(?:\d+|one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve|\w+teen|(?:twenty|thirty|forty|fifty|sixty|seventy|eighty|ninety)(?:-\w+)?|dozen|hundred|none|nobody)\b/i;

/** A question is answered by what its addressee says of it, or, where it is the only one, by whatever else they say first. */
function answerQuestions({ context, owed, slips, changes, consumed, note }: Answering): void {
  const questions = owed.filter((item) => wantsWords(item) && !changes.has(item.id));
  if (questions.length === 0) return;
  const statements = context.segments.filter(
    (segment) =>
      !/\?$/.test(segment.text) &&
      (isAnswerWithPlease(segment.text) ||
        !slips.some((slip) => slip.start < segment.end && segment.start < slip.end && slip.kind !== "promise")),
  );
  const topics = new Topics(questions);
  const done: Said = { change: "done", due: null, owner: null, isNamed: true, reason: "the question is answered" };
  const answered = new Set<OpenItem>();
  for (const segment of statements) {
    const { items, isNamed } = topics.of(segment);
    if (!isNamed) continue;
    for (const item of items) {
      if (answered.has(item) || WILL_ANSWER.test(segment.text)) continue;
      answered.add(item);
      note(item, done, segment);
    }
  }
  const newest = Math.max(...owed.map((item) => item.letter));
  const left = () =>
    questions.filter(
      (item) =>
        !answered.has(item) &&
        !item.isPromised &&
        item.letter === newest &&
        (item.owner ?? context.writer) === context.writer,
    );
  // A number answers "how many", also where the answer was promised before.
  for (const item of questions.filter((one) => !answered.has(one) && ASKS_A_NUMBER.test(one.quote))) {
    const number = statements.find((segment) => !consumed.has(segment) && A_NUMBER.test(segment.text));
    if (number && (item.owner ?? context.writer) === context.writer) {
      answered.add(item);
      note(item, done, number);
    }
  }
  const free = statements.filter(
    (segment) => !consumed.has(segment) && !isInterjection(segment.text) && segment.text.split(/\s+/).length <= 14,
  );
  // Answers come in the order of the questions.
  const rest = left();
  const later = statements.find((segment) => !consumed.has(segment) && ANSWERS_LATER.test(segment.text));
  if (later && rest.length > 0) {
    for (const item of rest) {
      const said = saidByOwner({ ...context, partly: new Set() }, later, item, true);
      if (said) note(item, said, later);
    }
    return;
  }
  for (const [i, item] of rest.entries()) if (rest.length <= 2 && free[i]) note(item, done, free[i]);
}
