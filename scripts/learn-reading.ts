// npm run learn:reading: learns from all labelled passages how asks, questions, promises and trouble are worded, and writes the weights.
import fs from "node:fs";
import path from "node:path";
import { packRuns } from "../src/core/reading/weighing/packed-runs";
import { SURROUNDINGS } from "../src/core/reading/weighing/surroundings";
import { keepFingerprints } from "../tests/reading/learning/fingerprint";
import { passagesHeld } from "../tests/reading/learning/held-passages";
import { learnWording, wordingExamples } from "../tests/reading/learning/in-letter";
import { passageExamples } from "../tests/reading/learning/passages";
import { asLines, asRows } from "./write-weights";

const FOLDER = path.join(import.meta.dirname, "../src/core/reading/weighing");

const wording = await learnWording();
const { meaning, runs, inLetter, ...learnt } = wording;
fs.writeFileSync(path.join(FOLDER, "weights.json"), `${asLines(learnt, "")}\n`);
fs.writeFileSync(path.join(FOLDER, "meaning.json"), `${asRows(meaning)}\n`);
fs.writeFileSync(path.join(FOLDER, "runs.json"), `${JSON.stringify(packRuns(runs!))}\n`);
const bySurroundings = SURROUNDINGS.map((name, i) => [name, inLetter!.ofMeasured[i]!] as const);
fs.writeFileSync(
  path.join(FOLDER, "surroundings.json"),
  `${asLines({ bias: inLetter!.bias, weights: Object.fromEntries(bySurroundings) }, "")}\n`,
);
fs.writeFileSync(path.join(FOLDER, "held.json"), `${JSON.stringify(await passagesHeld(), null, 2)}\n`);
keepFingerprints("reading", await wordingExamples(wording));
console.log(
  `${(await passageExamples()).length} passages, ${Object.keys(learnt.weights).length} names with their weights`,
);
