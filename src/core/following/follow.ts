import type { Letter } from "../letters/letter";
import { readLetter } from "../reading/read-letter";
import { PLAIN_READING, type ReadingSettings } from "../reading/settings";
import type { FoundSlip, People } from "../reading/slip";
import { answering } from "./answering";
import { changesIn } from "./changes-in";
import { contextOf, type FollowContext } from "./context";
import { dueIn } from "./days-named";
import { byEach, eachAsked } from "./each-of-several";
import type { ItemChange, OpenItem } from "./item";
import type { Opened } from "./opened-by";
import { reopened } from "./reopened";
import { LEARNT } from "./weighing/learnt";
import { type Answering, newnessOf } from "./weighing/newness";
import { type Reading, surenessOf } from "./weighing/sureness";
import type { FollowingWeights } from "./weighing/weigh";
import { whatIsNew } from "./what-is-new";

/** What one letter opens, and what it changes of what was open. */
export interface Followed {
  readonly opens: readonly OpenItem[];
  readonly changes: readonly ItemChange[];
}

/** Items that are followed at once; a conversation with more open is a list, and its oldest are left alone. */
const MOST_OPEN = 120;

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
    const slips = readLetter(letter, this.people, sent, { ...this.settings, everyDay: true });
    const found = changesIn(context, open, slips, this.learnt);
    const again = reopened(context, open, over, slips, found, this.learnt);
    const answer = answering(context, open, over, slips, found, again);
    const settled = whatIsNew(answer, this.howNew.bind(this));
    const made = settled.changes.map((one) => {
      const item = this.items.find(({ id }) => id === one.item)!;
      return { item, change: byEach(one, item, context.writer) };
    });
    const changes = made.map(({ change }) => ({ ...change, confidence: this.howSure(answer, change) }));
    for (const { item, change } of made) {
      if (context.sides.wants(context.writer, item)) item.raised = number;
      if (change.change === "part" || change.change === "done")
        item.each = item.each.filter((one) => one !== context.writer);
      applyTo(item, change);
    }
    const opens = settled.slips.map((slip, i) => itemOpened(slip, context, number, i + 1));
    this.items.push(...opens);
    return { opens, changes };
  }

  protected howNew(answer: Answering, slip: FoundSlip): number {
    return newnessOf(answer, slip);
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
