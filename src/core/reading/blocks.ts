import type { TextPart } from "../letters/letter";
import { isTableLine } from "../letters/table-line";

const BULLET = /^\s*(?:[-*•–·]|\(?\d{1,2}[.)]|\(?[a-h][.)])\s+/;
const FAREWELL =
  /^\s*(?:(?:kind|best|warm|warmest|many thanks and|with (?:kind|best)|friendly)?\s*(?:regards|wishes)|cheers|thanks(?: again| a lot| in advance| so much)?|many thanks|thank you|all the best|best|yours(?: \w+)?|sincerely|bye|take care|see you(?: \w+)?|until then|love|have a (?:good|nice|great|lovely) \w+)\b[\s,.!]*$/i;

/** What is added below the name. */
const POSTSCRIPT = /^\s*P\.?\s?S\b\.?\s*[:–-]?\s*/im;

/** A paragraph, a line that was ended on purpose, or a point of a list. */
export interface Block {
  start: number;
  end: number;
  isListItem: boolean;
  paragraph: number;
}

/** "Gus: the brackets": who is called, each on a line. */
const NAME_CALLED_AT_HEAD = /^[ \t]*\p{Lu}\p{L}+(?:(?: and | & |, )\p{Lu}\p{L}+)?:[ \t]+\S/u;

/** Paragraphs and list items of a stretch; a farewell ends the letter, since only names and titles follow it. */
export function blocksOf(text: string, part: TextPart): Block[] {
  const blocks: Block[] = [];
  let open: Block | null = null;
  let paragraph = 0;
  let at = part.start;
  let isBroken = false;
  const width = widthOf(text.slice(part.start, part.end));
  const isUnfolded = isWrittenInLines(text.slice(part.start, part.end), width);
  const usesCapitals = beginsWithCapitals(text.slice(part.start, part.end));
  while (at < part.end) {
    const found = text.indexOf("\n", at);
    const end = found === -1 || found >= part.end ? part.end : found + 1;
    const line = text.slice(at, end).trimEnd();
    const isBullet = BULLET.test(line);
    if (line.trim() === "") {
      open = null;
      paragraph += 1;
    } else if (FAREWELL.test(line) && line.length < 60) {
      if (isNearEnd(text, end, part.end)) {
        const postscript = POSTSCRIPT.exec(text.slice(end, part.end));
        if (!postscript) break;
        at = end + postscript.index + postscript[0].length;
        open = null;
        continue;
      }
      open = null;
    } else if (isBullet || open === null || isBroken || isTableLine(line)) {
      const skip = isBullet ? BULLET.exec(line)![0].length : line.length - line.trimStart().length;
      open = { start: at + skip, end: at + line.length, isListItem: isBullet, paragraph };
      blocks.push(open);
    } else open.end = at + line.length;
    // A line in which the next word had room was ended on purpose, not folded by the mail program.
    const next = /^\s*(\S+)/.exec(text.slice(end, end + 80))?.[1] ?? "";
    const hadRoom = line.length + 1 + next.length < width;
    const isEnded = /[.?!,)]["”’']?$/.test(line) || /^[\p{Lu}\d"“(]/u.test(next) || line.length < width * SHORT_LINE;
    // In letters written line by line too, a full line that goes on in small letters was folded.
    const goesOn = usesCapitals && !hadRoom && !isEnded && /^\p{Ll}/u.test(next);
    const isCalled = NAME_CALLED_AT_HEAD.test(text.slice(end, end + 80));
    isBroken =
      isCalled ||
      isTableLine(line) ||
      (isUnfolded && !goesOn) ||
      /[:;]$/.test(line) ||
      line.length > FOLDED_AT ||
      (hadRoom && isEnded);
    at = end;
  }
  return blocks;
}

/** Whether most lines begin with a capital: where people write without, a small letter at the head of a line says nothing. */
function beginsWithCapitals(text: string): boolean {
  const heads = text.split("\n").flatMap((line) => /\p{L}/u.exec(line.trim().slice(0, 3))?.[0] ?? []);
  return heads.filter((head) => head !== head.toLowerCase()).length * 2 > heads.length;
}

/** No mail program folds lines longer than this; whoever has them writes a paragraph a line. */
const FOLDED_AT = 90;

/** Characters to which lines are folded at the least; common practice is 66 to 78 (RFC 5322 section 2.1.1 asks for no more). */
const NARROWEST_FOLD = 66;

/** A line below this share of the width was ended on purpose, whatever follows. */
const SHORT_LINE = 0.7;

/** Share of the lines that are no longer than the width to which a text was folded: one long address says nothing. */
const MOST_LINES = 0.85;

/** Whether most lines that another follows had room for its first word: then nobody folded them, and each was ended on purpose. */
function isWrittenInLines(text: string, width: number): boolean {
  const lines = text.split("\n").map((line) => line.trim());
  const pairs = lines.flatMap((line, i) => {
    const next = lines[i + 1] ?? "";
    return line === "" || next === "" ? [] : [line.length + 1 + (/^\S+/.exec(next)?.[0].length ?? 0) < width];
  });
  return pairs.length > 0 && pairs.filter(Boolean).length > pairs.length / 2;
}

/** Lines that go on in the next, at the least, by which a text is known as folded more narrowly than is common. */
const FEWEST_GOING_ON = 3;

/** The width that a narrow window leaves at the least. */
const NARROW = 30;

/** Characters by which programs that fold differ in what has room. */
const MORE_OR_LESS = 3;

/**
 * Whether most lines that another follows end without a mark, had no room for its first word within the usual length, and
 * go on in small letters: then the text was folded, be it ever so narrowly.
 */
function isFolded(text: string): boolean {
  const lines = text.split("\n").map((line) => line.trim());
  const width = usualLength(text) - MORE_OR_LESS;
  if (width < NARROW || width > NARROWEST_FOLD) return false;
  const followed = lines.slice(0, -1).flatMap((line, i) => (line === "" || lines[i + 1] === "" ? [] : [i]));
  const goingOn = followed.filter((i) => {
    const [line, next] = [lines[i]!, lines[i + 1]!];
    const isFull = line.length + 1 + (/^\S+/.exec(next)?.[0].length ?? 0) > width;
    return isFull && /[\p{L}\p{N},'’)]$/u.test(line) && /^\p{Ll}/u.test(next);
  });
  return goingOn.length >= FEWEST_GOING_ON && goingOn.length * 2 > followed.length;
}

/** What most lines do not exceed. */
function usualLength(text: string): number {
  const lengths = text
    .split("\n")
    .map((line) => line.trimEnd().length)
    .filter((length) => length > 0)
    .sort((a, b) => a - b);
  return lengths[Math.floor(lengths.length * MOST_LINES)] ?? 0;
}

/** The width to which a text was folded, less a little, since programs count differently. */
function widthOf(text: string): number {
  const narrowest = isFolded(text) ? NARROW : NARROWEST_FOLD;
  return Math.max(narrowest, Math.min(usualLength(text), FOLDED_AT) - MORE_OR_LESS);
}

function isNearEnd(text: string, at: number, end: number): boolean {
  return (
    text
      .slice(at, end)
      .trim()
      .split("\n")
      .filter((line) => line.trim() !== "").length <= 6
  );
}
