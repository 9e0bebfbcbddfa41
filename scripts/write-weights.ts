import type { Weights } from "../src/core/reading/weighing/shares";

/** Weights as JSON, a name a line, so that a change of the labels can be read in what it changed. */
export function asLines({ bias, weights }: Weights, indent: string): string {
  const lines = Object.entries(weights).map(
    ([name, own]) => `${indent}    ${JSON.stringify(name)}: [${own.join(", ")}]`,
  );
  return `{\n${indent}  "bias": [${bias.join(", ")}],\n${indent}  "weights": {\n${lines.join(",\n")}\n${indent}  }\n${indent}}`;
}

/** Words with their numbers as JSON, a row for each. */
export function asRows(words: ReadonlyMap<string, readonly number[]>): string {
  const rows = [...words].map(([word, own]) => `  [${[JSON.stringify(word), ...own].join(", ")}]`);
  return `[\n${rows.join(",\n")}\n]`;
}
