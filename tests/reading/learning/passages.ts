import fs from "node:fs";
import path from "node:path";
import type { Letter, TextPart } from "@/core/letters/letter";
import { parseLetter } from "@/core/letters/parse-letter";
import { type Clause, clausesIn } from "@/core/reading/clauses";
import { asPattern, type LetterGround } from "@/core/reading/kind-rule";
import { KIND_RULES } from "@/core/reading/rules/list";
import { packRuns, unpackRuns } from "@/core/reading/weighing/packed-runs";
import { SENSES, type Sense } from "@/core/reading/weighing/sense";
import type { Weights, WordingWeights } from "@/core/reading/weighing/shares";
import { placesOf, type RunWeights } from "@/core/reading/weighing/word-runs";
import { wordingOf, wordsOf } from "@/core/reading/weighing/wording";
import { corpus } from "../../outside/pick";
import { numbersIn, REAL_LETTERS, REAL_LETTERS_SEEN, realLetters } from "../../outside/real-letters";
import { CONVERSATION_SETS, FOLLOWED_ONLY, labelledConversations, UNLEARNT_CONVERSATIONS } from "../conversations";
import { KIND_MARKS } from "../kind-marks";
import { type LabelledLetter, LETTER_SETS, labelledLetters, UNLEARNT_SETS } from "../labelled";
import { labelledSentences } from "../sentences";
import { type Example, learn } from "./logistic";
import { MARKED_SETS, markedLetters } from "./marked-letters";
import { ofEveryRated, VALENCE_NUMBERS, valencesOf } from "./valence";
import { meanOf, ofEveryWord } from "./vectors";
import { learnRuns } from "./word-runs";

/** A labelled passage: a clause, and what it is. */
interface Passage {
  readonly clause: Clause;
  readonly is: Sense;
}

/** The clauses of a labelled letter, each with what it is; null where the labels leave that open. */
export type LabelledClauses = readonly { readonly clause: Clause; readonly is: Sense | null }[];

/** A quote in a letter, and what the words are; null where the labels leave that open. */
interface Marked {
  readonly quote: string;
  readonly is: Sense | null;
}

const FOLDER = path.join(import.meta.dirname, "passages");

/** Letters of discussion lists that are labelled to be learnt from. */
const LISTS = path.join(import.meta.dirname, "lists.txt");

/** The files of labelled passages, which are sets as the letters and conversations are. */
export const PASSAGE_SETS = fs.readdirSync(FOLDER).map((name) => name.replace(/\.txt$/, ""));

const MARKS: Readonly<Record<string, Sense>> = { ...KIND_MARKS, n: "nothing" };

const whole = (text: string): TextPart[] => [{ kind: "new", start: 0, end: text.length }];

/** Where a quote stands in a text, whatever its white space. */
function placeOf(text: string, quote: string): { start: number; end: number } | null {
  const words = quote.trim().split(/\s+/).map(asPattern);
  const found = new RegExp(words.join("\\s+")).exec(text);
  return found ? { start: found.index, end: found.index + found[0].length } : null;
}

/** The clauses of a letter with what their labels make of them: that which shares half of the shorter with a quote is it. */
function labelled({ text, parts }: Letter, marked: readonly Marked[]): LabelledClauses {
  const places = marked.flatMap(({ quote, is }) => {
    const place = placeOf(text, quote);
    return place ? [{ ...place, is }] : [];
  });
  return clausesIn(text, parts).map((clause) => {
    const shared = places
      .map(({ start, end, is }) => ({
        is,
        share:
          (Math.min(end, clause.end) - Math.max(start, clause.start)) /
          Math.min(end - start, clause.end - clause.start),
      }))
      .sort((a, b) => b.share - a.share)[0];
    const is = shared && shared.share >= 0.5 ? shared.is : shared && shared.share > 0 ? null : "nothing";
    return { clause, is };
  });
}

function ofLabels({ letter, labels }: LabelledLetter): LabelledClauses {
  return labelled(
    letter,
    labels.map(({ quote, kind }) => ({ quote, is: kind })),
  );
}

/** What a change says, taken as a letter by itself; null where that is open. */
const SAID_BY_CHANGE: Readonly<Record<string, Sense | null>> = {
  promised: "promise",
  reminded: "ask",
  done: "nothing",
};

/** The labelled letters of a set, of single ones or of conversations; none where the set is of passages by themselves. */
export async function lettersOfSet(set: string): Promise<LabelledClauses[]> {
  const letters = LETTER_SETS.find((one) => one === set);
  if (letters) return (await labelledLetters(letters)).map(ofLabels);
  if (set === "lists") return (await realLetters(LISTS)).map(ofLabels);
  const conversations = CONVERSATION_SETS.find((one) => one === set);
  if (conversations)
    return (await labelledConversations(conversations))
      .flat()
      .map(({ letter, opens, changes }) =>
        labelled(letter, [
          ...opens.map(({ quote, kind }) => ({ quote, is: kind as Sense })),
          ...changes.map(({ quote, change }) => ({ quote, is: SAID_BY_CHANGE[change] ?? null })),
        ]),
      );
  if (MARKED_SETS.includes(set))
    return (await markedLetters(set)).map(({ letter, marked }) => labelled(letter, marked));
  return set === "public" ? talkOfStrangers() : [];
}

async function readPassages(set: string): Promise<Passage[]> {
  const letters = await lettersOfSet(set);
  if (letters.length > 0) return letters.flat().flatMap(({ clause, is }) => (is === null ? [] : [{ clause, is }]));
  if (set === "sentences") return labelledSentences().flatMap(({ kind, sentence }) => single(sentence, kind));
  const [, body] = fs.readFileSync(path.join(FOLDER, `${set}.txt`), "utf8").split("=====\n");
  return body!
    .trim()
    .split(/\n+/)
    .flatMap((line) => {
      const is = MARKS[line[0]!];
      if (!is || line[1] !== " ") throw new Error(`Not labelled: “${line}”.`);
      return single(line.slice(2), is);
    });
}

