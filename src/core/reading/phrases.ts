/**
 * One pattern for many turns of phrase, a turn a line, each a piece of a regular expression. Whole words count, in either case;
 * an apostrophe may be straight or curly. `\p{L}` means a letter of the languages that are read, which the engine finds much
 * quicker than a letter of any language.
 */
export function phrases(lines: string): RegExp {
  const turns = lines
    .split("\n")
    .map((line) =>
      line
        .trim()
        .replaceAll("'", "['’]")
        .replaceAll(/\\p\{Lu?\}/g, "[a-zß-ÿ]"),
    )
    .filter((line) => line !== "");
  return new RegExp(`\\b(?:${turns.join("|")})\\b`, "i");
}
