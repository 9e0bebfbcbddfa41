/** Letters that Unicode does not take apart into a letter and a mark, but that people type as others. */
const FOLDED: Readonly<Record<string, string>> = {
  ß: "ss",
  æ: "ae",
  œ: "oe",
  ø: "o",
  đ: "d",
  ð: "d",
  þ: "th",
  ł: "l",
  ı: "i",
};

/** Characters of a text that are looked at for words. */
const LONGEST_TEXT = 100_000;

/** Characters of a word that count; what is longer is no word. */
const LONGEST_WORD = 60;

/** Words of a search that count. */
const MOST_ASKED = 8;

/**
 * The words of a text as they are looked for, each once: letters and figures alone, in lower case, without accents
 * (Unicode NFKD, combining marks left out). An address gives each of its names.
 */
export function wordsIn(text: string): Set<string> {
  const folded = text
    .slice(0, LONGEST_TEXT)
    .toLowerCase()
    .normalize("NFKD")
    .replace(/\p{M}/gu, "")
    .replace(/[ßæœøđðþłı]/g, (sign) => FOLDED[sign]!);
  return new Set((folded.match(/[\p{L}\p{N}]+/gu) ?? []).map((word) => word.slice(0, LONGEST_WORD)));
}

/**
 * What a text is found by, as PostgreSQL writes a tsvector (manual, 8.11.1): those of `names` (subject, people, files) with
 * the weight A, the others with the least. A word without a place would have every weight.
 */
export function searchVector(names: string, text: string): string {
  const strong = wordsIn(names);
  const weak = [...wordsIn(text)].filter((word) => !strong.has(word));
  return [...[...strong].map((word) => `${word}:1A`), ...weak.map((word) => `${word}:1`)].join(" ");
}

/**
 * What somebody types as beginnings of words, as PostgreSQL writes a tsquery (8.11.2): "cedar pri" finds "Price for cedar".
 * Null where there is no word in it.
 * @param isStrong whether only what has the weight A counts
 */
export function searchQuery(typed: string, isStrong = false): string | null {
  const words = [...wordsIn(typed)].slice(0, MOST_ASKED);
  return words.length > 0 ? words.map((word) => `${word}:*${isStrong ? "A" : ""}`).join(" & ") : null;
}
