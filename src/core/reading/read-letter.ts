import type { Letter } from "../letters/letter";
import type { Moment } from "../time/moment";
import { type Addressee, turnedTo } from "./addressee";
import { isAdvert } from "./advert";
import { type Clause, clausesIn } from "./clauses";
import { withDayBehind, withDayOfList } from "./day-behind";
import { type DayGround, dueOfClause, paragraphBefore } from "./due-of-clause";
import { estimateOf } from "./estimate";
import { withGrounds } from "./ground-of-ask";
import { hasteIn } from "./haste";
import type { KindRule } from "./kind-rule";
import { isReadable } from "./language";
import { readsLikeNotes } from "./noted";
import { asOneItem, goesOn, isOfPoint, onlySaysWhy } from "./one-item";
import { calledAt, greetedIn, meantBefore, ownerOf } from "./owner";
import { titleWords, withSubject, youOf } from "./passage-title";
import { priorityOf } from "./priority";
import { reasonOf } from "./reason";
import { KIND_RULES } from "./rules/list";
import { markedBefore } from "./rules/marked";
import { setRightBefore } from "./rules/set-right";
import { isWork, withEstimate, withLengthBehind, withNameBehind, withUrgencyBehind } from "./said-behind";
import { forWriter, PLAIN_READING, type ReadingSettings } from "./settings";
import type { DueFound, FoundSlip, People, Person } from "./slip";
import { withThings } from "./thing-meant";
import { titleOf } from "./title";
import { LEARNT_WORDING } from "./weighing/learnt";
import { type Judged, judge } from "./weighing/sense";
import { weighLetter } from "./weighing/weigh-letter";
import { type Reading, readingOf, textOf } from "./what-is-read";

/** Slips proposed from one letter at the most; a letter that seems to ask for more is a list to be read, not sorted. */
const MOST_SLIPS = 40;

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

/** What speaks for nothing in letters of discussion lists, in the logarithm of odds: most of them is talk, and to nobody in particular. */
const DOUBT_ON_LISTS = 2;

/** Makes of what the clauses of a letter are taken for the slips that they come to. */
class SlipMaker {
  private readonly you: string;
  private readonly isUrgent: boolean;
  private readonly days: DayGround;
  private lastDue: DueFound | null = null;

  constructor(
    private readonly letter: Letter,
    private readonly reading: Reading,
    private readonly everyone: readonly Person[],
    settings: ReadingSettings,
  ) {
    const { ground, from } = reading;
    const isOurs = ground.people.team.some((person) => person.id === ground.writer?.id);
    this.you = youOf(
      isOurs,
      ground.to.map(({ name }) => name),
    );
    this.isUrgent = letter.isUrgent || priorityOf(letter.subject) === "high";
    this.days = { text: letter.text, from, settings };
  }

  /** The slip of a clause that is taken for something, with whom it turns to. */
  slipOf(found: Judged, clause: Clause, turned: Person | null): FoundSlip {
    const { letter, everyone } = this;
    const { ground } = this.reading;
    const { kind } = found;
    const { due, isNamedHere } = dueOfClause(kind, clause, this.days, this.lastDue);
    this.lastDue = due ?? this.lastDue;
    const said = priorityOf(clause.text);
    const owner =
      (kind === "ask" ? meantBefore(clause.text, paragraphBefore(letter.text, clause), everyone) : null) ??
      ownerOf(kind, clause, turned, ground);
    const title = titleOf(
      kind,
      titleWords(found, clause),
      ground.writer,
      isNamedHere ? (due?.words ?? null) : null,
      this.you,
    );
    const slip: FoundSlip = {
      kind,
      start: clause.start,
      end: clause.end,
      title: withSubject(title, letter.subject),
      owner: owner && owner.address !== "" ? owner.address : null,
      due,
      priority: said === "normal" && this.isUrgent && kind === "ask" ? "high" : said,
      reason: reasonOf(found, owner, due, clause.text, turned),
      rule: found.rule,
      confidence: found.confidence,
      estimate: null,
      haste: due && hasteIn(due.words),
    };
    const estimate = isWork(kind) ? estimateOf(clause.text) : null;
    return estimate ? withEstimate(slip, estimate) : slip;
  }
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
  const plain = readingOf(letter, people, sent);
  const words = textOf(letter.text, plain.parts);
  if (isAdvert(letter, plain.parts) || !isReadable(words)) return [];
  const everyone = [...people.team, ...people.outside];
  const clauses = clausesIn(letter.text, plain.parts);
  const isNotes = readsLikeNotes(clauses, people.team);
  const ground = { ...plain.ground, greeted: greetedIn(words, everyone), isNotes };
  const maker = new SlipMaker(letter, { ...plain, ground }, everyone, settings);
  const rules = rulesOf(settings);
  const learnt = settings.wording ?? LEARNT_WORDING;
  const weighed = weighLetter(clauses, learnt, letter.automatic === "list" ? DOUBT_ON_LISTS : 0);
  const judged = (clause: Clause, weight: readonly number[]) =>
    judge(clause, ground, rules, learnt, weight, settings.houseWording);
  let slips: FoundSlip[] = [];
  /** The paragraph of the last slip. */
  let lastBlock: number | null = null;
  let addressee: Addressee | null = null;
  for (const [place, clause] of clauses.entries()) {
    addressee = turnedTo(addressee, clause, everyone);
    const isInParagraph = lastBlock === clause.block;
    if (isInParagraph) slips = [...slips.slice(0, -1), withNameBehind(slips.at(-1)!, clause, ground)];
    // "ruben, count what is left": the order stands behind the name.
    const judgedBehind = () => {
      const behind = behindName(clause);
      return judged(behind, weighed.instead(place, behind));
    };
    const found = judged(clause, weighed.at[place]!) ?? (calledAt(clause.text, everyone) ? judgedBehind() : null);
    const estimate = isInParagraph && !found ? estimateOf(clause.text) : null;
    if (estimate) slips = [...slips.slice(0, -1), withLengthBehind(slips.at(-1)!, clause.text, estimate)];
    const urgent = withUrgencyBehind(slips, clause.text, isInParagraph);
    if (urgent) {
      slips = urgent;
      continue;
    }
    const last = isInParagraph ? slips.at(-1) : undefined;
    if (!found || slips.length >= MOST_SLIPS || (last && onlySaysWhy(last, clause.text))) continue;
    const slip = maker.slipOf(found, clause, addressee?.person ?? null);
    const isSame =
      last && (goesOn(last, slip, letter.text) || (clause.isListItem && clause.lead === null && isOfPoint(last, slip)));
    slips = isSame ? [...slips.slice(0, -1), asOneItem(last, slip, letter.text)] : [...slips, slip];
    lastBlock = clause.block;
  }
  return withThings(withGrounds(withDayBehind(withDayOfList(slips, clauses), clauses), clauses), clauses);
}
