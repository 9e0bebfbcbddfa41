import { dueOf } from "../reading/due";
import type { DueFound, FoundSlip } from "../reading/slip";
import { findDates } from "../time/dates-in-words";
import type { FollowContext } from "./context";
import { ASKER_CUES, type Cue, OWNER_CUES } from "./cues";
import { CHANGES, type ChangeKind, type ItemChange, type OpenItem } from "./item";
import { passedTo } from "./passed-to";
import type { Segment } from "./segments";
import { tellingWords } from "./telling-words";
import { Topics } from "./topics";

/** A change that a segment may make, before it is held against the others of the letter. */
interface Said {
  readonly change: ChangeKind;
  readonly due: DueFound | null;
  readonly owner: string | null;
  /** Whether the item was named, and not only gone on about. */
  readonly isNamed: boolean;
  readonly reason: string;
}

/** Words that answer without naming what they answer. */
const BARE_ANSWER =
  /^(?:yes|yep|yeah|no|nope|ok|okay|sure|agreed|correct|right|exactly|fine|will do|with (?:great )?pleasure|of course|certainly|attached|enclosed|here|done|on it|got (?:it|them)|sadly not|afraid not|you['’]ll|you will|it['’]ll|it will|they['’]ll|they will|i['’]ll|i will|we['’]ll|we will|both|neither|me|mine|not yet|consider)\b/i;

const THANKS_ONLY =
  /^(?:(?:many |big |warm )?(?:thanks|thank you|ta|cheers|noted|understood|great|perfect|lovely|wonderful|brilliant|super|excellent|good|legend|fine|got it|see you(?: then| there| on \w+)?|that works|much appreciated|all clear)\b[\s,!.]*(?:for \w+(?: \w+){0,4}|again|a lot|very much|so much|then|to (?:you|both|all)(?: \w+)?|\p{Lu}\p{L}+)?[\s,!.]*)+$/u;

function firstCue(cues: readonly Cue[], text: string): Cue | null {
  return cues.find((cue) => cue.pattern.test(text)) ?? null;
}

/** What is said of a condition, a reason or another time is not said of the thing itself. */
const SUBORDINATE =
  /,?\s\b(?:once|when|whenever|as soon as|after|until|till|before|because|since|if|unless|as (?:the|it|they|we|i|my|our|your)|which is why|so that)\b.*$/i;

function mainClause(text: string): string {
  const main = text.replace(SUBORDINATE, "");
  return main.split(/\s+/).length >= 2 ? main : text;
}

/** An ask that wants words and not work: it is answered, as a question is. */
function wantsWords(item: OpenItem): boolean {
  return (
    item.kind === "question" ||
    /^(?:(?:and|also|please|kindly|could you|can you)[\s,]+)*(?:confirm|tell|let (?:me|us) know|advise|say)\b/i.test(
      item.quote,
    )
  );
}

const isDone = OWNER_CUES.find((cue) => cue.change === "done")!.pattern;

const WILL_ANSWER =
  /\b(?:tell|let you know|write|ask|find out|come back|get back|check|answer|report|ring|call|look (?:it|that) up|have a word)\b/i;

function dueIn(context: FollowContext, text: string): DueFound | null {
  return dueOf("promise", text, findDates(text, context.sent, context.settings.calendar, context.settings.figures));
}

const HEADING = /^(?:as (?:for|to|regards)|about|regarding|concerning|on)\b|[:]$/i;

/** The day by which the rest of something comes: said after the words that speak of it. */
function dueOfRest(context: FollowContext, text: string): DueFound | null {
  const at = /\b(?:will|follow\w*|comes?|you['’]ll|get|rest|others?|balance|remain\w*|half|until)\b/i.exec(text)?.index;
  return at === undefined ? null : dueIn(context, text.slice(at));
}

/** What the side that owes an item says of it. */
function saidByOwner(
  context: FollowContext & { partly: ReadonlySet<string> },
  segment: Segment,
  item: OpenItem,
  isNamed: boolean,
): Said | null {
  const { text } = segment;
  if (/\?$/.test(text)) return null;
  const due = dueIn(context, text);
  const to = passedTo(text, context.people, context.writer, new Set([item.asker]));
  if (to && to.person?.address !== item.owner && (isNamed || /\b(?:it|them|that|this|one)\b/i.test(text)))
    return { change: "passed", due, owner: to.person?.address ?? null, isNamed, reason: "somebody else will do it" };
  const cue = firstCue(OWNER_CUES, mainClause(text));
  const isLater = due !== null && item.due !== null && due.day > item.due && !due.others.includes(item.due);
  const promised = (reason: string): Said => {
    if (isLater) return { change: "moved", due, owner: null, isNamed, reason };
    // Whoever takes on what nobody had yet is its owner from then on.
    const isTaken = item.owner === null && item.kind !== "trouble" && item.kind !== "promise";
    return { change: isTaken ? "passed" : "promised", due, owner: isTaken ? context.writer : null, isNamed, reason };
  };
  const done: Said = { change: "done", due: null, owner: null, isNamed, reason: "it is answered" };
  if (wantsWords(item)) {
    if (
      (cue?.change === "promised" || cue?.change === "done") &&
      WILL_ANSWER.test(text) &&
      /\b(?:will|['’]ll|let me)\b/i.test(text)
    )
      return promised("an answer is promised");
    if (item.kind === "question" && cue?.change === "declined") return isNamed ? done : null;
    // "As for the colour" only says what the next words are about.
    return cue || (isNamed && !HEADING.test(text)) ? done : null;
  }
  if (cue?.change === "declined" && due && /\b(?:before|until|till)\b/i.test(text))
    return { change: "moved", due, owner: null, isNamed, reason: "not before that day" };
  if (cue?.change === "moved") {
    if (due === null && !isNamed) return null;
    const isInTime = due !== null && !isLater && item.due !== null && !item.isPromised;
    return isInTime ? promised(cue.name) : { change: "moved", due, owner: null, isNamed, reason: cue.name };
  }
  if (cue?.change === "promised") return promised(cue.name);
  if (cue?.change === "part" && !isDone.test(text)) {
    if (context.partly.has(item.id)) return { change: "part", due, owner: null, isNamed, reason: cue.name };
    return due ? promised("a day is named") : null;
  }
  if (cue)
    return {
      change: cue.change,
      due: cue.change === "part" ? dueOfRest(context, text) : null,
      owner: null,
      isNamed,
      reason: cue.name,
    };
  if (due && (isNamed || text.split(/\s+/).length <= 6)) return promised("a day is named");
  return null;
}

/** What the side that wants an item says of it. */
function saidByAsker(context: FollowContext, segment: Segment, item: OpenItem, isNamed: boolean): Said | null {
  const { text } = segment;
  const cue = firstCue(ASKER_CUES, text);
  if (!cue) return null;
  if (cue.change === "called off") return { change: cue.change, due: null, owner: null, isNamed, reason: cue.name };
  const due = dueIn(context, text);
  if (cue.change === "moved")
    return due && item.due !== due.day && item.kind !== "question"
      ? { change: "moved", due, owner: null, isNamed, reason: cue.name }
      : null;
  if (cue.change === "done" && !isNamed && !/^(?:got|received)\b/i.test(text)) return null;
  return { change: cue.change, due: null, owner: null, isNamed, reason: cue.name };
}

/** Of two changes of one item in one letter, the one that counts; a part of it and the rest make a part. */
function stronger(a: Said, b: Said): Said {
  const kinds = new Set([a.change, b.change]);
  if (kinds.has("part") && !kinds.has("called off")) return { ...(a.change === "part" ? a : b), due: a.due ?? b.due };
  // What names the thing counts before what only follows a sentence that does.
  if (a.isNamed !== b.isNamed) {
    const [named, other] = a.isNamed ? [a, b] : [b, a];
    return named.change === "promised" || named.change === "moved" || named.change === "passed"
      ? { ...named, due: named.due ?? other.due }
      : named;
  }
  const [first, second] = CHANGES.indexOf(a.change) <= CHANGES.indexOf(b.change) ? [a, b] : [b, a];
  return first.change === "promised" || first.change === "moved" || first.change === "passed"
    ? { ...first, due: first.due ?? second.due }
    : first;
}

/** "So it will be Thursday": a day is given for something that is not named. */
function isDayGiven(context: FollowContext, text: string): boolean {
  const cue = firstCue(OWNER_CUES, mainClause(text))?.change;
  return (cue === "promised" || cue === "moved") && dueIn(context, text) !== null;
}

/** Changes of a letter, and the stretches that were understood by them. */
export interface ChangesFound {
  readonly changes: readonly ItemChange[];
  readonly understood: readonly { readonly start: number; readonly end: number; readonly item: string }[];
}

/** An ask that turns to somebody, unlike "the blue one needs another week". */
const TURNS_TO = /\b(?:please|kindly|could|can you|would you|will you|let (?:me|us)|tell (?:me|us))\b|\?$/i;

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
      slip !== undefined && (slip.kind === "ask" || slip.kind === "question") && TURNS_TO.test(segment.text);
    const pointsBack = POINTS_BACK.test(segment.text) || BARE_ANSWER.test(segment.text);
    let about = items.filter((item) => owed.includes(item));
    // What names nothing goes on about the last thing only where it points back to it; a promise of a new thing is its own.
    if (!isNamed && !pointsBack && tellingWords(segment.text).size > 0) about = [];
    if (!isNamed && slip?.kind === "promise" && about.some((item) => changes.get(item.id)?.said.change === "done"))
      about = [];
    const isBare = pointsBack
      ? BARE_ANSWER.test(segment.text) || slip?.kind === "promise"
      : slip?.kind !== "promise" && isDayGiven(context, segment.text);
    if (items.length === 0 && !isAsk && isBare)
      about = bareTargets(
        owed.filter((item) => !changes.has(item.id)),
        segment.text,
      );
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
      const left = wanted.filter((item) => !changes.has(item.id));
      asked = left.length === 1 ? left : [];
    }
    for (const item of asked) {
      const said = saidByAsker(context, segment, item, isNamed);
      if (said) note(item, said, segment);
    }
  }
  answerQuestions(context, owed, slips, changes, consumed, note);
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
      reason: said.reason,
    })),
    understood,
  };
}

