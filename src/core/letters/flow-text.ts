import type { TextPart } from "./letter";
import { isTableLine } from "./table-line";

/** A paragraph of a letter as it is set: its characters, and which of its line ends are soft (set as a space). */
export interface Paragraph {
  readonly kind: TextPart["kind"];
  readonly start: number;
  readonly end: number;
  readonly softBreaks: ReadonlySet<number>;
}

/** A line shorter than this was ended on purpose: an address, a farewell, a line of a list. */
const SHORTEST_FOLDED_LINE = 52;

const STARTS_OWN_LINE = /^\s*(?:[-*•–·>|]|\(?\d{1,3}[.)]|[\w ]{1,20}:\s)/;

/**
 * Cuts parts of a letter into paragraphs, and tells line ends that a mail program folded in from those the writer meant.
 * Characters keep their places in the text, so that passages stay where they are.
 */
export function flowText(text: string, parts: readonly TextPart[]): Paragraph[] {
  const paragraphs: Paragraph[] = [];
  for (const part of parts) {
    let start = part.start;
    let soft = new Set<number>();
    let at = part.start;
    const close = (end: number) => {
      if (text.slice(start, end).trim() !== "") paragraphs.push({ kind: part.kind, start, end, softBreaks: soft });
      soft = new Set();
    };
    while (at < part.end) {
      const found = text.indexOf("\n", at);
      const lineEnd = found === -1 || found >= part.end ? part.end : found;
      const line = text.slice(at, lineEnd);
      const next = lineEnd + 1;
      if (line.trim() === "") {
        close(at);
        start = Math.min(next, part.end);
      } else if (lineEnd < part.end) {
        const nextEnd = text.indexOf("\n", next);
        const following = text.slice(next, nextEnd === -1 ? part.end : nextEnd);
        if (
          part.kind === "new" &&
          line.length >= SHORTEST_FOLDED_LINE &&
          following.trim() !== "" &&
          !STARTS_OWN_LINE.test(following) &&
          !isTableLine(line) &&
          !isTableLine(following)
        )
          soft.add(lineEnd);
      }
      at = next;
    }
    close(part.end);
  }
  return paragraphs;
}
