import { once } from "node:events";
import fs from "node:fs";
import path from "node:path";
import { baseSubject } from "../core/letters/base-subject";
import { conversationsOf, type JoinableLetter } from "../core/letters/conversations";
import { parseLetter } from "../core/letters/parse-letter";
import { messagesUnder } from "../post/mail-files";
import { readWords } from "./options";
import { WrongCall } from "./wrong-call";

interface Found extends JoinableLetter {
  readonly file: string;
}

async function lettersUnder(root: string): Promise<Found[]> {
  const letters: Found[] = [];
  for await (const { source, file: whole, raw } of messagesUnder(root)) {
    if (!raw) continue;
    const parsed = await parseLetter(raw);
    if (!parsed.ok) continue;
    // What joins letters is kept of each, not its text: twenty thousand of them fit into memory.
    const { messageId, references, subject, sentAt, from, to, cc, automatic } = parsed.letter;
    const file = fs.statSync(root).isDirectory() ? path.relative(root, whole) : path.basename(whole);
    letters.push({ key: source, file, messageId, references, subject, sentAt, from, to, cc, automatic });
  }
  return letters;
}

/** `jam threads PATH…`: the conversations of letters in files, one JSON object a conversation. */
export async function threadsCommand(words: readonly string[]): Promise<number> {
  const { paths } = readWords(words, ["json"], []);
  if (paths.length === 0) throw new WrongCall("Say which letters: jam threads --json PATH…");
  for (const one of paths) if (!fs.existsSync(one)) throw new WrongCall(`There is no ${one}.`);
  const letters: Found[] = [];
  for (const one of paths) letters.push(...(await lettersUnder(one)));
  const byKey = new Map(letters.map((letter) => [letter.key, letter]));
  for (const keys of conversationsOf([...byKey.values()])) {
    const members = keys.map((key) => byKey.get(key)!);
    const line = JSON.stringify({
      messages: members.flatMap((letter) => letter.messageId ?? []),
      files: members.map((letter) => letter.file),
      subject: baseSubject(members[0]!.subject),
    });
    if (!process.stdout.write(`${line}\n`)) await once(process.stdout, "drain");
  }
  return 0;
}
