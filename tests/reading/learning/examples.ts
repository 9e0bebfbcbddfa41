import { changesIn } from "@/core/following/changes-in";
import { contextOf, type FollowContext } from "@/core/following/context";
import { applyTo, itemOpened } from "@/core/following/follow";
import { CHANGES, type OpenItem } from "@/core/following/item";
import { openedBy } from "@/core/following/opened-by";
import type { Segment } from "@/core/following/segments";
import { answerPlaces } from "@/core/following/weighing/answer-runs";
import { Evidence } from "@/core/following/weighing/evidence";
import { situationOf } from "@/core/following/weighing/situation";
import { type FollowingWeights, NOTHING_LEARNT } from "@/core/following/weighing/weigh";
import { readLetter } from "@/core/reading/read-letter";
import { PLAIN_READING } from "@/core/reading/settings";
import { LEARNT_WORDING } from "@/core/reading/weighing/learnt";
import { type PackedRuns, packRuns } from "@/core/reading/weighing/packed-runs";
import type { Weights } from "@/core/reading/weighing/shares";
import {
  CONVERSATION_SETS,
  type ConversationSet,
  FOLLOWED_PLAIN,
  labelledConversations,
  UNLEARNT_CONVERSATIONS,
} from "../conversations";
import { PEOPLE } from "../labelled";
import { overlap, squash } from "../overlap";
import { labelledAnswers } from "./answers";
import { labelledExchanges } from "./exchanges";
import { type Example, learn } from "./logistic";
import { plainAnswers } from "./plain-answers";
import { learnRuns } from "./word-runs";

/** One segment beside an item: what was found in it, and where its runs of words are looked for. */
interface AnswerExample extends Example {
  readonly places: readonly string[];
}

/** Letters are read here as they are where they are followed. */
const EVERY_DAY = { ...PLAIN_READING, everyDay: true };

/** Examples of what a segment does to an item: nothing (0), or a change by its place in `CHANGES` (from 1). */
function examplesOf(
  context: FollowContext,
  open: readonly OpenItem[],
  changeOf: (item: OpenItem, segment: Segment) => string | null,
  slips = readLetter(context.letter, PEOPLE, context.sent, EVERY_DAY),
): AnswerExample[] {
  const situation = situationOf(context, open, slips);
  const evidence = new Evidence(situation);
  return open.flatMap((item) =>
    situation.segments.map((segment) => ({
      found: evidence.of(segment, item),
      places: answerPlaces(situation, segment, item),
      is: CHANGES.indexOf(changeOf(item, segment) as (typeof CHANGES)[number]) + 1,
    })),
  );
}

/** What the labels of one set of conversations teach. After each letter the items are as the labels say, not as they were followed. */
async function taughtBy(set: ConversationSet): Promise<AnswerExample[]> {
  const examples: AnswerExample[] = [];
  for (const letters of await labelledConversations(set)) {
    const items = new Map<string, OpenItem>();
    for (const [number, { letter, opens, changes }] of letters.entries()) {
      const context = contextOf(letter, PEOPLE, { at: letter.sentAt ?? 0, zone: letter.offset }, PLAIN_READING);
      if (!context) continue;
      const open = [...items.values()].filter((item) => !item.isOver);
      const slips = readLetter(letter, PEOPLE, context.sent, EVERY_DAY);
      const changeOf = (item: OpenItem, segment: Segment) => {
        const label = changes.find((one) => items.get(one.item) === item);
        return label && overlap(squash(label.quote), squash(segment.text)) >= 0.5 ? label.change : null;
      };
      examples.push(...examplesOf(context, open, changeOf, slips));
      const opened = openedBy(context, open, slips, changesIn(context, open, slips, NOTHING_LEARNT)).slips;
      for (const [i, slip] of opened.entries()) {
        const item = itemOpened(slip, context, number, i + 1);
        const label = opens.find((one) => !items.has(one.id) && overlap(squash(one.quote), squash(item.quote)) >= 0.5);
        if (label) items.set(label.id, item);
      }
      for (const label of changes) {
        const item = items.get(label.item);
        if (!item) continue;
        if (context.sides.wants(context.writer, item)) item.raised = number;
        applyTo(item, { change: label.change, due: label.due[0] ?? null, owner: label.owner });
      }
    }
  }
  return examples;
}

const taught = new Map<string, Promise<AnswerExample[]>>();

function examplesFrom(set: ConversationSet): Promise<AnswerExample[]> {
  const known = taught.get(set) ?? taughtBy(set);
  taught.set(set, known);
  return known;
}

let answers: Promise<AnswerExample[]> | null = null;