const passages = new Map<string, Promise<Passage[]>>();

/** The labelled passages of a set: of letters, conversations, sentences, a file of passages, or the public lists. */
export function passagesOfSet(set: string): Promise<Passage[]> {
  const made = passages.get(set) ?? readPassages(set);
  passages.set(set, made);
  return made;
}

/** A line as a passage; where it is cut into several, it is not known which of them is what is labelled, unless it is nothing. */
function single(text: string, is: Sense): Passage[] {
  const clauses = clausesIn(text, whole(text));
  return clauses.length === 1 || is === "nothing" ? clauses.map((clause) => ({ clause, is })) : [];
}

/** Letters of the public corpus that are learnt from: one in so many. */
const ONE_LETTER_IN = 12;

/** Clauses of one of them at the most, since some are long. */
const MOST_OF_A_LETTER = 12;

const NOBODY: LetterGround = { writer: null, to: [], people: { team: [], outside: [] } };

/**
 * What people write to each other who ask nothing: clauses of public discussion lists in which no rule finds anything. Of those
 * that were read by hand two in a hundred asked something all the same.
 */
async function talkOfStrangers(): Promise<LabelledClauses[]> {
  const letters: LabelledClauses[] = [];
  const labelledOnes = new Set([REAL_LETTERS, REAL_LETTERS_SEEN, LISTS].flatMap(numbersIn));
  for (const [i, { name, raw }] of corpus(2_500).entries()) {
    if (i % ONE_LETTER_IN !== 0 || labelledOnes.has(name.slice(0, 5))) continue;
    const parsed = await parseLetter(raw);
    if (!parsed.ok) continue;
    const clauses = clausesIn(parsed.letter.text, parsed.letter.parts).slice(0, MOST_OF_A_LETTER);
    const isRuled = (clause: Clause) =>
      KIND_RULES.some((rule) => (rule.find(clause, NOBODY) ?? "nothing") !== "nothing");
    letters.push(clauses.map((clause) => ({ clause, is: isRuled(clause) ? null : "nothing" })));
  }
  return letters;
}

/** All sets of labelled passages that are learnt from. */
export const ALL_SETS: readonly string[] = [
  ...LETTER_SETS.filter((set) => !UNLEARNT_SETS.includes(set)),
  ...CONVERSATION_SETS.filter((set) => ![...UNLEARNT_CONVERSATIONS, ...FOLLOWED_ONLY].includes(set)),
  ...MARKED_SETS,
  "lists",
  "sentences",
  ...PASSAGE_SETS,
  "public",
];

const known = new Map<string, Promise<Example[]>>();

function examplesOf(set: string): Promise<Example[]> {
  const made =
    known.get(set) ??
    passagesOfSet(set).then((passages) =>
      passages.map(({ clause, is }) => ({
        found: wordingOf(clause),
        measured: Float64Array.of(...meanOf(wordsOf(clause.text)), ...valencesOf(wordsOf(clause.text))),
        is: SENSES.indexOf(is),
      })),
    );
  known.set(set, made);
  return made;
}

/** All examples of wording that are learnt from, set by set. */
export async function passageExamples(leftOut: readonly string[] = []): Promise<Example[]> {
  return (await Promise.all(ALL_SETS.filter((set) => !leftOut.includes(set)).map(examplesOf))).flat();
}

/** Strength of the penalty, and the fewest passages that a name must stand in; found by leaving out one set after the other. */
const STRENGTH = 2;
const FEWEST = 3;

/** Learns how asks, questions, promises and trouble are worded from all labelled passages but those of the sets left out; each counts for itself. */
export async function learnPassages(leftOut: readonly string[] = [], rounds = 160): Promise<WordingWeights> {
  const examples = await passageExamples(leftOut);
  const { bias, weights, ofMeasured } = learn(examples, SENSES.length, STRENGTH, { fewest: FEWEST, rounds });
  return {
    bias,
    weights: added(weights, ofEveryRated(ofMeasured.slice(-VALENCE_NUMBERS))),
    meaning: ofEveryWord(ofMeasured.slice(0, -VALENCE_NUMBERS)),
    runs: null,
    inLetter: null,
  };
}

/** How often each passage is learnt from for runs of words. */
const RUN_ROUNDS = 16;

/** Words of a run; found by leaving out one part of the sets after the other. */
const RUN_LENGTHS = [2, 4];

/** Learns what runs of words say from all labelled passages but those of the sets left out, rounded as it is kept. */
export async function learnPassageRuns(leftOut: readonly string[] = [], rounds = RUN_ROUNDS): Promise<RunWeights> {
  const learnt = (await Promise.all(ALL_SETS.filter((set) => !leftOut.includes(set)).map(passagesOfSet))).flat();
  const examples = learnt.map(({ clause: { text, isListItem }, is }) => ({
    places: placesOf(wordsOf(text), isListItem),
    is: SENSES.indexOf(is),
  }));
  return unpackRuns(packRuns(learnRuns(examples, SENSES.length, { rounds, lengths: RUN_LENGTHS, vectors: null })));
}

/** Weights of names, and of words beside them. */
function added(weights: Weights["weights"], ofWords: ReadonlyMap<string, readonly number[]>): Weights["weights"] {
  const all: Record<string, readonly number[]> = { ...weights };
  for (const [word, own] of ofWords)
    all[word] = own.map((weight, k) => Math.round((weight + (weights[word]?.[k] ?? 0)) * 100) / 100 || 0);
  return all;
}
