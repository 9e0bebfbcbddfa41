import { isLegalNote, isListFooter, isProgramNote, isRule, isSignatureMark, isWayOut } from "./footers";
import {
  attributionAt,
  headerBlockLength,
  isForwardMark,
  isOriginalMark,
  isQuoted,
  ownQuoteSign,
} from "./history-marks";
import type { TextPart } from "./letter";

interface Line {
  readonly start: number;
  readonly end: number;
  readonly text: string;
}

type Kind = TextPart["kind"];

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

/** Lines of a signature at the most; what runs longer is a letter under a dash. */
const LONGEST_SIGNATURE_LINES = 40;

/** Lines of a list's footer at the most, counted from the rule above it. */
const LONGEST_FOOTER_LINES = 16;

/** The kinds of the lines of one letter while they are found out. */
class Splitter {
  readonly kinds: Kind[];
  /** Where in a line something else begins: "reply On Wed … wrote:". */
  readonly cuts = new Map<number, number>();
  private readonly texts: readonly string[];
  /** A sign of the writer's own before quoted lines ("--]"), once an attribution has shown it. */
  private ownSign: string | null = null;
  private lastSigned: number | undefined;
  private hasNewAbove = false;

  constructor(
    lines: readonly Line[],
    private readonly isForward: boolean,
  ) {
    this.texts = lines.map((line) => line.text);
    this.kinds = lines.map(() => "new");
  }

  split(): void {
    this.markHistory();
    this.markSignature();
    this.markListFooter();
    this.markLegalNotes();
    // A blank line belongs to what stands before it, so that parts do not fall apart into single lines.
    for (let i = 1; i < this.texts.length; i += 1)
      if (this.texts[i] === "" && this.kinds[i] === "new") this.kinds[i] = this.kinds[i - 1]!;
  }

  private fill(from: number, to: number, kind: Kind): void {
    for (let i = from; i < to; i += 1) this.kinds[i] = kind;
  }

  /** Quoted lines, and what follows a mark of history or of forwarding to the end. */
  private markHistory(): void {
    const { texts } = this;
    for (let i = 0; i < texts.length; i += 1) {
      const line = texts[i]!;
      if (line === "") continue;
      if ((isQuoted(line) && !this.isEscapedFrom(i)) || this.isBrokenQuote(i) || this.hasOwnSign(line)) {
        this.kinds[i] = "quoted";
        continue;
      }
      if (isForwardMark(line)) {
        this.fill(i, texts.length, "forwarded");
        return;
      }
      const headers = headerBlockLength(texts, i);
      const marked = isOriginalMark(line) || this.isRuleAboveHeaders(i) ? 1 : 0;
      const block = marked === 1 ? marked + headerBlockLength(texts, i + 1) : headers;
      if (block > 0 && this.isAnsweredBelow(i, block)) {
        this.fill(i, i + block, "quoted");
        i += block - 1;
        continue;
      }
      if (block > 0) {
        // Without a mark of its own a block of headers is an answer's history, or what a "Fwd:" passes on.
        const isPassedOn = this.isForward && !this.kinds.includes("quoted");
        this.fill(i, texts.length, isPassedOn ? "forwarded" : "quoted");
        return;
      }
      const attribution = attributionAt(texts, i);
      if (!attribution) {
        this.hasNewAbove = true;
        continue;
      }
      if (attribution.from > 0) this.cuts.set(i, attribution.from);
      else this.kinds[i] = "quoted";
      this.fill(i + 1, i + attribution.count, "quoted");
      const below = i + attribution.count;
      const following = this.nextWords(below);
      this.ownSign ??= ownQuoteSign(texts, below);
      // Where the quotation below has no signs, all of it is history; with signs, answers between the lines stay new.
      if (following !== undefined && !isQuoted(following) && !this.hasOwnSign(following)) {
        this.fill(below, texts.length, "quoted");
        return;
      }
      i = below - 1;
    }
  }

  /**
   * Headers in place of "On … wrote:": where the quotation below them has signs and nothing new stands above, the answer
   * stands between the quoted lines.
   */
  private isAnsweredBelow(at: number, block: number): boolean {
    if (isQuoted(this.nextWords(at + block) ?? "")) return true;
    const below = at + block;
    this.lastSigned ??= this.texts.findLastIndex(isQuoted);
    return !this.hasNewAbove && this.lastSigned >= below;
  }