async function answerExamples(): Promise<AnswerExample[]> {
  return (await labelledAnswers()).flatMap(({ context, item, rival, change, quote }) =>
    examplesOf(context, rival ? [item, rival] : [item], (one, segment) =>
      one === item && overlap(squash(quote), squash(segment.text)) >= 0.5 ? change : null,
    ),
  );
}

let plain: Promise<AnswerExample[]> | null = null;

async function plainExamples(): Promise<AnswerExample[]> {
  return (await plainAnswers()).flatMap(({ context, item, change, quote }) =>
    examplesOf(context, [item], (_, segment) => (overlap(squash(quote), squash(segment.text)) >= 0.5 ? change : null)),
  );
}

let exchanges: Promise<AnswerExample[]> | null = null;

async function exchangeExamples(): Promise<AnswerExample[]> {
  return (await labelledExchanges()).flatMap(({ context, open, changes, counts }) =>
    examplesOf(
      context,
      open,
      (item, segment) =>
        changes.find((one) => one.item === item && overlap(squash(one.quote), squash(segment.text)) >= 0.5)?.change ??
        null,
    ).map((one) => ({ ...one, counts })),
  );
}

/** How often each change is meant, of all that are. */
function sharesOfChanges(examples: readonly Example[]): number[] {
  const counts = new Array<number>(CHANGES.length).fill(0);
  for (const { is } of examples) if (is > 0) counts[is - 1]! += 1;
  const sum = counts.reduce((a, b) => a + b, 0);
  return counts.map((one) => one / sum);
}

/** Examples written for learning alone hold each change about as often as any: here each counts as much as it is met with in whole conversations. */
function evened(examples: readonly AnswerExample[], shares: readonly number[]): AnswerExample[] {
  const own = sharesOfChanges(examples);
  return examples.map((one) =>
    one.is === 0 ? one : { ...one, counts: ((one.counts ?? 1) * shares[one.is - 1]!) / own[one.is - 1]! },
  );
}

/** Strengths of the penalty for telling whether, and what, a segment changes; found by leaving out one set after the other. */
const WHETHER = 5;
const WHAT = 3.3;

/** Steps of learning: more of them tell sets that are held back no better. */
const ROUNDS = 240;

function weightsOf({ bias, weights }: Weights): Weights {
  return { bias, weights };
}

/** All labelled answers, plain ones and exchanges, and those of the conversations but of some sets. */
export async function followingExamples(leftOut: readonly ConversationSet[] = []): Promise<AnswerExample[]> {
  answers ??= answerExamples();
  exchanges ??= exchangeExamples();
  plain ??= plainExamples();
  const sets = [...CONVERSATION_SETS, ...FOLLOWED_PLAIN].filter(
    (set) => !leftOut.includes(set) && !UNLEARNT_CONVERSATIONS.includes(set),
  );
  const whole = (await Promise.all(sets.map(examplesFrom))).flat();
  const shares = sharesOfChanges(whole);
  const apart = await Promise.all([plain, answers, exchanges]);
  return [...apart.flatMap((one) => evened(one, shares)), ...whole];
}

/** Learns the weights of following from all labelled answers and conversations but those of some sets. */
export async function learnFollowing(
  leftOut: readonly ConversationSet[] = [],
): Promise<Omit<FollowingWeights, "runs">> {
  const examples = await followingExamples(leftOut);
  return {
    whether: weightsOf(
      learn(
        examples.map(({ found, is, counts }) => ({ found, is: Math.min(is, 1), counts })),
        2,
        WHETHER,
        { rounds: ROUNDS },
      ),
    ),
    what: weightsOf(
      learn(
        examples.flatMap(({ found, is, counts }) => (is === 0 ? [] : [{ found, is: is - 1, counts }])),
        CHANGES.length,
        WHAT,
        { rounds: ROUNDS },
      ),
    ),
  };
}

/** Words of a run, and how often each answer is learnt from; found by leaving out some sets after the others. */
const RUNS = { lengths: [2, 4, 6], rounds: 40 };

/**
 * Learns what runs of words say of answers, as it is kept: words have the vectors that reading has learnt for them, and only who
 * says it of what has one of its own.
 */
export async function learnAnswerRuns(leftOut: readonly ConversationSet[] = []): Promise<PackedRuns> {
  const examples = (await followingExamples(leftOut)).flatMap(({ places, is, counts }) =>
    is === 0 ? [] : [{ places, is: is - 1, counts }],
  );
  const { vectors } = LEARNT_WORDING.runs;
  const learnt = learnRuns(examples, CHANGES.length, { ...RUNS, vectors });
  return packRuns({ ...learnt, vectors: new Map([...learnt.vectors].filter(([word]) => !vectors.has(word))) });
}
