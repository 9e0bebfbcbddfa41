// npm run bench:reading: how well letters and conversations are read, and how fast.
import model from "wink-eng-lite-web-model";
import winkNLP from "wink-nlp";
import type { Letter } from "../src/core/letters/letter";
import { newText } from "../src/core/letters/new-text";
import { parseLetter } from "../src/core/letters/parse-letter";
import { readLetter } from "../src/core/reading/read-letter";
import { PLAIN_READING } from "../src/core/reading/settings";
import { learnHouseWording } from "../src/core/reading/weighing/house-wording";
import { corpus } from "../tests/outside/pick";
import { REAL_LETTERS, REAL_LETTERS_SEEN, realLetters } from "../tests/outside/real-letters";
import { CONVERSATION_SETS, scoreFollowing } from "../tests/reading/conversations";
import { corrected, HABITS, newOfHabit } from "../tests/reading/habits";
import { LETTER_SETS, labelledLetters, PEOPLE, UNLEARNT_SETS } from "../tests/reading/labelled";
import { scoreReading } from "../tests/reading/score";
import { scoreSentences } from "../tests/reading/sentences";
import { sayHeldBack } from "./held-back";
import { say, timed } from "./measure";

const CORPUS_LETTERS = 2_000;
const LONG_LETTER_BYTES = 200_000;

/** How often reading is held against bare splitting. */
const TURNS = 5;

const nobody = { team: [], outside: [] };
const lists = { ...PLAIN_READING, readsLists: true };
const sentOf = (letter: Letter) => ({ at: letter.sentAt ?? 0, zone: letter.offset });

for (const set of LETTER_SETS) {
  const { mistakes, ...score } = scoreReading(await labelledLetters(set));
  say(`labelled letters, set ${set}`, score);
  for (const one of mistakes) process.stdout.write(`  ${one}\n`);
}
for (const [kind, { count, right, mistakes }] of scoreSentences()) {
  say(`labelled sentences: ${kind}`, { count, right });
  for (const one of mistakes) process.stdout.write(`  ${one}\n`);
}
for (const set of CONVERSATION_SETS) {
  const { mistakes, ...following } = await scoreFollowing(set);
  say(`labelled ${set}`, following);
  for (const one of mistakes) process.stdout.write(`  ${one}\n`);
}
await sayHeldBack();

// What an organisation corrects: some 190 sentences of one habit, by six people, then others of it and letters that have nothing to do with it.
const strangers = (await Promise.all(UNLEARNT_SETS.map((set) => labelledLetters(set)))).flat();
for (const habit of HABITS) {
  const examples = await corrected(habit, 6);
  const { everybody } = learnHouseWording(examples);
  say(`an organisation's habit: “${habit.turns[0]!("roster", "the quay")}” is ${habit.is}`, {
    corrections: examples.length,
    "new sentences": (await newOfHabit(habit, [])).sentences,
    "right before": (await newOfHabit(habit, [])).right,
    "right after": (await newOfHabit(habit, [everybody])).right,
    "other letters' finding before": scoreReading(strangers).finding,
    "other letters' finding after": scoreReading(strangers, undefined, { houseWording: [everybody] }).finding,
  });
}

const real = scoreReading(await realLetters(REAL_LETTERS), undefined, { people: nobody, readsLists: true });
say("letters of real people", { ...real, mistakes: real.mistakes.length });
const seen = scoreReading(await realLetters(REAL_LETTERS_SEEN), undefined, { people: nobody, readsLists: true });
say("letters of real people whose mistakes were looked at", { ...seen, mistakes: seen.mistakes.length });
for (const one of real.mistakes) process.stdout.write(`  ${one}\n`);

const byRule = new Map<string, number>();
for (const set of LETTER_SETS)
  for (const { letter, people = PEOPLE } of await labelledLetters(set))
    for (const slip of readLetter(letter, people, sentOf(letter)))
      byRule.set(slip.rule, (byRule.get(slip.rule) ?? 0) + 1);
say("what each rule finds in them", Object.fromEntries([...byRule].sort((a, b) => b[1] - a[1])));

const letters: Letter[] = [];
for (const { raw } of corpus(CORPUS_LETTERS)) {
  const parsed = await parseLetter(raw);
  if (parsed.ok) letters.push(parsed.letter);
}
const machines = letters.filter((letter) => letter.automatic !== null);
const withSlips = machines.filter((letter) => readLetter(letter, nobody, sentOf(letter)).length > 0).length;
const bare = winkNLP(model, ["sbd"]);
const read = () =>
  timed(async () => {
    for (const letter of letters) readLetter(letter, nobody, sentOf(letter), lists);
  });
const split = () =>
  timed(async () => {
    for (const letter of letters) bare.readDoc(newText(letter)).sentences().out();
  });
await read();
await split();
/** Turn by turn, since what else the machine does slows both: the middle of the ratios counts. */
const turns: { readMs: number; splitMs: number; ratio: number }[] = [];
for (let turn = 0; turn < TURNS; turn += 1) {
  const [readMs, splitMs] = [await read(), await split()];
  turns.push({ readMs, splitMs, ratio: readMs / splitMs });
}
const { readMs, splitMs, ratio } = turns.sort((x, y) => x.ratio - y.ratio)[Math.floor(TURNS / 2)]!;
say(`${letters.length} letters of the public corpus`, {
  "lists, newsletters and machines": machines.length,
  "of them with slips": withSlips,
  "reading ms": readMs,
  "bare tokens and sentences ms": splitMs,
  "times the bare": ratio,
});
const words = "We need the drawings by Friday. The slabs came cracked, and could you send the list? ";
const long = await parseLetter(
  Buffer.from(
    `Date: Mon, 23 Nov 2026 09:00:00 +0000\r\nFrom: a@b.example\r\n\r\n${words.repeat(LONG_LETTER_BYTES / words.length)}`,
  ),
);
if (long.ok)
  say("a letter of 200 kB", {
    "reading ms": await timed(async () => readLetter(long.letter, nobody, sentOf(long.letter))),
  });
