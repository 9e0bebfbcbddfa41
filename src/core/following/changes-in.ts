import { dueOf } from "../reading/due";
import type { DueFound, FoundSlip } from "../reading/slip";
import { findDates } from "../time/dates-in-words";
import type { FollowContext } from "./context";
import { ASKER_CUES, type Cue, OWNER_CUES } from "./cues";
import { CHANGES, type ChangeKind, type ItemChange, type OpenItem } from "./item";
import { passedTo } from "./passed-to";
import type { Segment } from "./segments";
import { Topics } from "./topics";

/** A change that a segment may make, before it is held against the others of the letter. */
interface Said {
  readonly change: ChangeKind;
  readonly due: DueFound | null;
  readonly owner: string | null;
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

function dueIn(context: FollowContext, text: string): DueFound | null {
  return dueOf("promise", text, findDates(text, context.sent, context.settings.calendar, context.settings.figures));
}

/** What the side that owes an item says of it. */
function saidByOwner(context: FollowContext, segment: Segment, item: OpenItem, isNamed: boolean): Said | null {
  const { text } = segment;
  if (/\?$/.test(text)) return null;
  const due = dueIn(context, text);
  const to = passedTo(text, context.people, context.writer, new Set([item.asker]));
  if (to && to.person?.address !== item.owner && (isNamed || /\b(?:it|them|that|this|one)\b/i.test(text)))
    return { change: "passed", due, owner: to.person?.address ?? null, reason: "somebody else will do it" };
  const cue = firstCue(OWNER_CUES, text);
  const isLater = due !== null && item.due !== null && due.day > item.due && !due.others.includes(item.due);
  const promised = (reason: string): Said => ({
    change: isLater ? "moved" : "promised",
    due,
    owner: null,
    reason,
  });
  if (cue?.change === "declined" && due && /\b(?:before|until|till)\b/i.test(text))
    return { change: "moved", due, owner: null, reason: "not before that day" };
  if (cue?.change === "done" && item.kind === "question" && due && /\b(?:will|['’]ll)\b/i.test(text))
    return promised("an answer is promised");
  if (cue?.change === "moved")
    return due === null && !isNamed
      ? null
      : {
          change:
            due && !isLater && item.due !== null && !item.isPromised && due.day <= item.due ? "promised" : "moved",
          due,
          owner: null,
          reason: cue.name,
        };
  if (cue?.change === "promised") {
    if (
      item.kind === "question" &&
      due === null &&
      !/\b(?:tell|let you know|write|ask|find out|come back|get back|check|answer)\b/i.test(text)
    )
      return { change: "done", due: null, owner: null, reason: "the question is answered" };
    return promised(cue.name);
  }
  if (cue) return { change: cue.change, due: cue.change === "part" ? due : null, owner: null, reason: cue.name };
  if (due && (isNamed || text.split(/\s+/).length <= 6)) {
    if (item.kind === "question") return { change: "done", due: null, owner: null, reason: "the question is answered" };
    return promised("a day is named");
  }
  return null;
}

/** What the side that wants an item says of it. */
function saidByAsker(context: FollowContext, segment: Segment, item: OpenItem, isNamed: boolean): Said | null {
  const { text } = segment;
  const cue = firstCue(ASKER_CUES, text);
  if (!cue) return null;
  if (cue.change === "called off") return { change: cue.change, due: null, owner: null, reason: cue.name };
  const due = dueIn(context, text);
  if (cue.change === "moved")
    return due && item.due !== due.day && item.kind !== "question"
      ? { change: "moved", due, owner: null, reason: cue.name }
      : null;
  if (cue.change === "done" && !isNamed && !/^(?:got|received)\b/i.test(text)) return null;
  return { change: cue.change, due: null, owner: null, reason: cue.name };
}

/** Of two changes of one item in one letter, the one that counts; a part of it and the rest make a part. */
function stronger(a: Said, b: Said): Said {
  const kinds = new Set([a.change, b.change]);
  if (kinds.has("part")) return { ...(a.change === "part" ? a : b), due: a.due ?? b.due };
  const [first, second] = CHANGES.indexOf(a.change) <= CHANGES.indexOf(b.change) ? [a, b] : [b, a];
  return first.change === "promised" || first.change === "moved" || first.change === "passed"
    ? { ...first, due: first.due ?? second.due }
    : first;
}

/** What a letter changes of the items that are open, in the order of the text. */
export function changesIn(
  context: FollowContext,
  open: readonly OpenItem[],
  slips: readonly FoundSlip[],
): ItemChange[] {
  const { writer, sides, segments } = context;
  const owed = open.filter((item) => sides.owes(writer, item));
  const wanted = open.filter((item) => sides.wants(writer, item));
  const topics = new Topics(open);
  const changes = new Map<string, { said: Said; segment: Segment }>();
  const consumed = new Set<Segment>();
  const note = (item: OpenItem, said: Said, segment: Segment) => {
    const before = changes.get(item.id);
    const counts = before ? stronger(before.said, said) : said;
    changes.set(item.id, {
      said: counts,
      segment: before && counts.change === before.said.change ? before.segment : segment,
    });
    consumed.add(segment);
  };
  for (const segment of segments) {
    if (THANKS_ONLY.test(segment.text)) {
      consumed.add(segment);
      continue;
    }
    const { items, isNamed } = topics.of(segment);
    const asks = slips.find(
      (slip) =>
        (slip.kind === "ask" || slip.kind === "question") && slip.start < segment.end && segment.start < slip.end,
    );
    let about = items.filter((item) => owed.includes(item));
    if (
      about.length === 0 &&
      !asks &&
      items.every((item) => !owed.includes(item)) &&
      BARE_ANSWER.test(segment.text) &&
      items.length === 0
    )
      about = bareTargets(
        owed.filter((item) => !changes.has(item.id)),
        segment.text,
      );
    if (!asks)
      for (const item of about) {
        const said = saidByOwner(context, segment, item, isNamed);
        if (said) note(item, said, segment);
      }
    let asked = items.filter((item) => wanted.includes(item));
    if (asked.length === 0 && items.length === 0 && /^(?:got|received|where|any news)\b/i.test(segment.text)) {
      const left = wanted.filter((item) => !changes.has(item.id));
      asked = left.length === 1 ? left : [];
    }
    for (const item of asked) {
      const said = saidByAsker(context, segment, item, isNamed);
      if (said) note(item, said, segment);
    }
  }
  answerQuestions(context, owed, slips, changes, consumed, note);
  return [...changes].map(([item, { said, segment }]) => ({
    item,
    change: said.change,
    due: said.due?.day ?? null,
    otherDays: said.due?.others ?? [],
    owner: said.owner,
    quote: context.letter.text.slice(segment.start, segment.end),
    start: segment.start,
    end: segment.end,
    reason: said.reason,
  }));
}

/** What a bare answer ("Yes.", "You'll have it on Monday.") is an answer to: the only thing open, or the last that was asked. */
function bareTargets(left: readonly OpenItem[], text: string): OpenItem[] {
  if (left.length <= 1 || /\b(?:both|all|everything|neither)\b/i.test(text)) return [...left];
  const newest = Math.max(...left.map((item) => item.letter));
  const last = left.filter((item) => item.letter === newest);
  const isAnswer = /^(?:yes|yep|yeah|no|nope|correct|right|exactly|me|mine)\b/i.test(text);
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
  const questions = owed.filter((item) => item.kind === "question" && !changes.has(item.id));
  if (questions.length === 0) return;
  const statements = context.segments.filter(
    (segment) =>
      !/\?$/.test(segment.text) &&
      !slips.some((slip) => slip.start < segment.end && segment.start < slip.end && slip.kind !== "promise"),
  );
  const topics = new Topics(questions);
  const done: Said = { change: "done", due: null, owner: null, reason: "the question is answered" };
  const answered = new Set<OpenItem>();
  for (const segment of statements) {
    const { items, isNamed } = topics.of(segment);
    if (!isNamed) continue;
    for (const item of items) {
      if (answered.has(item)) continue;
      answered.add(item);
      note(item, done, segment);
    }
  }
  const left = questions.filter((item) => !answered.has(item));
  const free = statements.find((segment) => !consumed.has(segment) && segment.text.split(/\s+/).length <= 14);
  if (left.length === 1 && free && changes.size <= 1) note(left[0]!, done, free);
}
