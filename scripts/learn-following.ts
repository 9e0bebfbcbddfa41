// npm run learn:following: learns from the labelled answers and conversations how answers are put, and writes the weights.
import fs from "node:fs";
import path from "node:path";
import { learnFollowing } from "../tests/reading/learning/examples";

const FILE = path.join(import.meta.dirname, "../src/core/following/weighing/weights.json");

const learnt = await learnFollowing(null);
// A name a line, so that a change of the labels can be read in what it changed.
const lines = (weights: Readonly<Record<string, readonly number[]>>) =>
  Object.entries(weights).map(([name, own]) => `      ${JSON.stringify(name)}: [${own.join(", ")}]`);
const part = ({ bias, weights }: (typeof learnt)["what"]) =>
  `{\n    "bias": [${bias.join(", ")}],\n    "weights": {\n${lines(weights).join(",\n")}\n    }\n  }`;
fs.writeFileSync(FILE, `{\n  "whether": ${part(learnt.whether)},\n  "what": ${part(learnt.what)}\n}\n`);
console.log(
  `${Object.keys(learnt.whether.weights).length} and ${Object.keys(learnt.what.weights).length} names with their weights`,
);
