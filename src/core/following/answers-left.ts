import { tellingWords } from "../finding/telling-words";
import type { FoundSlip } from "../reading/slip";
import { isAnswerWithPlease, isInterjection } from "./bare-answer";
import type { FollowContext } from "./context";
import type { OpenItem } from "./item";
import { IS_IN_A_STATE, knowsNotYet, type Said, saidByOwner, WILL_ANSWER, wantsWords } from "./said";
import type { Segment } from "./segments";
import { Topics } from "./topics";

/** What is left to be answered once every segment was looked at. */
export interface Answering {
  readonly context: FollowContext;
  readonly owed: readonly OpenItem[];
  readonly slips: readonly FoundSlip[];
  readonly changes: ReadonlyMap<string, unknown>;
  readonly consumed: ReadonlySet<Segment>;
  readonly note: (item: OpenItem, said: Said, segment: Segment) => void;
}

/** "Two hundred and twelve so far": some of it is there. */
const HAS_BEGUN = /\bso far\b|\b(?:is|are) (?:counted|listed|drawn|typed|named)\b/i;

const STILL_MISSING = /\bstill (?:missing|outstanding|open|to come)\b/i;

/** Answers that can stand without naming what they answer. */
const ANSWERS: ReadonlySet<string> = new Set(["declined", "done", "part", "promised", "moved"]);

/** Answers that name nothing come in the order of what was asked last: "two I can't spare", "the other I will". */
export function answerInOrder({ context, owed, slips, changes, consumed, note }: Answering): void {
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
  // "Wages and rent are done, the food costs still missing."
  const missing = left.length === 1 ? context.segments.find((segment) => STILL_MISSING.test(segment.text)) : undefined;
  const isThere = missing && context.segments.some((one) => one.start < missing.start && IS_IN_A_STATE.test(one.text));
  if (missing && isThere) {
    note(left[0]!, { change: "part", due: null, owner: null, isNamed: false, reason: "a part of it" }, missing);
    return;
  }
  const plain = said.filter(({ one }) => one.change === "declined" || one.change === "done");
  if (plain.length > left.length || left.length > 2) return;
  for (const [i, { segment, one }] of plain.entries()) note(left[i]!, one, segment);
}

/** Words with which a sentence says what it is about: "the container is gone". */
const WORDS_OF_HEAD = 3;

/** "I shall answer properly at the weekend." */
const ANSWERS_LATER = /\b(?:will|['’]ll|shall) (?:\w+ )?(?:answer|write|reply|come back|get back|let you know)\b/i;

const ASKS_A_NUMBER =
  /\bhow (?:many|much|long|wide|high|deep|far|heavy|big)\b|\b(?:size|dimensions|measurements|head ?count|weight|number of)\b|\b(?:measure|count|weigh)\b/i;
const A_NUMBER =
  /\b(?:\d+|one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve|\w+teen|(?:twenty|thirty|forty|fifty|sixty|seventy|eighty|ninety)(?:-\w+)?|dozen|hundred|none|nobody)\b/i;

/** A question is answered by what its addressee says of it, or, where it is the only one, by whatever else they say first. */
export function answerQuestions({ context, owed, slips, changes, consumed, note }: Answering): void {
  const questions = owed.filter((item) => wantsWords(item) && !changes.has(item.id));
  if (questions.length === 0) return;
  const statements = context.segments.filter(
    (segment) =>
      !/\?$/.test(segment.text) &&
      !knowsNotYet(segment.text) &&
      (isAnswerWithPlease(segment.text) ||
        !slips.some(
          (slip) =>
            slip.start < segment.end && segment.start < slip.end && slip.kind !== "promise" && slip.kind !== "trouble",
        )),
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
  // "How many we need I can't say yet": then nothing else answers that question by its place.
  const isOpenYet = context.segments.some(({ text }) => knowsNotYet(text));
  // What begins with something else that was asked is said of that.
  const isOfAnother = ({ text }: Segment) => {
    const head = tellingWords(text.split(/\s+/).slice(0, WORDS_OF_HEAD).join(" "));
    return owed.some((item) => !questions.includes(item) && [...head].some((word) => item.words.has(word)));
  };
  const free = statements.filter(
    (segment) =>
      !isOpenYet &&
      !consumed.has(segment) &&
      !isInterjection(segment.text) &&
      !isOfAnother(segment) &&
      segment.text.split(/\s+/).length <= 14,
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
