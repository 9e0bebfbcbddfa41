import { tellingWords } from "../finding/telling-words";
import type { Letter } from "../letters/letter";
import type { ReadingSettings } from "../reading/settings";
import type { FoundSlip, People, SlipKind } from "../reading/slip";
import { LONGEST_TITLE } from "../tasks/task";
import type { Day } from "../time/day";
import type { Moment } from "../time/moment";
import { answering } from "./answering";
import { CHANGE_WORDS } from "./change-words";
import { changesIn } from "./changes-in";
import { contextOf } from "./context";
import { type FoundChange, type ItemChange, type OpenItem, opensAgain } from "./item";
import { reopened } from "./reopened";
import { isSame } from "./stretch";
import { LEARNT } from "./weighing/learnt";
import { newnessOf } from "./weighing/newness";
import { surenessOf } from "./weighing/sureness";
import { whatIsNew } from "./what-is-new";

/** A task of a conversation, as an answer is held against it. Addresses are in lower case. */
export interface OpenTask {
  readonly id: string;
  readonly conversationId: string;
  readonly title: string;
  /** The words it came from; null where it was made by hand. */
  readonly passage: string | null;
  readonly kind: SlipKind;
  readonly owner: string | null;
  /** Who wants it: the writer of its letter; of a promise whoever it was given to. */
  readonly asker: string;
  readonly due: Day | null;
  /** When its letter was sent, or it was made by hand; milliseconds since 1970. */
  readonly askedAt: number;
  /** Whether it is done or called off: only what plainly opens it again is said of it. */
  readonly isOver: boolean;
}

/** The tasks as items, each in its place in the letter that asked for it, and the letters counted in the order in which they came. */
function asItems(tasks: readonly OpenTask[]): OpenItem[] {
  const moments = [...new Set(tasks.map(({ askedAt }) => askedAt))].sort((a, b) => a - b);
  const places = moments.map(() => 0);
  return tasks.map((task) => {
    const letter = moments.indexOf(task.askedAt);
    places[letter]! += 1;
    return asItem(task, letter, places[letter]!);
  });
}

function asItem(task: OpenTask, letter: number, place: number): OpenItem {
  const quote = task.passage ?? task.title;
  return {
    id: task.id,
    kind: task.kind,
    quote,
    start: 0,
    end: quote.length,
    owner: task.owner,
    asker: task.asker,
    due: task.due,
    otherDays: [],
    letter,
    raised: letter,
    place,
    words: tellingWords(`${quote} ${task.title}`),
    each: [],
    proposes: null,
    isPromised: task.kind === "promise",
    isOver: task.isOver,
    overBy: 1,
  };
}

function asFound(change: ItemChange, confidence: number, task: OpenTask): FoundChange {
  return {
    kind: task.kind,
    start: change.start,
    end: change.end,
    title: `${CHANGE_WORDS[change.change]}: ${task.title}`.slice(0, LONGEST_TITLE),
    owner: change.owner,
    due: change.due === null ? null : { day: change.due, time: null, others: change.otherDays, words: change.quote },
    priority: "normal",
    estimate: null,
    haste: null,
    rule: change.reason,
    reason: `an answer about this task, ${change.reason}`,
    confidence,
    changes: { taskId: task.id, conversationId: task.conversationId, change: change.change },
  };
}

/**
 * An answer held against the tasks of its conversation: what it does to them, as changes to be offered, and of its slips
 * those that are new. Of tasks that are over it says only what opens them again. Without tasks the slips come back as they were.
 * @param slips what the letter asks when it is read by itself
 * @param sent the letter's own moment, from which its days count
 */
export function changesOfTasks(
  letter: Letter,
  tasks: readonly OpenTask[],
  people: People,
  sent: Moment,
  settings: ReadingSettings,
  slips: readonly FoundSlip[],
): (FoundSlip | FoundChange)[] {
  const context = tasks.length > 0 ? contextOf(letter, people, sent, settings) : null;
  if (!context) return [...slips];
  const items = asItems(tasks);
  const [open, over] = [items.filter(({ isOver }) => !isOver), items.filter(({ isOver }) => isOver)];
  const found = changesIn(context, open, slips);
  const again = reopened(context, open, over, slips, found, LEARNT).filter(({ change }) => opensAgain(change));
  const answer = answering(context, open, over, slips, found, again);
  const settled = whatIsNew(answer);
  // Where people look through what is found, what may well be new is shown too, as unsure.
  const doubtful = answer.fresh
    .filter((slip) => !settled.slips.some(isSame(slip)))
    .map((slip) =>
      open.length === 0 ? slip : { ...slip, confidence: Math.min(slip.confidence, newnessOf(answer, slip)) },
    );
  const changes = settled.changes.map((change) =>
    asFound(change, surenessOf(answer, change), tasks.find((task) => task.id === change.item)!),
  );
  const unlike = [...settled.slips, ...doubtful].map(({ words: _words, ...slip }) => slip);
  return [...unlike, ...changes].sort((a, b) => a.start - b.start);
}
