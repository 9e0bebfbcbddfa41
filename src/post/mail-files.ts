import fs from "node:fs";
import path from "node:path";
import { isMbox, messagesOfMbox } from "../core/exchange/mbox";
import { LARGEST_MESSAGE_BYTES } from "../core/letters/mime";

/** A message found in a file: its bytes, or why there are none. */
export interface FoundMessage {
  /** Where it was found, in words for people. */
  readonly source: string;
  /** Path of the file, and which of its letters this is where it holds several (from 1), else null. */
  readonly file: string;
  readonly number: number | null;
  readonly raw: Uint8Array | null;
  readonly why: string | null;
}

/** Endings by which a file says that it is mail; in a folder, other files are taken only where they begin like mail. */
const MAIL_ENDING = /\.(?:eml|mbox|mbx|msg|mail|mime)$/i;

/** Bytes that are looked at to tell what a file is. */
const HEAD_BYTES = 4_096;

/** How many bytes the files under these paths have, for a progress that can say how much is left. */
export async function sizeOfAll(paths: readonly string[]): Promise<number> {
  let size = 0;
  for (const one of paths) for await (const file of filesUnder(one)) size += fs.statSync(file.path).size;
  return size;
}

interface MailFile {
  readonly path: string;
  /** Whether it was named itself, lies in a Maildir or has a mail ending: then it is kept even if it cannot be read. */
  readonly isMeant: boolean;
}

/** Files below a path: itself, or of a folder everything in it; of a Maildir only "cur" and "new", since "tmp" is unfinished. */
async function* filesUnder(root: string): AsyncGenerator<MailFile> {
  const stat = fs.statSync(root);
  if (stat.isFile()) {
    yield { path: root, isMeant: true };
    return;
  }
  if (!stat.isDirectory()) return;
  const entries = fs.readdirSync(root, { withFileTypes: true }).sort((a, b) => (a.name < b.name ? -1 : 1));
  const names = new Set(entries.map((entry) => entry.name));
  const isMaildir = names.has("cur") && names.has("new");
  for (const entry of entries) {
    const full = path.join(root, entry.name);
    if (entry.isDirectory() && !(isMaildir && entry.name === "tmp")) yield* filesUnder(full);
    else if (entry.isFile() && !entry.name.startsWith(".")) {
      const isInMaildir = /^(?:cur|new)$/.test(path.basename(root));
      if (isMaildir && !isInMaildir && !MAIL_ENDING.test(entry.name)) continue;
      yield { path: full, isMeant: isInMaildir || MAIL_ENDING.test(entry.name) };
    }
  }
}

function headOf(file: string): Buffer {
  const handle = fs.openSync(file, "r");
  try {
    const head = Buffer.alloc(HEAD_BYTES);
    return head.subarray(0, fs.readSync(handle, head, 0, HEAD_BYTES, 0));
  } finally {
    fs.closeSync(handle);
  }
}

function beginsLikeMail(head: Buffer): boolean {
  return /^(?:return-path|received|from|date|to|subject|message-id|mime-version|delivered-to|x-[\w-]+|content-type|sender|reply-to|dkim-signature|authentication-results|arc-[\w-]+)[ \t]*:/i.test(
    head.toString("latin1").trimStart(),
  );
}

function found(file: string, raw: Uint8Array | null, why: string | null): FoundMessage {
  return { source: file, file, number: null, raw, why };
}

/** The messages of an mbox; one that holds a single message is that message. */
async function* messagesOfBox(file: string, bytes: AsyncIterable<Uint8Array>): AsyncGenerator<FoundMessage> {
  let held: { raw: Uint8Array | null; why: string | null } | null = null;
  let number = 0;
  const numbered = (): FoundMessage => ({ ...held!, source: `${file}, letter ${number}`, file, number });
  for await (const { raw, tooLarge: size } of messagesOfMbox(bytes, LARGEST_MESSAGE_BYTES)) {
    if (held) yield numbered();
    number += 1;
    held = size === null ? { raw, why: null } : { raw: null, why: tooLarge(size) };
  }
  if (held) yield number === 1 ? found(file, held.raw, held.why) : numbered();
}

/** Every message in the files below a path (.eml, mbox, Maildir, folders of them), one after the other. */
export async function* messagesUnder(root: string): AsyncGenerator<FoundMessage> {
  for await (const file of filesUnder(root)) {
    try {
      const size = fs.statSync(file.path).size;
      const head = headOf(file.path);
      if (isMbox(head)) {
        const bytes = fs.createReadStream(file.path, { highWaterMark: 1_048_576 });
        yield* messagesOfBox(file.path, bytes);
      } else if (size > LARGEST_MESSAGE_BYTES) yield found(file.path, null, tooLarge(size));
      else if (!file.isMeant && !beginsLikeMail(head))
        yield found(
          file.path,
          null,
          "This is no mail: it does not begin with header lines. The file was left where it is.",
        );
      else yield found(file.path, fs.readFileSync(file.path), null);
    } catch (error) {
      const fault = error instanceof Error ? error.message : "unknown fault";
      yield found(file.path, null, `The file cannot be opened: ${fault}`);
    }
  }
}

/** Every message of a file that was dropped or sent: an mbox is cut up, anything else is one message. */
export async function* messagesOfUpload(name: string, chunks: AsyncIterable<Uint8Array>): AsyncGenerator<FoundMessage> {
  const reader = chunks[Symbol.asyncIterator]();
  let held: Uint8Array = new Uint8Array(0);
  while (held.length < HEAD_BYTES) {
    const { value, done } = await reader.next();
    if (done) break;
    held = Buffer.concat([held, value]);
  }
  async function* all(): AsyncGenerator<Uint8Array> {
    yield held;
    for (;;) {
      const { value, done } = await reader.next();
      if (done) return;
      yield value;
    }
  }
  if (isMbox(held)) {
    yield* messagesOfBox(name, all());
    return;
  }
  const pieces: Uint8Array[] = [];
  let size = 0;
  for await (const piece of all()) {
    size += piece.length;
    if (size <= LARGEST_MESSAGE_BYTES) pieces.push(piece);
    else pieces.length = 0;
  }
  yield size > LARGEST_MESSAGE_BYTES ? found(name, null, tooLarge(size)) : found(name, Buffer.concat(pieces), null);
}

function tooLarge(size: number): string {
  return `It has ${Math.round(size / 1_048_576)} MB; 50 MB are the most for one letter. The file was left where it is.`;
}
