import fs from "node:fs";
import path from "node:path";
import { expect, test } from "vitest";
import { readLetter } from "@/core/reading/read-letter";
import { KIND_MARKS } from "./kind-marks";
import { labelledLetters, letterOf, PEOPLE } from "./labelled";
import { kindsLabelled } from "./learning/marked-letters";
import { scoreReading } from "./score";

// Most mail is short and plain, and says one thing among a little talk. Here it is held against the guide for labelling.

const FOLDER = path.join(import.meta.dirname, "plain");

const NOBODY = { team: [], outside: [] };

test.each([
  ["looked-at", { labels: 80, finding: 0.91, kind: 0.91, anything: 0.95 }],
  ["unlearnt", { labels: 60, finding: 0.87, kind: 0.85, anything: 0.92 }],
] as const)("short and plain letters, %s", async (set, floor) => {
  const letters = await kindsLabelled(set, path.join(FOLDER, `${set}.txt`));
  const { mistakes, ...score } = scoreReading(letters, undefined, { people: NOBODY });
  console.log(
    `${letters.length} letters, ${score.labels} labels: finding ${score.finding.toFixed(3)}, kind ${score.kind.toFixed(3)}, anything ${score.anything.toFixed(3)}`,
  );
  for (const field of ["labels", "finding", "kind", "anything"] as const)
    expect([field, score[field] >= floor[field] ? "enough" : mistakes]).toEqual([field, "enough"]);
});

test.each([
  ["kk", { labels: 115, finding: 0.93, kind: 0.91, owner: 0.95, due: 0.95, anything: 0.96 }],
  ["ll", { labels: 95, finding: 0.9, kind: 0.85, owner: 0.93, due: 0.88, anything: 0.95 }],
  ["mm", { labels: 49, finding: 0.89, kind: 0.85, owner: 0.95, due: 0.9, anything: 0.94 }],
  // Full of days, in many words.
  ["oo", { labels: 86, finding: 0.93, kind: 0.89, owner: 0.95, due: 0.93, anything: 0.98 }],
  ["pp", { labels: 69, finding: 0.92, kind: 0.91, owner: 0.94, due: 0.94, anything: 0.98 }],
] as const)("plain letters with several items, set %s: what is asked, of whom, by when", async (set, floor) => {
  const { mistakes, ...score } = scoreReading(await labelledLetters(set));
  console.log(
    `set ${set}: ${score.labels} labels, finding ${score.finding.toFixed(3)}, kind ${score.kind.toFixed(3)}, owner ${score.owner.toFixed(3)}, due ${score.due.toFixed(3)}`,
  );
  for (const field of ["labels", "finding", "kind", "owner", "due", "anything"] as const)
    expect([field, score[field] >= floor[field] ? "enough" : mistakes]).toEqual([field, "enough"]);
});

const sentencesOf = (file: string) =>
  fs
    .readFileSync(path.join(FOLDER, file), "utf8")
    .split("=====\n")[1]!
    .trim()
    .split("\n")
    .map((line) => ({ kind: KIND_MARKS[line[0]!] ?? null, sentence: line.slice(2) }));
const SENTENCES = sentencesOf("sentences.txt");
const UNLEARNT = sentencesOf("sentences-unlearnt.txt");
/** What is hard to tell by form: wishes, failures, questions without their mark. */
const HARD = sentencesOf("sentences-later.txt");

/** What a sentence is read as in a letter of Kofi's to Nadia; null where as nothing, or as several things. */
async function readIn(around: string, sentence: string): Promise<string | null> {
  const text = around.replace("…", () => sentence);
  const letter = await letterOf("kd -> nadia | Tue, 3 Mar 2026 10:00:00 +0100 | News", text);
  const slips = readLetter(letter, PEOPLE, { at: letter.sentAt!, zone: letter.offset });
  return slips.map(({ kind }) => kind).join(" and ") || null;
}

/** The share of sentences that are read as what they are in a letter, and the others in words. */
async function readAll(sentences: typeof SENTENCES, around: string): Promise<{ right: number; wrong: string[] }> {
  const wrong: string[] = [];
  for (const { kind, sentence } of sentences) {
    const is = await readIn(around, sentence);
    if (is !== kind) wrong.push(`${kind ?? "nothing"} read as ${is ?? "nothing"}: ${sentence}`);
  }
  return { right: 1 - wrong.length / sentences.length, wrong };
}

const ALONE = "…";
const AMONG_TALK =
  "Hi Nadia,\n\nit was good to see you on Friday. The weather held until noon.\n\n…\n\nThe others send their love.\n\nKofi\n";

test.each([
  ["alone", ALONE, 0.92],
  ["with a name below", "Hi Nadia,\n\n…\n\nKofi\n", 0.91],
  ["with a farewell below", "Hi Nadia,\n\n…\n\nBest regards\nKofi\n", 0.91],
  ["behind thanks", "Hi Nadia,\n\nthanks for the photos. …\n\nKofi\n", 0.83],
  ["before a wish", "Hi Nadia,\n\n… I hope you had a good weekend.\n\nKofi\n", 0.83],
  ["among talk", AMONG_TALK, 0.87],
] as const)("plain sentences are read as what they are, %s", async (_, around, floor) => {
  const { right, wrong } = await readAll(SENTENCES, around);
  console.log(`${SENTENCES.length} sentences, ${right.toFixed(3)} right`);
  expect(SENTENCES.length).toBeGreaterThan(600);
  expect(right >= floor ? "enough" : wrong).toBe("enough");
});

test.each([
  ["alone", ALONE, 0.91],
  ["among talk", AMONG_TALK, 0.9],
] as const)("plain sentences that nothing is mended for are read as what they are, %s", async (_, around, floor) => {
  const { right, wrong } = await readAll(UNLEARNT, around);
  console.log(`${UNLEARNT.length} sentences, ${right.toFixed(3)} right`);
  expect(UNLEARNT.length).toBeGreaterThan(225);
  expect(right >= floor ? "enough" : wrong).toBe("enough");
});

test("wishes, failures and questions without their mark, and what only sounds like them, are read as what they are", async () => {
  const { right, wrong } = await readAll(HARD, ALONE);
  console.log(`${HARD.length} sentences, ${right.toFixed(3)} right`);
  expect(HARD.length).toBeGreaterThan(300);
  expect(right >= 0.56 ? "enough" : wrong).toBe("enough");
});
