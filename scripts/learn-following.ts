// npm run learn:following: learns from the labelled answers and conversations how answers are put, and writes the weights.
import fs from "node:fs";
import path from "node:path";
import { followingExamples, learnAnswerRuns, learnFollowing } from "../tests/reading/learning/examples";
import { keepFingerprints } from "../tests/reading/learning/fingerprint";
import { asLines } from "./write-weights";

const FOLDER = path.join(import.meta.dirname, "../src/core/following/weighing");

const { whether, what } = await learnFollowing();
fs.writeFileSync(
  path.join(FOLDER, "weights.json"),
  `{\n  "whether": ${asLines(whether, "  ")},\n  "what": ${asLines(what, "  ")}\n}\n`,
);
fs.writeFileSync(path.join(FOLDER, "runs.json"), `${JSON.stringify(await learnAnswerRuns())}\n`);
keepFingerprints("following", await followingExamples());
console.log(`${Object.keys(whether.weights).length} and ${Object.keys(what.weights).length} names with their weights`);
