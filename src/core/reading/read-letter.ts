import type { Letter, TextPart } from "../letters/letter";
import { splitText } from "../letters/split-text";
import { type FoundDate, findDates } from "../time/dates-in-words";
import { addDays, PLAIN_WEEK, type WorkingCalendar } from "../time/day";
import { figuresOf } from "../time/figures-order";
import { dayOf, type Moment, timeOf } from "../time/moment";
import { findTimes } from "../time/rules/time-of-day";
import { type Clause, clausesIn } from "./clauses";
import { countedBack, countedBackFromEvent, countsBack } from "./counted-back";
import { dueOf, isRecurring, TOLD } from "./due";
import { estimateOf, speaksOfWorkBefore } from "./estimate";
import { hasteIn } from "./haste";
import { type KindRule, type LetterGround, namedIn } from "./kind-rule";
import { isReadable } from "./language";
import { asOneItem, goesOn } from "./one-item";
import { calledAt, greetedIn, ownerOf } from "./owner";
import { withSubject, youOf } from "./passage-title";
import { priorityOf, saysHowUrgent } from "./priority";
import { KIND_RULES } from "./rules/list";
import { markedBefore } from "./rules/marked";
import { beforeName, namedBehind } from "./rules/named-behind";
import { promise } from "./rules/promise";
import { setRightBefore } from "./rules/set-right";
import type { DueFound, FoundSlip, People, Person, SlipKind } from "./slip";
import { titleOf } from "./title";
import { LEARNT_WORDING } from "./weighing/learnt";
import { type Judged, judge } from "./weighing/sense";
import type { NameWeights, WordingWeights } from "./weighing/shares";
import { weighLetter } from "./weighing/weigh-letter";

/** Slips proposed from one letter at the most; a letter that seems to ask for more is a list to be read, not sorted. */
const MOST_SLIPS = 40;

/** What speaks for nothing in letters of discussion lists, in the logarithm of odds: most of them is talk, and to nobody in particular. */
const DOUBT_ON_LISTS = 2;

/** Characters of new text that are read. */
const MOST_TEXT_READ = 60_000;

/** Settings of the organisation that reading needs. */
export interface ReadingSettings {
  readonly calendar: WorkingCalendar;
  readonly figures: "dmy" | "mdy";
  /** Whether letters of discussion lists are read too; otherwise they ask nothing, like all that programs hand on (RFC 2369, 2919). */
  readonly readsLists?: boolean;
  /** Phrases that people marked by hand in earlier letters of the writer, as `phraseOf` makes them. */
  readonly marked?: readonly string[];
  /** What phrases of the writer are that were read as something else, as `phraseOf` makes them. */
  readonly setRight?: ReadonlyMap<string, SlipKind>;
  /** How asks, questions, promises and trouble are worded; by default as labelled passages teach. */
  readonly wording?: WordingWeights;
  /** What wording says more in this organisation. */
  readonly houseWording?: readonly NameWeights[];
}

/** The settings for one letter: writers overseas order figures in their own way. */
export function forWriter(house: ReadingSettings, { offset }: Pick<Letter, "offset">): ReadingSettings {
  return { ...house, figures: figuresOf(offset, house.figures) };
}

export const PLAIN_READING: ReadingSettings = { calendar: PLAIN_WEEK, figures: "dmy" };

function personFor(address: string, people: People): Person | null {
  return people.team.find((p) => p.address === address) ?? people.outside.find((p) => p.address === address) ?? null;
}

function groundOf(letter: Letter, people: People): LetterGround {
  return {
    writer: letter.from ? known(letter.from, people) : null,
    to: letter.to.slice(0, 20).map((who) => known(who, people)),
    people,
  };
}

function known(who: { name: string; address: string }, people: People): Person {
  return (
    personFor(who.address, people) ??
    // Programs that pass letters on often leave the address out.
    (who.address === "" ? [...people.team, ...people.outside].find((p) => p.name === who.name) : undefined) ?? {
      id: who.address,
      name: who.name || who.address,
      address: who.address,
    }
  );
}

/** Longest line with which a forwarder may say nothing of their own. */
const LONGEST_COVER_LINE = 120;

/** What is said when a letter is only passed on: "see below, can you handle this one please". */
const COVER_LINE =
  /\b(?:hi|hello|see below|below|fyi|for (?:your )?information|for you|as discussed|(?:can|could|would) you|please|pls|kindly|handle|deal with|take|look (?:at|after)|this|it|one|thanks|thank you|many thanks)\b/gi;

/** What of a letter is read, who wrote it, and the moment from which its dates count. */
interface Reading {
  readonly parts: readonly TextPart[];
  readonly ground: LetterGround;
  readonly from: Moment;
}