  private hasOwnSign(line: string): boolean {
    return this.ownSign !== null && line.startsWith(this.ownSign);
  }

  /** ">From the top" alone among unquoted lines: a mailbox file has put the sign there (RFC 4155). */
  private isEscapedFrom(at: number): boolean {
    return (
      /^>From /.test(this.texts[at]!) && !isQuoted(this.texts[at - 1] ?? "") && !isQuoted(this.texts[at + 1] ?? "")
    );
  }

  /** The end of a quoted link that a program has broken over the line: no answer begins with such signs. */
  private isBrokenQuote(at: number): boolean {
    return (
      /^\s*[(_=&?/%]\S/.test(this.texts[at]!) &&
      isQuoted(this.texts[at - 1] ?? "") &&
      isQuoted(this.texts[at + 1] ?? "")
    );
  }

  private isRuleAboveHeaders(at: number): boolean {
    return isRule(this.texts[at]!) && headerBlockLength(this.texts, at + 1) > 0;
  }

  /** From "-- " on, up to the history below it; and lines that a program adds of its own accord. */
  private markSignature(): void {
    const lastOfNew = this.texts.findLastIndex((text, i) => text !== "" && this.kinds[i] === "new");
    for (const [i, line] of this.texts.entries()) {
      if (this.kinds[i] !== "new") continue;
      if (i === lastOfNew && isProgramNote(line)) this.kinds[i] = "signature";
      if (!isSignatureMark(line)) continue;
      let end = i;
      while (end - i <= LONGEST_SIGNATURE_LINES && end < this.texts.length && this.kinds[end] === "new") end += 1;
      if (end - i <= LONGEST_SIGNATURE_LINES) this.fill(i, end, "signature");
    }
  }

  private nextWords(from: number): string | undefined {
    for (let i = from; i < this.texts.length; i += 1) if (this.texts[i] !== "") return this.texts[i];
    return undefined;
  }

  /** Below the last rule of the letter, or the last paragraph on how to leave, where what stands there speaks of a list. */
  private markListFooter(): void {
    const { texts } = this;
    for (let i = Math.max(1, texts.length - LONGEST_FOOTER_LINES); i < texts.length; i += 1) {
      const begins = isRule(texts[i]!) || (texts[i - 1] === "" && isWayOut(texts.slice(i)));
      if (!begins || (this.kinds[i] !== "new" && this.kinds[i] !== "signature")) continue;
      if (texts.slice(i + 1).some((text) => isQuoted(text)) || !isListFooter(texts.slice(i))) continue;
      this.fill(i, texts.length, "footer");
      return;
    }
  }

  /** Paragraphs of new text or of a signature that only speak for the firm's lawyers. */
  private markLegalNotes(): void {
    let from = 0;
    for (let i = 0; i <= this.texts.length; i += 1) {
      if (i < this.texts.length && this.texts[i] !== "") continue;
      if (from < i && this.kinds[from] === "new" && from > 0 && isLegalNote(this.texts.slice(from, i).join(" ")))
        this.fill(from, i, "footer");
      from = i + 1;
    }
  }
}

/**
 * Tells what is new in a letter from what is quoted, forwarded, its signature and standing footers. The parts follow one
 * another without gaps from 0 to the end, and nothing is left out: a part is only a label. What stands between quoted
 * lines is new. RFC 3676 section 4.3 for "-- "; the rest is common practice of mail programs (see history-marks, footers).
 * @param isForward whether the subject says that a letter is passed on
 */
export function splitText(text: string, isForward: boolean): TextPart[] {
  const lines = linesOf(text);
  const splitter = new Splitter(lines, isForward);
  splitter.split();
  const parts: TextPart[] = [];
  const add = (kind: Kind, start: number, end: number) => {
    const last = parts.at(-1);
    if (start >= end) return;
    if (last && last.kind === kind) parts[parts.length - 1] = { ...last, end };
    else parts.push({ kind, start, end });
  };
  for (const [i, line] of lines.entries()) {
    const cut = splitter.cuts.get(i);
    if (cut === undefined) add(splitter.kinds[i]!, line.start, line.end);
    else {
      add("new", line.start, line.start + cut);
      add("quoted", line.start + cut, line.end);
    }
  }
  return parts;
}
