import { KIND_RULES } from "../rules/list";
import { taggedWords } from "../words";
import held from "./held.json";
import type { HouseExample } from "./house-example";
import { LEARNT_WORDING } from "./learnt";
import { ruleCounts, SENSES, type Sense } from "./sense";
import { asShares, type HouseWording, type NameWeights } from "./shares";
import { weighWording } from "./weigh-wording";
import { endingsOf, wordingOf, wordsOf } from "./wording";

/** Names of fewer passages say more of one passage than of how people write. */
const FEWEST = 2;

/** Rounds of the descent and its step: with these some ten corrections of like passages are enough, and one alone changes nothing. */
const ROUNDS = 10;
const STEP = 0.24;
/** One writer's passages are few, and nothing holds them: they are learnt more slowly. */
const OWN_STEP = 0.02;
/** How much of a weight each example takes away: what is not said again is slowly forgotten. */
const DECAY = 0.02;
/** The same passage again and again counts no more than this. */
const MOST_TIMES = 3;
/** What a passage counts that is held. */
const HELD_TIMES = 1.2;

/** What a passage or one that is held weighs without the organisation, and what it shall come to. */
interface Row {
  readonly text: string;
  /** What stands for its wording (`wordingOf`). */
  readonly names: readonly string[];
  readonly writer: string;
  readonly start: readonly number[];
  readonly target: readonly number[];
  readonly times: number;
}

/** Figures are "#" in a phrase, and any figure is alike in wording. */
function asClause(phrase: string) {
  return { text: phrase.replaceAll("#", "1"), isListItem: false };
}

function rowOf({ writer, phrase, read, rule, sense, times }: HouseExample): Row {
  const clause = asClause(phrase);
  const start = weighWording(clause, LEARNT_WORDING);
  const by = KIND_RULES.find((one) => one.name === rule);
  if (by && read) start[SENSES.indexOf(read)]! += ruleCounts(by);
  const target = SENSES.map((one) => Number(one === sense));
  return {
    text: clause.text,
    names: [...new Set(wordingOf(clause))],
    writer,
    start,
    target,
    times: Math.min(times, MOST_TIMES),
  };
}

let heldRows: readonly Row[] | null = null;

/** Passages of many trades, which shall come to what they come to without the organisation. */
function rowsHeld(): readonly Row[] {
  heldRows ??= held.map((text) => {
    const clause = { text, isListItem: false };
    const start = weighWording(clause, LEARNT_WORDING);
    return {
      text,
      names: [...new Set(wordingOf(clause))],
      writer: "",
      start,
      target: asShares(start),
      times: HELD_TIMES,
    };
  });
  return heldRows;
}

/** Each row behind one of the others in turn, so that neither the examples nor what is held has the last word. */
function mixed(examples: readonly Row[], others: readonly Row[]): Row[] {
  const rows: Row[] = [];
  let taken = 0;
  for (const [i, one] of others.entries()) {
    rows.push(one);
    const until = Math.round(((i + 1) * examples.length) / others.length);
    while (taken < until) rows.push(examples[taken++]!);
  }
  return rows;
}

/** A number of a text, far from that of a text like it (FNV-1a, Fowler, Noll & Vo 1991). */
function scattered(text: string): number {
  let hash = 0x811c9dc5;
  for (let i = 0; i < text.length; i += 1) hash = Math.imul(hash ^ text.charCodeAt(i), 0x01000193);
  return hash >>> 0;
}

/** Examples in an order of their own, like ones apart: in whatever order they come, the same is learnt. */
function inOneOrder(examples: readonly HouseExample[]): HouseExample[] {
  const placed = examples.map((one) => ({
    one,
    at: scattered([one.phrase, one.writer, one.read, one.rule, one.sense].join("\n")),
  }));
  return placed.sort((a, b) => a.at - b.at).map(({ one }) => one);
}

/** Names of enough passages, counted by what tells them apart. */
function enough(rows: readonly Row[], apart: (row: Row, i: number) => string): string[] {
  const seen = new Map<string, Set<string>>();
  for (const [i, row] of rows.entries())
    for (const name of row.names) seen.set(name, (seen.get(name) ?? new Set()).add(apart(row, i)));
  return [...seen].flatMap(([name, by]) => (by.size >= FEWEST ? [name] : []));
}

/** Words for things, people and what they are like: what a passage is about, not how it asks. */
const THINGS = /^(?:NOUN|PROPN|ADJ)$/;

