// npm run learn:sureness: learns how sure it is what an answer changes, from labelled conversations that following did not learn from.
import fs from "node:fs";
import path from "node:path";
import { learnSureness, surenessExamples } from "../tests/reading/learning/sureness";
import { asLines } from "./write-weights";

const FILE = path.join(import.meta.dirname, "../src/core/following/weighing/sureness.json");

const examples = await surenessExamples();
const learnt = learnSureness(examples);
fs.writeFileSync(FILE, `${asLines(learnt, "")}\n`);
console.log(`${examples.length} changes, ${Object.keys(learnt.weights).length} names with their weights`);
