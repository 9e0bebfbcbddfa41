import { bared } from "./bared";
import type { FollowContext } from "./context";
import { dueFor } from "./days-named";
import { lastRaised, type OpenItem, raisedLast } from "./item";
import { areSomeBack, cureBegun, isSoAgain, MISTAKEN, STILL_BAD } from "./phrases/of-trouble";
import { ASKED_AGAIN, DO_IT_MYSELF, FOUND, isAskedAgain, isOnlyNamed, OF_WANTED } from "./phrases/of-wanted";
import { LOOKS_FOR_ANSWER, OF_WORK, OF_WORK_ALONE, SOME_OF_IT } from "./phrases/of-work";
import { type Said, wantsWords } from "./said";
import { type Turn, turnOf } from "./turns";

const WHEN = /\b(?:when|how (?:long|soon)|what time|by when|which day)\b/i;

/** What of several a phrase can only be said of: the one thing, the one that was promised, or the one that should be here by now. */
function onlyOne(items: readonly OpenItem[], today: string): OpenItem | null {
  const promised = items.filter((item) => item.isPromised);
  const dueNow = items.filter(({ due }) => due !== null && due <= today);
  return [items, promised, dueNow, raisedLast(items)].find(({ length }) => length === 1)?.[0] ?? null;
}

/** A phrase, what it can be said of, and when. */
interface Told {
  readonly context: FollowContext;
  readonly text: string;
  /** The same without what softens it. */
  readonly words: string;
  /** What its writer owes, and has said nothing of yet. */
  readonly owed: readonly OpenItem[];
  /** What they want, likewise. */
  readonly wanted: readonly OpenItem[];
  /** The day of the letter in the writer's zone. */
  readonly today: string;
}

interface SaidOfItem {
  readonly item: OpenItem;
  readonly said: Said;
}

function made(
  { context, text }: Told,
  item: OpenItem,
  turn: Pick<Turn, "change" | "name">,
  owner: string | null = null,
) {
  const due = turn.change === "promised" || turn.change === "moved" ? dueFor(context, text, item) : null;
  const said: Said = { change: turn.change, due, owner, isNamed: true, isPlain: true, reason: turn.name };
  return { item, said };
}

const isWork = ({ kind }: OpenItem) => kind === "ask" || kind === "promise";

/** "Right away.", "Too late.", of what its writer owes. */
function saidOfWork(told: Told): SaidOfItem | null {
  const { context, words, owed, today } = told;
  const newest = raisedLast(owed.filter(({ kind }) => kind !== "trouble"));
  // "In ten minutes" answers when.
  const isOfQuestion = newest.some((item) => wantsWords(item) && !item.isPromised);
  const turn = turnOf(isOfQuestion ? OF_WORK : OF_WORK_ALONE, words, false);
  const own = owed.filter(({ kind, owner }) => kind !== "question" && owner === context.writer);
  const work = owed.filter(isWork);
  const item = turn ? (lastRaised(own) ?? lastRaised(work) ?? onlyOne(work, today)) : null;
  // What was promised is not promised again, unless it is asked when.
  if (!turn || !item || (item.isPromised && turn.change === "promised" && !WHEN.test(item.quote))) return null;
  return made(told, item, turn);
}

/** "Let me check.", of a question. */
function saidOfQuestion(told: Told): SaidOfItem | null {
  const turn = turnOf([LOOKS_FOR_ANSWER], told.words, false);
  const questions = told.owed.filter(({ kind }) => kind === "question");
  const question = turn ? onlyOne(questions, told.today) : null;
  return turn && question && !question.isPromised ? made(told, question, turn) : null;
}

/** "I've called the fitter.", "It's worse today.", of trouble of which no cure is asked. */
function saidOfTrouble(told: Told): SaidOfItem | null {
  const { context, text, words, owed, today } = told;
  const troubles = owed.filter(({ kind }) => kind === "trouble");
  const reported = troubles.filter(({ asker }) => asker === context.writer);
  const again = reported.find((item) => isSoAgain(text, item));
  if (again) return made(told, again, STILL_BAD);
  if (owed.some(isWork)) return null;
  const some = troubles.find((item) => areSomeBack(text, item));
  if (some) return made(told, some, SOME_OF_IT);
  const isPut = text.endsWith("?");
  const begun = isPut ? null : cureBegun(words);
  const cured = begun ? onlyOne(troubles, today) : null;
  if (begun && cured) return made(told, cured, begun);
  const bad = turnOf([MISTAKEN, STILL_BAD], words.replace(/\?+$/, ""), false);
  const trouble = bad ? onlyOne(reported, today) : null;
  return bad && trouble ? made(told, trouble, bad) : null;
}

/** "Never mind.", "Just checking.", of what its writer wants. */
function saidOfWanted(told: Told): SaidOfItem | null {
  const { context, text, words, wanted, today } = told;
  const asks = wanted.filter(({ kind }) => kind === "ask");
  const mine = DO_IT_MYSELF.test(text) ? onlyOne(asks, today) : null;
  if (mine) return made(told, mine, { change: "passed", name: "whoever wants it does it" }, context.writer);
  const turn = turnOf(OF_WANTED, /^\?+$/.test(words) ? words : words.replace(/\?+$/, ""), false);
  const besides = wanted.filter(({ kind }) => kind !== "trouble");
  const item = turn ? (onlyOne(besides, today) ?? onlyOne(wanted, today)) : null;
  // Trouble that nobody needs to mind any more is over.
  if (turn && item)
    return made(
      told,
      item,
      item.kind === "trouble" && turn.change === "called off" ? { ...turn, change: "done" } : turn,
    );
  const found = turnOf([FOUND], words, false);
  const sought = wanted.filter(({ kind, quote }) => found && kind === "question" && /\bwhere\b/i.test(quote));
  if (found && sought.length === 1) return made(told, sought[0]!, found);
  const named = wanted.filter((one) => isOnlyNamed(text, one));
  const meant = named.length === 1 ? named[0]! : wanted.findLast((one) => isAskedAgain(text, one));
  return meant ? made(told, meant, ASKED_AGAIN) : null;
}

/**
 * What a phrase that everybody knows says by itself, where it is a whole answer: "Right away.", "Too late.", "Never mind."; null where
 * it is no such phrase, or may be said of several things.
 */
export function saidBySetPhrase(told: Omit<Told, "words">): SaidOfItem | null {
  const all: Told = { ...told, words: bared(told.text) };
  const ofOwed = told.text.endsWith("?") ? null : (saidOfWork(all) ?? saidOfQuestion(all));
  return ofOwed ?? saidOfTrouble(all) ?? saidOfWanted(all);
}