/**
 * New text is read; the letter that is passed on only where its forwarder adds nothing of their own. Then its writer and
 * its date count, and "you" is whom it was passed on to.
 */
function readingOf(letter: Letter, people: People, from: Moment): Reading {
  const ground = groundOf(letter, people);
  const fresh = letter.parts.filter((part) => part.kind === "new");
  const own = fresh
    .map((part) => letter.text.slice(part.start, part.end))
    .join(" ")
    .trim();
  const forwarded = letter.parts.filter((part) => part.kind === "forwarded");
  const addsNothing =
    !/\p{L}/u.test(
      own
        .slice(0, LONGEST_COVER_LINE)
        .replace(COVER_LINE, "")
        .replace(/(?<=^|[\s,])\p{Lu}\p{L}+(?=[\s,.!]|$)/gu, ""),
    ) && own.length < LONGEST_COVER_LINE;
  if (forwarded.length === 0 || !addsNothing) return { parts: fresh.map(capped), ground, from };
  const inner = letter.passedOn;
  if (!inner) return { parts: forwarded.map((part) => ({ ...capped(part), kind: "new" as const })), ground, from };
  const parts = splitText(letter.text.slice(inner.start, inner.end), false)
    .filter((part) => part.kind === "new")
    .map((part) => capped({ kind: "new", start: inner.start + part.start, end: inner.start + part.end }));
  return {
    parts,
    ground: { ...ground, writer: known(inner.from, people) },
    from: inner.sentAt === null ? from : { at: inner.sentAt, zone: inner.offset },
  };
}

function capped(part: TextPart): TextPart {
  return { ...part, end: Math.min(part.end, part.start + MOST_TEXT_READ) };
}

function textOf(text: string, parts: readonly TextPart[]): string {
  return parts.map((part) => text.slice(part.start, part.end)).join("\n");
}

/**
 * A letter to everybody with a way out of the list is an advert, though its headers do not say so; one that answers another,
 * or that people write to each other on a list, is none.
 */
function isAdvert({ text, parts, automatic, references }: Letter, read: readonly TextPart[]): boolean {
  if (automatic === "list" || references.length > 0) return false;
  const footers = parts.filter((part) => part.kind === "footer");
  return /\b(?:unsubscribe|opt[- ]out|manage (?:your )?preferences|view (?:this )?(?:e-?mail )?in (?:your )?browser)\b/i.test(
    textOf(text, [...read, ...footers]),
  );
}

/** Characters before a clause in which the day is looked for that it counts back from. */
const LOOKED_BACK = 400;

/** Words that can count back from an event: most clauses have none. */
const COUNTS_BACK = /\b(?:days?|weeks?) (?:before|ahead of|prior to)\b/i;