/**
 * A passage half as itself, half without the things that it names, which has to come to the same: otherwise "Have you got the tender
 * for the quay?" would teach more of tenders and quays than of who has got what (words left out at random do the same for longer
 * texts: Iyyer et al. 2015, "Deep unordered composition").
 */
function withoutThings(row: Row): Row[] {
  const things = new Set(taggedWords(row.text).flatMap(({ word, tag }) => (THINGS.test(tag) ? wordsOf(word) : [])));
  const endings = new Set([...things].flatMap(endingsOf));
  const names = row.names.filter((name) => !endings.has(name) && !name.split(" ").some((word) => things.has(word)));
  const times = row.times / 2;
  return [
    { ...row, times },
    { ...row, names, times },
  ];
}

/** Learns what names weigh, so that each row comes from where it starts to its target. */
function learnNames(rows: readonly Row[], names: readonly string[], step: number): NameWeights {
  const classes = SENSES.length;
  const place = new Map(names.map((name, i) => [name, i]));
  const weights = new Float64Array(names.length * classes);
  const placed = rows.map((row) => ({
    ...row,
    at: Uint32Array.from(row.names.flatMap((name) => place.get(name) ?? [])),
  }));
  const moved = placed.filter(({ at }) => at.length > 0);
  const slope = new Float64Array(classes);
  for (let round = 0; round < ROUNDS; round += 1)
    for (const { at, start, target, times } of moved) {
      slope.set(start);
      for (const name of at) for (let k = 0; k < classes; k += 1) slope[k]! += weights[name * classes + k]!;
      intoShares(slope);
      for (let k = 0; k < classes; k += 1) slope[k]! -= target[k]!;
      const by = (step * times) / Math.sqrt(at.length);
      for (const name of at)
        for (let i = name * classes, k = 0; k < classes; k += 1, i += 1)
          weights[i]! -= by * (slope[k]! + DECAY * weights[i]!);
    }
  return new Map(names.map((name, i) => [name, Array.from(weights.subarray(i * classes, (i + 1) * classes))]));
}

/** Scores become shares of 1 where they are (as `asShares`). */
function intoShares(scores: Float64Array): void {
  let sum = 0;
  for (let k = 0; k < scores.length; k += 1) sum += scores[k] = Math.exp(scores[k]!);
  for (let k = 0; k < scores.length; k += 1) scores[k]! /= sum;
}

function added(start: readonly number[], names: readonly string[], weights: NameWeights): number[] {
  const scores = [...start];
  for (const name of names) for (const [k, own] of (weights.get(name) ?? []).entries()) scores[k]! += own;
  return scores;
}

/** Read as one thing, and set right to another. */
const turnOf = (read: Sense | null, sense: Sense) => `${read ?? "nothing"} → ${sense}`;

/**
 * Learns how the organisation's letters are worded beyond what is learnt for all, from what its people kept, set right, marked
 * and brushed off: a multinomial logistic regression on top of the shared one, by stochastic gradient descent. Passages of other
 * trades are gone through with it and held to what they are read as without it (rehearsal by what the model itself said: Li &
 * Hoiem 2016, "Learning without forgetting"), so that all else is read as before. Only what two writers use is everybody's; on
 * top of that each writer's passages teach what holds for them alone. The same examples give the same weights, and taking one
 * away unlearns it.
 */
export function learnHouseWording(examples: readonly HouseExample[]): HouseWording {
  const setRight = new Set(examples.flatMap(({ read, sense }) => (read === sense ? [] : [turnOf(read, sense)])));
  const rows = inOneOrder(examples).flatMap((example) => {
    const row = rowOf(example);
    // What was read right only by what people had set right teaches no more, once that is unlearnt.
    const is = SENSES[row.start.indexOf(Math.max(...row.start))]!;
    const isByTeaching = example.read === example.sense && is !== example.sense;
    return isByTeaching && !setRight.has(turnOf(is, example.sense)) ? [] : [row];
  });
  const shared = enough(rows, ({ writer }) => writer);
  const everybody =
    shared.length > 0
      ? learnNames(mixed(rows.flatMap(withoutThings), rowsHeld()), shared, STEP)
      : (new Map() as NameWeights);
  const writers = new Map<string, NameWeights>();
  for (const writer of new Set(rows.map((row) => row.writer))) {
    const own = rows
      .filter((row) => row.writer === writer)
      .map((row) => ({ ...row, start: added(row.start, row.names, everybody) }));
    const names = enough(own, (_, i) => String(i));
    if (names.length > 0) writers.set(writer, learnNames(own.flatMap(withoutThings), names, OWN_STEP));
  }
  return { everybody, writers };
}
