// npm run learn:newness: learns what of an answer is new, from labelled conversations, above all those that following did not learn from.
import fs from "node:fs";
import path from "node:path";
import { learnNewness, newnessExamples } from "../tests/reading/learning/newness";
import { asLines } from "./write-weights";

const FILE = path.join(import.meta.dirname, "../src/core/following/weighing/newness.json");

const examples = await newnessExamples();
const learnt = learnNewness(examples);
fs.writeFileSync(FILE, `${asLines(learnt, "")}\n`);
console.log(`${examples.length} slips, ${Object.keys(learnt.weights).length} names with their weights`);
