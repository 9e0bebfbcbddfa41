// npm run learn:following: learns from the labelled answers and conversations how answers are put, and writes the weights.
import fs from "node:fs";
import path from "node:path";
import { followingExamples, learnFollowing } from "../tests/reading/learning/examples";
import { keepFingerprints } from "../tests/reading/learning/fingerprint";
import { asLines } from "./write-weights";

const FILE = path.join(import.meta.dirname, "../src/core/following/weighing/weights.json");

const { whether, what } = await learnFollowing();
fs.writeFileSync(FILE, `{\n  "whether": ${asLines(whether, "  ")},\n  "what": ${asLines(what, "  ")}\n}\n`);
keepFingerprints("following", await followingExamples());
console.log(`${Object.keys(whether.weights).length} and ${Object.keys(what.weights).length} names with their weights`);