const POINTS_TO_WANTED =
  /^(?:got|received|where|any news)\b|\b(?:it|them|yours|that)\b.{0,12}\b(?:any ?more|after all|no longer)\b/i;

const POINTS_BACK =
  /\b(?:it|them|those|these|that|this|one|ones|rest|others?|you(?:['’]ll| will) (?:have|get)|be with you)\b/i;

/** What a bare answer ("Yes.", "You'll have it on Monday.") is an answer to: the only thing open, or the last that was asked. */
function bareTargets(left: readonly OpenItem[], text: string): OpenItem[] {
  if (left.length <= 1 || /\b(?:both|all|everything|neither)\b/i.test(text)) return [...left];
  const newest = Math.max(...left.map((item) => item.letter));
  const last = left.filter((item) => item.letter === newest);
  const isAnswer =
    /^(?:yes|yep|yeah|no|nope|correct|right|exactly|me|mine)\b/i.test(text) &&
    !/\b(?:pleasure|gladly|of course|happily|can do|will do|done)\b/i.test(text);
  const fitting = last.filter((item) => (item.kind === "question") === isAnswer);
  return fitting.length > 0 ? fitting.slice(0, 1) : last.slice(0, 1);
}

/** A question is answered by what its addressee says of it, or, where it is the only one, by whatever else they say first. */
function answerQuestions(
  context: FollowContext,
  owed: readonly OpenItem[],
  slips: readonly FoundSlip[],
  changes: ReadonlyMap<string, unknown>,
  consumed: ReadonlySet<Segment>,
  note: (item: OpenItem, said: Said, segment: Segment) => void,
): void {
  const questions = owed.filter((item) => wantsWords(item) && !changes.has(item.id));
  if (questions.length === 0) return;
  const statements = context.segments.filter(
    (segment) =>
      !/\?$/.test(segment.text) &&
      !slips.some((slip) => slip.start < segment.end && segment.start < slip.end && slip.kind !== "promise"),
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
  const left = questions.filter(
    (item) =>
      !answered.has(item) &&
      !item.isPromised &&
      item.letter === newest &&
      (item.owner ?? context.writer) === context.writer,
  );
  const free = statements.filter((segment) => !consumed.has(segment) && segment.text.split(/\s+/).length <= 14);
  // Answers come in the order of the questions.
  for (const [i, item] of left.entries()) if (left.length <= 2 && free[i]) note(item, done, free[i]);
}
