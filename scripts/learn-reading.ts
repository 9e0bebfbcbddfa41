// npm run learn:reading: learns from all labelled passages how asks, questions, promises and trouble are worded, and writes the weights.
import fs from "node:fs";
import path from "node:path";
import { learnWording, passagesLabelled } from "../tests/reading/learning/passages";
import { asLines, asRows } from "./write-weights";

const FOLDER = path.join(import.meta.dirname, "../src/core/reading/weighing");

const { meaning, ...learnt } = await learnWording();
fs.writeFileSync(path.join(FOLDER, "weights.json"), `${asLines(learnt, "")}\n`);
fs.writeFileSync(path.join(FOLDER, "meaning.json"), `${asRows(meaning)}\n`);
console.log(`${await passagesLabelled()} passages, ${Object.keys(learnt.weights).length} names with their weights`);
