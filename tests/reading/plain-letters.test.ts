import fs from "node:fs";
import path from "node:path";
import { expect, test } from "vitest";
import { readLetter } from "@/core/reading/read-letter";
import { KIND_MARKS } from "./kind-marks";
import { letterOf, PEOPLE } from "./labelled";
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

const SENTENCES = fs
  .readFileSync(path.join(FOLDER, "sentences.txt"), "utf8")
  .split("=====\n")[1]!
  .trim()
  .split("\n")
  .map((line) => ({ kind: KIND_MARKS[line[0]!] ?? null, sentence: line.slice(2) }));

/** What a sentence is read as in a letter of Kofi's to Nadia; null where as nothing, or as several things. */
async function readIn(around: string, sentence: string): Promise<string | null> {
  const text = around.replace("…", () => sentence);
  const letter = await letterOf("kd -> nadia | Tue, 3 Mar 2026 10:00:00 +0100 | News", text);
  const slips = readLetter(letter, PEOPLE, { at: letter.sentAt!, zone: letter.offset });
  return slips.map(({ kind }) => kind).join(" and ") || null;
}

test.each([
  ["alone", "…", 0.9],
  ["with a name below", "Hi Nadia,\n\n…\n\nKofi\n", 0.89],
  ["with a farewell below", "Hi Nadia,\n\n…\n\nBest regards\nKofi\n", 0.89],
  ["behind thanks", "Hi Nadia,\n\nthanks for the photos. …\n\nKofi\n", 0.8],
  ["before a wish", "Hi Nadia,\n\n… I hope you had a good weekend.\n\nKofi\n", 0.8],
  [
    "among talk",
    "Hi Nadia,\n\nit was good to see you on Friday. The weather held until noon.\n\n…\n\nThe others send their love.\n\nKofi\n",
    0.82,
  ],
] as const)("plain sentences are read as what they are, %s", async (_, around, floor) => {
  const wrong: string[] = [];
  for (const { kind, sentence } of SENTENCES) {
    const is = await readIn(around, sentence);
    if (is !== kind) wrong.push(`${kind ?? "nothing"} read as ${is ?? "nothing"}: ${sentence}`);
  }
  const right = 1 - wrong.length / SENTENCES.length;
  console.log(`${SENTENCES.length} sentences, ${right.toFixed(3)} right`);
  expect(SENTENCES.length).toBeGreaterThan(390);
  expect(right >= floor ? "enough" : wrong).toBe("enough");
});