/** Somebody is to be somewhere at a time: "be there at nine", "someone's in after four". */
const AT_A_TIME =
  /\b(?:be (?:there|here|in|present|on site|ready)|is in|['’]s in|in|there|come|meet)\b.{0,20}\b(?:at|after|from|before|by)\s+\S+$/i;

/** A limit that is only a time of day: "before nine" is today, or tomorrow where nine is past. */
const TIME_LIMIT = /\b(?:by|before|until|till|no later than)\s*$/i;

/** The day by which something is due where no day is named: "by the same date", "before nine". */
function dueByContext(
  kind: SlipKind,
  text: string,
  last: DueFound | null,
  before: () => readonly FoundDate[],
  inParagraph: () => FoundDate | undefined,
  from: Moment,
): DueFound | null {
  if (kind === "trouble" || kind === "question" || isRecurring(text)) return null;
  const same =
    /\b(?:(?:by|until|on|before|no later than|not later than) (?:the same (?:date|day)|then|that (?:date|day))|on the day)\b/i.exec(
      text,
    );
  if (same && TOLD.test(text.slice(0, same.index))) return null;
  const named = same && before().at(-1);
  if (same && named) return { day: named.day, time: named.time, others: named.others, words: same[0] };
  if (same && last) return { ...last, words: same[0] };
  if (/^(?:please |and |but )*(?:do not|don['’]t|never|no\b|nobody|nothing)|\bno \p{L}+ in\b/iu.test(text)) return null;
  // "It comes on Tuesday. Somebody should be there at nine.": on the day that was just named.
  const times = findTimes(text);
  const at = times.find((time) => AT_A_TIME.test(`${text.slice(0, time.start)}${text.slice(time.start, time.end)}`));
  const day = at && inParagraph();
  if (at && day && day.day > dayOf(from))
    return { day: day.day, time: at.time, others: day.others, words: text.slice(at.start, at.end) };
  const soon = kind === "promise" ? times.find(({ time }) => time > timeOf(from)) : undefined;
  if (soon && /\bat\s/i.test(text.slice(Math.max(0, soon.start - 4), soon.end)))
    return { day: dayOf(from), time: soon.time, others: [], words: text.slice(soon.start, soon.end) };
  const limit = times.find(
    (time) => TIME_LIMIT.test(text.slice(0, time.start)) || TIME_LIMIT.test(`${text.slice(time.start).split(" ")[0]} `),
  );
  if (!limit) return null;
  const today = dayOf(from);
  return {
    day: limit.time > timeOf(from) ? today : addDays(today, 1),
    time: limit.time,
    others: [],
    words: text.slice(limit.start, limit.end),
  };
}

/** Why a slip is proposed, in words: the rule, who is meant and by what, and the words of the day. */
function reasonOf(
  { rule, words, isTaught }: Judged,
  owner: Person | null,
  due: DueFound | null,
  clause: Clause,
  addressee: Person | null,
): string {
  const name = owner?.name.split(/\s+/)[0];
  const who =
    owner === null || rule === promise.name
      ? null
      : namedIn(clause.text, [owner]).length > 0
        ? `“${name}” is named`
        : owner.id === addressee?.id
          ? `${name} was called above`
          : `it is written to ${name} alone`;
  const taught = isTaught ? "like passages were dealt with so here" : null;
  return [rule, ...words.map((word) => `“${word}”`), taught, who, due && `“${due.words}”`].filter(Boolean).join(", ");
}

/** Whether slips of a kind are work, which takes its time. */
function isWork(kind: SlipKind): boolean {
  return kind === "ask" || kind === "promise";
}

/** A slip with how long its work takes, which its reason says too. */
function withEstimate(slip: FoundSlip, { minutes, words }: { minutes: number; words: string }): FoundSlip {
  return { ...slip, estimate: minutes, reason: `${slip.reason}, “${words}”` };
}

/** Whom the text turns to, and since which block of it. */
interface Addressee {
  readonly person: Person;
  readonly block: number;
  /** Whether the name is that of one point of a list, and does not hold for the next. */
  readonly isPoint: boolean;
}

/** Whom the text turns to after a name is called. Of lines that each call another, as in a list, none holds for what follows. */
function calledBehind(
  before: Addressee | null,
  person: Person,
  { block, isListItem }: Clause,
  isHere: boolean,
): Addressee {
  const isOneOfSeveral = before !== null && before.block === block - 1 && before.person.id !== person.id;
  return { person, block, isPoint: isHere && (isListItem || isOneOfSeveral) };
}

/** The words of a clause that its title is made of. */
function titleWords({ rule }: Judged, text: string): string {
  return rule === namedBehind.name ? beforeName(text) : text;
}

/** A clause without the name with which it begins. */
function behindName(clause: Clause): Clause {
  return { ...clause, text: clause.text.replace(/^[^,:–—-]{1,60}[,:–—-]\s*/, "") };
}

/** The rules, behind those that people taught of the writer. */
function rulesOf({ marked = [], setRight }: ReadingSettings): readonly KindRule[] {
  const taught = [
    ...(setRight && setRight.size > 0 ? [setRightBefore(setRight)] : []),
    ...(marked.length > 0 ? [markedBefore(marked)] : []),
  ];
  return taught.length > 0 ? [...taught, ...KIND_RULES] : KIND_RULES;
}

/**
 * What a letter asks of whom, by when: passages of its new text as proposed slips, in the order of the text.
 * Dates count from the letter's own Date in the writer's zone, given as `sent`. Machines' letters ask nothing. Never throws
 * on foreign text.
 */
export function readLetter(
  letter: Letter,
  people: People,
  sent: Moment,
  house: ReadingSettings = PLAIN_READING,
): FoundSlip[] {
  const settings = forWriter(house, letter);
  if (letter.automatic && !(letter.automatic === "list" && settings.readsLists)) return [];
  const { parts, ground: plain, from } = readingOf(letter, people, sent);
  if (isAdvert(letter, parts) || !isReadable(textOf(letter.text, parts))) return [];
  const everyone = [...people.team, ...people.outside];
  const ground = { ...plain, greeted: greetedIn(textOf(letter.text, parts), everyone) };
  const isUrgentLetter = letter.isUrgent || priorityOf(letter.subject) === "high";
  const isOurs = people.team.some((person) => person.id === ground.writer?.id);
  const you = youOf(
    isOurs,
    ground.to.map(({ name }) => name),
  );
  const rules = rulesOf(settings);
  const learnt = settings.wording ?? LEARNT_WORDING;
  const clauses = clausesIn(letter.text, parts);
  const weighed = weighLetter(clauses, learnt, letter.automatic === "list" ? DOUBT_ON_LISTS : 0);
  const judgeBehindName = (clause: Clause, place: number) => {
    const behind = behindName(clause);
    return judge(behind, ground, rules, learnt, weighed.instead(place, behind), settings.houseWording);
  };
  const slips: FoundSlip[] = [];
  let lastDue: DueFound | null = null;
  /** The paragraph of the last slip. */
  let lastBlock: number | null = null;
  let addressee: Addressee | null = null;
  for (const [place, clause] of clauses.entries()) {
    const calledHere = calledAt(clause.text, everyone);
    const called = calledHere ?? (clause.lead ? calledAt(clause.lead, everyone) : null);
    if (called) {
      addressee = calledBehind(addressee, called, clause, !!calledHere);
    }
    // A name at the head of one point of a list does not hold for the next.
    else if (addressee?.isPoint && clause.block > addressee.block) addressee = null;
    else if (addressee && clause.block > addressee.block + 1 && !clause.isListItem) addressee = null;
    // "ruben, count what is left": the order stands behind the name.
    const found =
      judge(clause, ground, rules, learnt, weighed.at[place]!, settings.houseWording) ??
      (calledHere ? judgeBehindName(clause, place) : null);
    const estimate = found && !isWork(found.kind) ? null : estimateOf(clause.text);
    const last = slips.at(-1);
    // "It should not take more than an hour" is said of what was asked before it, in the same paragraph.
    if (!found && estimate && last && isWork(last.kind) && last.estimate === null && lastBlock === clause.block)
      if (speaksOfWorkBefore(clause.text)) slips[slips.length - 1] = withEstimate(last, estimate);
    const urgency = last && lastBlock === clause.block ? saysHowUrgent(clause.text) : null;
    if (last && urgency) {
      slips[slips.length - 1] = { ...last, priority: urgency, reason: `${last.reason}, “${clause.text}”` };
      continue;
    }
    if (!found || slips.length >= MOST_SLIPS) continue;
    // Trouble has no due date: its days are not looked for.
    const dates = found.kind === "trouble" ? [] : findDates(clause.text, from, settings.calendar, settings.figures);
    const leadDates =
      clause.lead && dates.length === 0 && found.kind !== "trouble"
        ? findDates(clause.lead, from, settings.calendar, settings.figures)
        : [];
    const back = found.kind !== "trouble" && countsBack(clause.text);
    const before = () =>
      findDates(
        letter.text.slice(Math.max(0, clause.start - LOOKED_BACK), clause.start),
        from,
        settings.calendar,
        settings.figures,
      );
    const namedInParagraph = () => {
      const paragraph = letter.text.lastIndexOf("\n\n", clause.start);
      return findDates(
        letter.text.slice(Math.max(0, paragraph, clause.start - LOOKED_BACK), clause.start),
        from,
        settings.calendar,
        settings.figures,
      ).at(-1);
    };
    const due: DueFound | null =
      (back ? countedBack(clause.text, [...before(), ...dates]) : null) ??
      (found.kind !== "trouble" && dates.length === 0 && COUNTS_BACK.test(clause.text)
        ? countedBackFromEvent(
            clause.text,
            letter.text.slice(Math.max(0, clause.start - LOOKED_BACK), clause.start),
            before(),
          )
        : null) ??
      dueOf(found.kind, clause.text, dates) ??
      (leadDates.length > 0 ? dueOf(found.kind, clause.lead!, leadDates) : null) ??
      dueByContext(found.kind, clause.text, lastDue, before, namedInParagraph, from);
    lastDue = due ?? lastDue;
    const said = priorityOf(clause.text);
    const owner = ownerOf(found.kind, clause, addressee?.person ?? null, ground);
    const slip: FoundSlip = {
      kind: found.kind,
      start: clause.start,
      end: clause.end,
      title: withSubject(
        titleOf(
          found.kind,
          titleWords(found, clause.text),
          ground.writer,
          due && dates.length > 0 ? due.words : null,
          you,
        ),
        letter.subject,
      ),
      owner: owner && owner.address !== "" ? owner.address : null,
      due,
      priority: said === "normal" && isUrgentLetter && found.kind === "ask" ? "high" : said,
      reason: reasonOf(found, owner, due, clause, addressee?.person ?? null),
      rule: found.rule,
      confidence: found.confidence,
      estimate: null,
      haste: due && hasteIn(due.words),
    };
    const whole = estimate ? withEstimate(slip, estimate) : slip;
    if (last && lastBlock === clause.block && goesOn(last, whole, letter.text))
      slips[slips.length - 1] = asOneItem(last, whole, letter.text);
    else slips.push(whole);
    lastBlock = clause.block;
  }
  return slips;
}
