import { firstNameOf } from "../letters/first-name";
import type { Letter, TextPart } from "../letters/letter";
import { splitText } from "../letters/split-text";
import { findDates } from "../time/dates-in-words";
import { PLAIN_WEEK, type WorkingCalendar } from "../time/day";
import { figuresOf } from "../time/figures-order";
import { dayOf, type Moment } from "../time/moment";
import { type Addressee, calledBehind } from "./addressee";
import { type Clause, clausesIn } from "./clauses";
import { countedBackFromEvent, countedBackFromNamed, countedFromDay, countsFromDay } from "./counted-back";
import { withDayBehind, withDayOfList } from "./day-behind";
import { dueOf } from "./due";
import { dueByContext } from "./due-by-context";
import { estimateOf, speaksOfWorkBefore } from "./estimate";
import { withGrounds } from "./ground-of-ask";
import { hasteIn } from "./haste";
import { type KindRule, type LetterGround, namedIn } from "./kind-rule";
import { isReadable } from "./language";
import { asOneItem, goesOn, isOfPoint, onlySaysWhy } from "./one-item";
import { calledAt, callsSeveral, greetedIn, meantBefore, ownerOf } from "./owner";
import { withSubject, youOf } from "./passage-title";
import { priorityOf, saysHowUrgent, saysOfAll } from "./priority";
import { KIND_RULES } from "./rules/list";
import { listPoint } from "./rules/list-point";
import { markedBefore } from "./rules/marked";
import { beforeName, namedBehind } from "./rules/named-behind";
import { promise } from "./rules/promise";
import { setRightBefore } from "./rules/set-right";
import type { DueFound, FoundSlip, People, Person, Priority, SlipKind } from "./slip";
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

