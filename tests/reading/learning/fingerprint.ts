import crypto from "node:crypto";
import fs from "node:fs";
import path from "node:path";
import type { Example } from "./logistic";

/** What was learnt from, and what came of it, as they were when the weights were written. */
export const LEARNT_FROM = path.join(import.meta.dirname, "learnt-from.json");

const WEIGHTS = path.join(import.meta.dirname, "../../../src/core");

const FILES = {
  reading: ["weights", "meaning", "runs", "surroundings"].map((name) => `reading/weighing/${name}.json`),
  following: ["weights", "runs"].map((name) => `following/weighing/${name}.json`),
};

/** What is learnt: how passages are worded, or how answers are put. */
export type Lesson = keyof typeof FILES;

/** How is learnt: another step, penalty or choice of sets teaches other weights from the same examples. */
const METHOD = {
  reading: [
    "logistic.ts",
    "rows.ts",
    "adam.ts",
    "word-runs.ts",
    "passages.ts",
    "in-letter.ts",
    "vectors.ts",
    "valence.ts",
    "word-vectors.bin",
  ],
  following: ["logistic.ts", "rows.ts", "adam.ts", "word-runs.ts", "examples.ts"],
};

const hashed = () => crypto.createHash("sha256");

/**
 * By what examples in their order can be known again: another label, another passage or another way to name what is found in
 * one gives another fingerprint. To learn anew from all of them would take minutes.
 */
export function fingerprintOf(examples: readonly Example[]): string {
  const hash = hashed();
  for (const { found, measured, is } of examples)
    hash.update(`${is}|${found.join("|")}|${[...(measured ?? [])].map((one) => one.toFixed(3)).join(" ")}\n`);
  return hash.digest("hex");
}

/** The fingerprint of the weights that are kept. */
export function fingerprintOfWeights(lesson: Lesson): string {
  const hash = hashed();
  for (const file of FILES[lesson]) hash.update(fs.readFileSync(path.join(WEIGHTS, file)));
  return hash.digest("hex");
}

/** The fingerprint of what is learnt by. */
export function fingerprintOfMethod(lesson: Lesson): string {
  const hash = hashed();
  for (const file of METHOD[lesson]) hash.update(fs.readFileSync(path.join(import.meta.dirname, file)));
  return hash.digest("hex");
}

interface Fingerprints {
  readonly examples: string;
  readonly method: string;
  readonly weights: string;
}

/** The fingerprints that were written with the weights. */
export function fingerprintsKept(): Readonly<Record<Lesson, Fingerprints>> {
  return JSON.parse(fs.readFileSync(LEARNT_FROM, "utf8"));
}

/** Keeps by what the examples and the weights just learnt from them are known again. */
export function keepFingerprints(lesson: Lesson, examples: readonly Example[]): void {
  const kept = fs.existsSync(LEARNT_FROM) ? fingerprintsKept() : {};
  const now = {
    examples: fingerprintOf(examples),
    method: fingerprintOfMethod(lesson),
    weights: fingerprintOfWeights(lesson),
  };
  fs.writeFileSync(LEARNT_FROM, `${JSON.stringify({ ...kept, [lesson]: now }, null, 2)}\n`);
}
