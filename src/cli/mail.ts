import { once } from "node:events";
import fs from "node:fs";
import type { Correspondent, Letter } from "../core/letters/letter";
import { newText } from "../core/letters/new-text";
import { type ParsedLetter, parseLetter } from "../core/letters/parse-letter";
import { type FoundMessage, messagesUnder } from "../post/mail-files";
import { readWords } from "./options";
import { WrongCall } from "./wrong-call";

/** An instant at the writer's wall clock, ISO 8601 with their offset. */
function isoWithOffset(at: number, offset: string): string {
  const [, sign, hours, minutes] = /^([+-])(\d\d):(\d\d)$/.exec(offset)!;
  const ahead = (sign === "-" ? -1 : 1) * (Number(hours) * 60 + Number(minutes)) * 60_000;
  return `${new Date(at + ahead).toISOString().slice(0, 19)}${offset}`;
}

const plain = ({ name, address }: Correspondent) => ({ name, address });

function filesOf(letter: Letter, isInner: boolean) {
  return letter.files
    .filter((file) => file.isInner === isInner)
    .map(({ name, type, size }) => ({ filename: name, type, size }));
}

function described(letter: Letter) {
  const { passedOn } = letter;
  return {
    messageId: letter.messageId,
    from: letter.from ? plain(letter.from) : null,
    to: letter.to.map(plain),
    cc: letter.cc.map(plain),
    date: letter.sentAt === null ? null : isoWithOffset(letter.sentAt, letter.offset),
    subject: letter.subject,
    text: letter.text,
    newText: newText(letter),
    attachments: filesOf(letter, false),
    automatic: letter.automatic,
    forwarded: passedOn && {
      from: plain(passedOn.from),
      date: passedOn.sentAt === null ? null : isoWithOffset(passedOn.sentAt, passedOn.offset),
      subject: passedOn.subject,
      text: letter.text.slice(passedOn.start, passedOn.end).trim(),
      attachments: filesOf(letter, true),
    },
    bounce: letter.bounce,
    sealed: letter.sealed,
  };
}

/** What stands in the place of a letter that cannot be read, so that every line has the same keys. */
const UNREAD = {
  messageId: null,
  from: null,
  to: [],
  cc: [],
  date: null,
  subject: null,
  text: null,
  newText: null,
  attachments: [],
  automatic: null,
  forwarded: null,
  bounce: null,
  sealed: null,
};

async function lineOf(found: FoundMessage): Promise<Record<string, unknown>> {
  const parsed: ParsedLetter = found.raw
    ? await parseLetter(found.raw)
    : { ok: false, why: found.why ?? "It cannot be read." };
  const at = found.number === null ? { file: found.file } : { file: found.file, letter: found.number };
  return parsed.ok
    ? { ...at, ...described(parsed.letter), problems: parsed.letter.problems }
    : { ...at, ...UNREAD, problems: [parsed.why] };
}

/** `jam mail PATH…`: what is understood of messages in files, one JSON object a line; nothing is brought in. */
export async function mailCommand(words: readonly string[]): Promise<number> {
  const { paths } = readWords(words, ["json"], []);
  if (paths.length === 0) throw new WrongCall("Say which letters: jam mail --json PATH…");
  for (const one of paths) if (!fs.existsSync(one)) throw new WrongCall(`There is no ${one}.`);
  for (const one of paths)
    for await (const found of messagesUnder(one))
      if (!process.stdout.write(`${JSON.stringify(await lineOf(found))}\n`)) await once(process.stdout, "drain");
  return 0;
}