/** The way out of a list that adverts have to give. */
const WAY_OUT =
  /\b(?:unsubscribe|opt[- ]out|manage (?:your )?preferences|view (?:this )?(?:e-?mail )?in (?:your )?browser)\b|\bto (?:stop|no longer) (?:getting|receiving|receive|get) (?:these|our|such|any more|further|this)\b|\b(?:no longer|do not|don['’]t) (?:wish|want) to (?:receive|get|hear from (?:me|us)|be on (?:this|our) (?:mailing )?list)\b/i;

/** Why everybody has it: "You receive this letter because you bought from us." */
const WHY_IT_CAME =
  /\byou(?:['’]re| are)? (?:get|got|have|receive|received|have received|getting|receiving) this (?:e-?mail|mail|letter|message|newsletter|offer) (?:because|as|since) you(?:['’]ve|['’]re| have| are| were)? (?:\w+ )?(?:bought|ordered|purchased|subscribed|signed up|registered|opted|shopped|booked|visited|(?:(?:a|our) )?(?:registered |valued )?(?:customer|subscriber|member|guest))\b/i;

/** To nobody in particular, by a program: opening hours, maintenance, new terms. */
const TO_ANYBODY =
  /^\s*dear (?:valued |all )?(?:customer|client|guest|member|user|subscriber|supplier|partner|resident|tenant)s?\b/i;
const BY_A_PROGRAM =
  /\bthis (?:is an auto\w+|(?:e-?mail|mail|message|letter|notice) (?:was|has been|is) (?:sent |generated )?auto\w+)|\brepl(?:y|ies) to this (?:e-?mail|mail|message|letter|address) (?:are|is|will) not (?:be )?(?:read|answered|monitored|possible)|\b(?:do not|don['’]t) reply to this (?:e-?mail|mail|message|letter)\b/i;

/**
 * A letter to everybody with a way out of the list, or that a program sends to any customer, is an advert, though its headers
 * do not say so; one that answers another, or that people write to each other on a list, is none.
 */
function isAdvert({ text, parts, automatic, references }: Letter, read: readonly TextPart[]): boolean {
  if (automatic === "list" || references.length > 0) return false;
  const footers = parts.filter((part) => part.kind === "footer");
  const all = textOf(text, [...read, ...footers]);
  return WAY_OUT.test(all) || WHY_IT_CAME.test(all) || (TO_ANYBODY.test(all) && BY_A_PROGRAM.test(all));
}

/** Characters before a clause in which the day is looked for that it counts back from. */
const LOOKED_BACK = 400;

/** Why a slip is proposed, in words: the rule, who is meant and by what, and the words of the day. */
function reasonOf(
  { rule, words, isTaught }: Judged,
  owner: Person | null,
  due: DueFound | null,
  clause: Clause,
  addressee: Person | null,
): string {
  const name = owner && firstNameOf(owner.name);
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

/** A slip as urgent as words behind it say; what is said of a whole letter is said of what it asks. */
function withUrgency(slip: FoundSlip, priority: Priority, words: string, isOfAll: boolean): FoundSlip {
  if (isOfAll && slip.kind !== "ask") return slip;
  return { ...slip, priority, reason: `${slip.reason}, “${words}”` };
}

/** A slip with how long its work takes, which its reason says too. */
function withEstimate(slip: FoundSlip, { minutes, words }: { minutes: number; words: string }): FoundSlip {
  return { ...slip, estimate: minutes, reason: `${slip.reason}, “${words}”` };
}

/** A point of notes that ends with whose it is. */
const NAME_ALONE = /^\p{Lu}\p{L}+(?: \p{Lu}\p{L}+)?\.?$/u;

/** Who stands alone at the end of a point of notes; null where it is nobody of the team, or only who wrote it. */
function nameAlone({ text, isListItem }: Clause, { people, writer }: LetterGround): Person | null {
  const one = isListItem && NAME_ALONE.test(text) ? namedIn(text, people.team)[0]?.person : undefined;
  return one && one.id !== writer?.id ? one : null;
}

/** "We would be grateful to receive:", and a thing: it is to be sent. */
const SENT_LEAD = /\b(?:receive|send|require|need|lack|missing|let (?:me|us) have|provide|submit|outstanding)\b/i;
const THING = /^(?:an?|the|your|any|all|both|two|three|copies|proof|details|evidence)\b/i;

/** The words of a clause that its title is made of. */
function titleWords({ rule }: Judged, { text, lead }: Clause): string {
  if (rule === listPoint.name && lead && SENT_LEAD.test(lead) && THING.test(text)) return `Send me ${text}`;
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
    if (callsSeveral(clause.text, everyone)) addressee = null;
    else if (called) addressee = calledBehind(addressee, called, clause, !!calledHere);
    // A name at the head of one point of a list does not hold for the next.
    else if (addressee?.isPoint && clause.block > addressee.block) addressee = null;
    else if (addressee && clause.block > addressee.block + 1 && !clause.isListItem) addressee = null;
    // "Certificate has to be with the council by the 20th. Ruben."
    const noted = lastBlock === clause.block ? slips.at(-1) : undefined;
    const isFor = noted?.kind === "ask" ? nameAlone(clause, ground) : null;
    if (noted && isFor)
      slips[slips.length - 1] = {
        ...noted,
        owner: isFor.address,
        reason: `${noted.reason}, “${clause.text}” stands behind it`,
      };
    // "ruben, count what is left": the order stands behind the name.
    const found =
      judge(clause, ground, rules, learnt, weighed.at[place]!, settings.houseWording) ??
      (calledHere ? judgeBehindName(clause, place) : null);
    const estimate = found && !isWork(found.kind) ? null : estimateOf(clause.text);
    const last = slips.at(-1);
    // "It should not take more than an hour" is said of what was asked before it, in the same paragraph.
    if (!found && estimate && last && isWork(last.kind) && last.estimate === null && lastBlock === clause.block)
      if (speaksOfWorkBefore(clause.text)) slips[slips.length - 1] = withEstimate(last, estimate);
    const isOfAll = saysOfAll(clause.text);
    const urgency = isOfAll || lastBlock === clause.block ? saysHowUrgent(clause.text) : null;
    if (last && urgency) {
      const from = isOfAll ? 0 : slips.length - 1;
      slips.splice(
        from,
        Infinity,
        ...slips.slice(from).map((slip) => withUrgency(slip, urgency, clause.text, isOfAll)),
      );
      continue;
    }
    if (!found || slips.length >= MOST_SLIPS) continue;
    if (last && lastBlock === clause.block && onlySaysWhy(last, clause.text)) continue;
    // Trouble has no due date: its days are not looked for.
    // Nor are days that were over when it was written: nothing can be done by then.
    const dates =
      found.kind === "trouble"
        ? []
        : findDates(clause.text, from, settings.calendar, settings.figures).filter(({ day }) => day >= dayOf(from));
    const lead = clause.row?.by ?? clause.lead;
    const leadDates =
      lead && dates.length === 0 && found.kind !== "trouble"
        ? findDates(lead, from, settings.calendar, settings.figures)
        : [];
    const isCounted = found.kind !== "trouble" && countsFromDay(clause.text);
    const before = () =>
      findDates(
        letter.text.slice(Math.max(0, clause.start - LOOKED_BACK), clause.start),
        from,
        settings.calendar,
        settings.figures,
      );
    const paragraph = Math.max(0, letter.text.lastIndexOf("\n\n", clause.start), clause.start - LOOKED_BACK);
    const inParagraph = letter.text.slice(paragraph, clause.start);
    const namedInParagraph = () => findDates(inParagraph, from, settings.calendar, settings.figures).at(-1);
    const due: DueFound | null =
      (found.kind === "trouble" ? null : countedBackFromNamed(clause.text, dates, settings.calendar)) ??
      (isCounted ? countedFromDay(clause.text, before(), dates) : null) ??
      (found.kind !== "trouble" && dates.length === 0
        ? countedBackFromEvent(
            clause.text,
            letter.text.slice(Math.max(0, clause.start - LOOKED_BACK), clause.start),
            before,
          )
        : null) ??
      dueOf(found.kind, clause.text, dates) ??
      (lead && leadDates.length > 0 ? dueOf(found.kind, lead, leadDates) : null) ??
      dueByContext(found.kind, clause.text, lastDue, before, namedInParagraph, from);
    lastDue = due ?? lastDue;
    const said = priorityOf(clause.text);
    const owner =
      (found.kind === "ask" ? meantBefore(clause.text, inParagraph, everyone) : null) ??
      ownerOf(found.kind, clause, addressee?.person ?? null, ground);
    const slip: FoundSlip = {
      kind: found.kind,
      start: clause.start,
      end: clause.end,
      title: withSubject(
        titleOf(found.kind, titleWords(found, clause), ground.writer, due && dates.length > 0 ? due.words : null, you),
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
    const isSame =
      last &&
      lastBlock === clause.block &&
      (goesOn(last, whole, letter.text) || (clause.isListItem && clause.lead === null && isOfPoint(last, whole)));
    if (isSame) slips[slips.length - 1] = asOneItem(last, whole, letter.text);
    else slips.push(whole);
    lastBlock = clause.block;
  }
  return withGrounds(withDayBehind(withDayOfList(slips, clauses), clauses), clauses);
}
