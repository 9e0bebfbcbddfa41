import type { TextPart } from "./letter";

interface Line {
  readonly start: number;
  readonly end: number;
  readonly text: string;
}

function linesOf(text: string): Line[] {
  const lines: Line[] = [];
  let start = 0;
  while (start < text.length) {
    const found = text.indexOf("\n", start);
    const end = found === -1 ? text.length : found + 1;
    lines.push({ start, end, text: text.slice(start, end).trimEnd() });
    start = end;
  }
  return lines;
}

const QUOTE_SIGN = /^\s{0,3}(?:[>|]|\w{1,3}>)/;
const WROTE = /(?:\bwrote|\bschrieb|\ba écrit|\bha scritto|\bescribió|\bschreef|\bskrev|\bnapisał)\b.{0,60}:\s*$/i;
const WROTE_LEAD = /^\s*(?:on|am|le|il|el|op|den|w dniu|at)\b/i;
const HISTORY_MARK =
  /^\s*-{2,}\s*(?:original message|original appointment|ursprüngliche nachricht|message d'origine)\s*-{2,}\s*$/i;
const FORWARD_MARK =
  /^\s*(?:-{2,}\s*(?:forwarded message|weitergeleitete nachricht|message transféré|original message)(?: from .{1,80})?\s*-{2,}|begin forwarded message:)\s*$/i;
const HEADER_LINE =
  /^\s*\*?(?:from|von|de|da|sent|gesendet|envoyé|date|datum|to|an|à|cc|subject|betreff|objet)\s*:\*?\s/i;
const UNDERLINES = /^\s*_{20,}\s*$/;
const SIGNATURE_MARK = /^-- ?$/;
const LIST_FOOTER = /^_{10,}$|^-{10,}$/;

/** Lines below which a farewell is looked for at the foot of a letter, and how many lines a signature may have. */
const LONGEST_SIGNATURE_LINES = 12;

function isHeaderBlock(lines: readonly Line[], at: number): boolean {
  if (!HEADER_LINE.test(lines[at]?.text ?? "") || !/^\s*\*?(?:from|von|de|da)\s*:/i.test(lines[at]!.text)) return false;
  let count = 0;
  for (let i = at; i < Math.min(at + 6, lines.length); i += 1) if (HEADER_LINE.test(lines[i]!.text)) count += 1;
  return count >= 3;
}

function wroteLength(lines: readonly Line[], at: number): number {
  const one = lines[at]!.text;
  if (WROTE.test(one) && (WROTE_LEAD.test(one) || QUOTE_SIGN.test(lines[at + 1]?.text ?? "") || /@|\d{4}/.test(one)))
    return 1;
  // The line is folded by most programs: "On Tue, 24 Nov 2026 at 08:12, Colm Hartnell\n<colm@…> wrote:".
  const two = `${one} ${lines[at + 1]?.text ?? ""}`;
  return WROTE_LEAD.test(one) && /\d/.test(one) && !QUOTE_SIGN.test(one) && WROTE.test(two) && two.length < 300 ? 2 : 0;
}

/**
 * Tells what is new in a letter from what is quoted, forwarded, or its signature. The parts follow one another without
 * gaps from 0 to the end. What stands between quoted lines is new. Nothing is left out: a part is only a label.
 * RFC 3676 section 4.3 for "-- "; quote signs, "On … wrote:" and header blocks are common practice of mail programs.
 */
export function splitText(text: string, isForward: boolean): TextPart[] {
  const lines = linesOf(text);
  const kinds: TextPart["kind"][] = lines.map(() => "new");
  let rest: TextPart["kind"] | null = null;
  for (let i = 0; i < lines.length; i += 1) {
    const line = lines[i]!.text;
    if (rest) {
      kinds[i] = rest;
      continue;
    }
    const isMark =
      FORWARD_MARK.test(line) || HISTORY_MARK.test(line) || (UNDERLINES.test(line) && isHeaderBlock(lines, i + 1));
    if (isMark || isHeaderBlock(lines, i)) {
      rest = isForward ? "forwarded" : "quoted";
      kinds[i] = rest;
      continue;
    }
    const wrote = wroteLength(lines, i);
    if (wrote > 0) {
      for (let j = 0; j < wrote; j += 1) kinds[i + j] = "quoted";
      i += wrote - 1;
      // Where the quotation below has no signs, all of it is history; with signs, answers between the lines stay new.
      const following = lines.slice(i + 1).find((other) => other.text !== "");
      if (following && !QUOTE_SIGN.test(following.text)) rest = "quoted";
      continue;
    }
    if (QUOTE_SIGN.test(line)) kinds[i] = "quoted";
    else if (SIGNATURE_MARK.test(lines[i]!.text) && lines.length - i <= LONGEST_SIGNATURE_LINES + 40) {
      for (let j = i; j < lines.length && !QUOTE_SIGN.test(lines[j]!.text) && wroteLength(lines, j) === 0; j += 1) {
        kinds[j] = "signature";
        i = j;
      }
    } else if (LIST_FOOTER.test(line) && i > 0 && lines.length - i <= LONGEST_SIGNATURE_LINES && i > lines.length / 2)
      rest = "signature";
  }
  // A blank line belongs to what stands before it, so that parts do not fall apart into single lines.
  for (let i = 1; i < lines.length; i += 1) if (lines[i]!.text === "" && kinds[i] === "new") kinds[i] = kinds[i - 1]!;
  const parts: TextPart[] = [];
  for (const [i, line] of lines.entries()) {
    const last = parts.at(-1);
    if (last && last.kind === kinds[i]) parts[parts.length - 1] = { ...last, end: line.end };
    else parts.push({ kind: kinds[i]!, start: line.start, end: line.end });
  }
  return parts;
}
