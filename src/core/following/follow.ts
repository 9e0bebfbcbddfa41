import type { Letter } from "../letters/letter";
import { readLetter } from "../reading/read-letter";
import { PLAIN_READING, type ReadingSettings } from "../reading/settings";
import type { People } from "../reading/slip";
import { isByWordingAlone } from "../reading/weighing/sense";
import { isAnswerWithPlease, TURNS_TO } from "./bare-answer";
import { type ChangesFound, changesIn } from "./changes-in";
import { contextOf, type FollowContext } from "./context";
import { byEach, eachAsked } from "./each-of-several";
import type { ItemChange, OpenItem } from "./item";
import { type Opened, openedBy } from "./opened-by";
import { reopened } from "./reopened";
import { dueIn } from "./said";
import { LEARNT } from "./weighing/learnt";
import { type Reading, surenessOf } from "./weighing/sureness";
import type { FollowingWeights } from "./weighing/weigh";

/** What one letter opens, and what it changes of what was open. */
export interface Followed {
  readonly opens: readonly OpenItem[];
  readonly changes: readonly ItemChange[];
}

/** Items that are followed at once; a conversation with more open is a list, and its oldest are left alone. */
const MOST_OPEN = 120;

/** What is proposed by its wording alone opens something from this confidence on. */
const PLAIN_ENOUGH = 0.5;

/** How sure an ask must be to open something in an answer. */
const PLAIN_IN_ANSWER = 0.7;

/** How sure an ask or a promise must be to open something by words that may well speak of what is open. */
const PLAIN_BESIDE_OPEN = 0.9;

/** "I've put a kilo on the lorry": nothing is promised by what was done. */
const HAS_DONE =
  /^(?:and |so |but )?(?:i|we)(?:['’]ve| have) (?!to\b|got to\b)\w+(?!.*\b(?:will|shall|going to)\b|.*['’]ll\b)/i;

/**
 * Whether a slip opens something where nobody is there to keep or brush it off: one that is wrong also takes the answers that
 * belong to others.
 */
function isPlain(
  { kind, rule, confidence, start, end }: Opened,
  text: string,
  isAnswer: boolean,
  likely: ChangesFound["likely"],
): boolean {
  // "Can I have the van for two days?": whoever puts it as a question answers nothing.
  const isPut = kind === "question" || text[end - 1] === "?";
  const quote = text.slice(start, end);
  // "I need to know what you'd like": whoever turns to the other side answers nothing by it.
  if (kind === "ask" && !isByWordingAlone(rule) && TURNS_TO.test(quote) && !isAnswerWithPlease(quote)) return true;
  if (!isPut && confidence < PLAIN_BESIDE_OPEN && likely.some((one) => one.start < end && start < one.end))
    return false;
  if (kind === "promise" && isByWordingAlone(rule) && HAS_DONE.test(quote)) return false;
  // Who owes an answer gives one, rather than asking for something by half a sentence.
  if (isAnswer && !isPut && kind === "ask" && confidence < PLAIN_IN_ANSWER) return false;
  // How things stand is told in an answer too, and sounds like trouble: then a rule must know it.
  if (isAnswer && kind === "trouble" && isByWordingAlone(rule)) return false;
  return confidence >= PLAIN_ENOUGH || !isByWordingAlone(rule);
}

/**
 * Follows one conversation: letter by letter, in the order of their dates, what each asks anew and what it does to what was
 * asked before. Machines' letters do nothing. Never throws on foreign text.
 */
export class Following {
  private readonly items: OpenItem[] = [];
  private count = 0;

  constructor(
    private readonly people: People,
    private readonly settings: ReadingSettings = PLAIN_READING,
    private readonly learnt: FollowingWeights = LEARNT,
  ) {}

  read(letter: Letter): Followed {
    const number = this.count;
    this.count += 1;
    const sent = { at: letter.sentAt ?? 0, zone: letter.offset };
    const context = contextOf(letter, this.people, sent, this.settings);
    if (!context) return { opens: [], changes: [] };
    const open = this.items.filter((item) => !item.isOver).slice(-MOST_OPEN);
    const over = this.items.filter((item) => item.isOver).slice(-MOST_OPEN);
    const slips = readLetter(letter, this.people, sent, this.settings);
    const found = changesIn(context, open, slips, this.learnt);
    const again = reopened(context, open, over, slips, found, this.learnt);
    const opened = openedBy(
      context,
      [...open, ...over.filter(({ id }) => again.some(({ item }) => item === id))],
      slips,
      {
        changes: [...found.changes, ...again].sort((a, b) => a.start - b.start),
        understood: [...found.understood, ...again],
      },
    );
    const made = opened.changes.map((one) => {
      const item = this.items.find(({ id }) => id === one.item)!;
      return { item, change: byEach(one, item, context.writer) };
    });
    const reading = { context, slips, looked: found.looked };
    const changes = made.map(({ change }) => ({ ...change, confidence: this.howSure(reading, change) }));
    for (const { item, change } of made) {
      if (context.sides.wants(context.writer, item)) item.raised = number;
      if (change.change === "part" || change.change === "done")
        item.each = item.each.filter((one) => one !== context.writer);
      applyTo(item, change);
    }
    const isAnswer = open.some((item) => item.kind !== "trouble" && context.sides.owes(context.writer, item));
    const plain = opened.slips.filter((slip) => isPlain(slip, letter.text, isAnswer, found.likely));
    const opens = plain.map((slip, i) => itemOpened(slip, context, number, i + 1));
    this.items.push(...opens);
    return { opens, changes };
  }

  protected howSure(reading: Reading, change: ItemChange): number {
    return surenessOf(reading, change);
  }
}

/** Makes an item what a change has made of it. */
export function applyTo(
  item: OpenItem,
  change: Pick<ItemChange, "change" | "due" | "owner"> & { readonly confidence?: number },
): void {
  item.isOver = change.change === "done" || change.change === "called off" || change.change === "declined";
  item.overBy = change.confidence ?? 1;
  if (change.change === "promised" || change.change === "moved") item.isPromised = true;
  if (change.due) item.due = change.due;
  if (change.change === "passed") item.owner = change.owner;
}

/** An item as a letter opens it. `number` counts letters from nought, `place` what one letter opens from one. */
export function itemOpened(slip: Opened, context: FollowContext, number: number, place: number): OpenItem {
  const { letter } = context;
  const quote = letter.text.slice(slip.start, slip.end);
  return {
    id: `${number + 1}-${place}`,
    kind: slip.kind,
    quote,
    start: slip.start,
    end: slip.end,
    owner: slip.owner,
    // A promise is wanted by whom it was given to.
    asker: slip.kind === "promise" ? (letter.to[0]?.address ?? "") : letter.from!.address,
    due: slip.due?.day ?? null,
    otherDays: slip.due?.others ?? [],
    letter: number,
    raised: number,
    place,
    words: slip.words,
    each: eachAsked(
      slip,
      quote,
      letter.to.map(({ address }) => address),
    ),
    proposes: slip.kind === "question" ? (dueIn(context, quote)?.day ?? null) : null,
    isPromised: slip.kind === "promise",
    isOver: false,
    overBy: 1,
  };
}

/** Follows a whole conversation at once. */
export function followConversation(
  letters: readonly Letter[],
  people: People,
  settings: ReadingSettings = PLAIN_READING,
  learnt: FollowingWeights = LEARNT,
): Followed[] {
  const following = new Following(people, settings, learnt);
  return letters.map((letter) => following.read(letter));
}
