// npm run learn:reading: learns from all labelled passages how asks, questions, promises and trouble are worded, and writes the weights.
import fs from "node:fs";
import path from "node:path";
import { learnWording } from "../tests/reading/learning/passages";
import { asLines } from "./write-weights";

const FILE = path.join(import.meta.dirname, "../src/core/reading/weighing/weights.json");

const { examples, ...learnt } = await learnWording();
fs.writeFileSync(FILE, `${asLines(learnt, "")}\n`);
console.log(`${examples} passages, ${Object.keys(learnt.weights).length} names with their weights`);
