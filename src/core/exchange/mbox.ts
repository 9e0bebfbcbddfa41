/** A message cut out of an mbox file, without its "From " line. */
export interface MboxMessage {
  readonly raw: Uint8Array;
  /** Set where the message is larger than the limit: its bytes are then left out, and this is their number. */
  readonly tooLarge: number | null;
}

const NEWLINE = 10;

function isFromLine(line: Uint8Array): boolean {
  return line.length > 5 && line[0] === 70 && line[1] === 114 && line[2] === 111 && line[3] === 109 && line[4] === 32;
}

const SEPARATOR =
  /^From (?:.{0,250} )?(?:mon|tue|wed|thu|fri|sat|sun),? +(?:\d{1,2} +)?(?:jan|feb|mar|apr|may|jun|jul|aug|sep|oct|nov|dec)\b.{0,20}\d{1,2}:\d{2}.{0,20}\b(?:19|20)\d{2}\b/i;

/** "From sender Mon Jan  2 15:04:05 2006" (RFC 4155): a separator has weekday, month, time and year; a sentence that begins with "From " has not. */
function isSeparator(line: Uint8Array): boolean {
  return isFromLine(line) && SEPARATOR.test(new TextDecoder("latin1").decode(line.subarray(0, 300)));
}

/** Whether bytes begin like an mbox file (RFC 4155): a "From " line with a date. */
export function isMbox(head: Uint8Array): boolean {
  const end = head.indexOf(NEWLINE);
  return isSeparator(end === -1 ? head : head.subarray(0, end));
}

/** Bytes within which a separator must end; a longer line that begins with "From " is none. */
const LONGEST_SEPARATOR = 1_000;

const LETTER_F = 70;
const RETURN = 13;

/** The pieces of one message while it is being read; beyond the limit only their length is kept. */
class Pieces {
  private pieces: Uint8Array[] = [];
  private size = 0;
  private last: number[] = [];

  constructor(private readonly limit: number) {}

  add(piece: Uint8Array): void {
    if (piece.length === 0) return;
    this.size += piece.length;
    if (this.size <= this.limit) this.pieces.push(piece.slice());
    else this.pieces = [];
    this.last = [...this.last, ...piece.subarray(-3)].slice(-3);
  }

  /** Whether what stands before a place ends with a blank line, or there is nothing before it. */
  endsBlank(before: Uint8Array): boolean {
    const [a, b, c] = [...this.last, ...before.subarray(-3)].slice(-3);
    if (c === undefined)
      return a === undefined || (a === NEWLINE && b === undefined) || (a === NEWLINE && b === NEWLINE);
    return c === NEWLINE && (b === NEWLINE || (b === RETURN && a === NEWLINE));
  }

  finish(): MboxMessage | null {
    if (this.size === 0) return null;
    if (this.size > this.limit) return { raw: new Uint8Array(0), tooLarge: this.size };
    const raw = join(this.pieces);
    const isBlankEnd =
      raw.length >= 2 &&
      raw.at(-1) === NEWLINE &&
      (raw.at(-2) === NEWLINE || (raw.at(-2) === RETURN && raw.at(-3) === NEWLINE));
    return { raw: isBlankEnd ? raw.subarray(0, raw.length - (raw.at(-2) === RETURN ? 2 : 1)) : raw, tooLarge: null };
  }
}

/**
 * Cuts a stream of an mbox file (RFC 4155; the "mboxrd" and "mboxo" ways of quoting) into its messages. The blank line
 * before a separator belongs to the separator. Lines quoted as ">From " are given back as they stand in the file: what was
 * quoted cannot be told from what was written so, and the bytes are kept as found. Works within the memory of one message.
 * @param limit bytes beyond which a message is only counted
 */
export async function* messagesOfMbox(chunks: AsyncIterable<Uint8Array>, limit: number): AsyncGenerator<MboxMessage> {
  let message = new Pieces(limit);
  let isFirst = true;
  let rest: Uint8Array = new Uint8Array(0);
  for await (const chunk of chunks) {
    const block = rest.length > 0 ? join([rest, chunk]) : chunk;
    let from = 0;
    let kept = block.length;
    for (let at = block.indexOf(LETTER_F); at !== -1; at = block.indexOf(LETTER_F, at + 1)) {
      if (at > from && block[at - 1] !== NEWLINE) continue;
      const end = block.indexOf(NEWLINE, at);
      if (end === -1 && block.length - at < LONGEST_SEPARATOR) {
        kept = at;
        break;
      }
      if (
        end === -1 ||
        end - at > LONGEST_SEPARATOR ||
        !message.endsBlank(block.subarray(from, at)) ||
        !isSeparator(block.subarray(at, end))
      )
        continue;
      message.add(block.subarray(from, at));
      const done = isFirst ? null : message.finish();
      if (done) yield done;
      message = new Pieces(limit);
      isFirst = false;
      from = end + 1;
      at = end;
    }
    message.add(block.subarray(from, kept));
    rest = block.slice(kept);
  }
  message.add(rest);
  const last = isFirst ? null : message.finish();
  if (last) yield last;
}

function join(pieces: readonly Uint8Array[]): Uint8Array {
  const whole = new Uint8Array(pieces.reduce((sum, piece) => sum + piece.length, 0));
  let at = 0;
  for (const piece of pieces) {
    whole.set(piece, at);
    at += piece.length;
  }
  return whole;
}
