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

/** "From sender Mon Jan  2 15:04:05 2006": a separator has a time and a year, a sentence that begins with "From " rarely both. */
function isSeparator(line: Uint8Array): boolean {
  return isFromLine(line) && /^From (?:\S+ +)?.*\d{1,2}:\d{2}.*\b(?:19|20)\d{2}\b/.test(new TextDecoder("latin1").decode(line.subarray(0, 300)));
}

/** Whether bytes begin like an mbox file (RFC 4155): a "From " line with a date. */
export function isMbox(head: Uint8Array): boolean {
  const end = head.indexOf(NEWLINE);
  return isSeparator(end === -1 ? head : head.subarray(0, end));
}

/**
 * Cuts a stream of an mbox file (RFC 4155; the "mboxrd" and "mboxo" ways of quoting) into its messages. The blank line
 * before a separator belongs to the separator. Lines quoted as ">From " are given back as they stand in the file: what was
 * quoted cannot be told from what was written so, and the bytes are kept as found. Works within the memory of one message.
 * @param limit bytes beyond which a message is only counted
 */
export async function* messagesOfMbox(chunks: AsyncIterable<Uint8Array>, limit: number): AsyncGenerator<MboxMessage> {
  let lines: Uint8Array[] = [];
  let size = 0;
  let started = false;
  let blankBefore = true;
  let rest: Uint8Array = new Uint8Array(0);

  const finish = (): MboxMessage | null => {
    if (!started || size === 0) return null;
    if (size > limit) return { raw: new Uint8Array(0), tooLarge: size };
    const raw = join(lines);
    const isBlankEnd = raw.length >= 2 && raw.at(-1) === NEWLINE && (raw.at(-2) === NEWLINE || (raw.at(-2) === 13 && raw.at(-3) === NEWLINE));
    return { raw: isBlankEnd ? raw.subarray(0, raw.length - (raw.at(-2) === 13 ? 2 : 1)) : raw, tooLarge: null };
  };
  const take = (line: Uint8Array): MboxMessage | null => {
    if (blankBefore && isSeparator(line)) {
      const done = finish();
      lines = [];
      size = 0;
      started = true;
      return done;
    }
    blankBefore = line.length === 1 || (line.length === 2 && line[0] === 13);
    size += line.length;
    if (size <= limit) lines.push(line);
    else lines = [];
    return null;
  };

  for await (const chunk of chunks) {
    let block = rest.length > 0 ? join([rest, chunk]) : chunk;
    for (let end = block.indexOf(NEWLINE); end !== -1; end = block.indexOf(NEWLINE)) {
      const done = take(block.subarray(0, end + 1));
      if (done) yield done;
      block = block.subarray(end + 1);
    }
    rest = block;
  }
  if (rest.length > 0) take(rest);
  const last = finish();
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
