/** Initials for a jar label: of the first and the last word, "Ines Valdarno" → "IV"; one letter where there is one word. */
export function initialsOf(name: string): string {
  const words = name
    .replace(/["'(<].*/, "")
    .split(/[\s@.]+/)
    .filter((word) => /\p{L}|\d/u.test(word));
  const first = words[0]?.match(/[\p{L}\d]/u)?.[0] ?? "?";
  const last = words.length > 1 ? (words.at(-1)?.match(/[\p{L}\d]/u)?.[0] ?? "") : "";
  return (first + last).toUpperCase();
}
