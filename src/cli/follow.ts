import { once } from "node:events";
import fs from "node:fs";
import path from "node:path";
import { Following } from "../core/following/follow";
import type { Letter } from "../core/letters/letter";
import { parseLetter } from "../core/letters/parse-letter";
import { PLAIN_READING } from "../core/reading/read-letter";
import { messagesUnder } from "../post/mail-files";
import { readWords } from "./options";
import { readPeopleFile } from "./people-file";
import { WrongCall } from "./wrong-call";

/** Letters of a folder in the order of their dates; those of one instant in the order of their files. */
async function lettersOf(folder: string): Promise<{ file: string; letter: Letter }[]> {
  const letters: { file: string; letter: Letter }[] = [];
  for await (const found of messagesUnder(folder)) {
    if (!found.raw) continue;
    const parsed = await parseLetter(found.raw);
    const file = path.join(path.basename(path.resolve(folder)), path.relative(folder, found.file));
    if (parsed.ok) letters.push({ file, letter: parsed.letter });
  }
  return letters.sort(
    (a, b) => (a.letter.sentAt ?? 0) - (b.letter.sentAt ?? 0) || a.file.localeCompare(b.file, "en", { numeric: true }),
  );
}

/** `jam follow --people PEOPLE.json FOLDER…`: reads each folder as one conversation; what each letter opens and changes. */
export async function followCommand(words: readonly string[]): Promise<number> {
  const { paths, value } = readWords(words, ["json"], ["people"]);
  if (paths.length === 0)
    throw new WrongCall("Say which conversations: jam follow --json --people PEOPLE.json FOLDER…");
  for (const one of paths) if (!fs.existsSync(one)) throw new WrongCall(`There is no ${one}.`);
  const people = readPeopleFile(value("people"));
  for (const folder of paths) {
    const following = new Following(people, PLAIN_READING);
    for (const { file, letter } of await lettersOf(folder)) {
      const { opens, changes } = following.read(letter);
      const line = {
        file,
        opens: opens.map(({ id, kind, quote, owner, due }) => ({ id, kind, quote, owner, due })),
        changes: changes.map(({ item, change, due, owner, quote, reason }) => ({
          item,
          change,
          due,
          owner,
          quote,
          reason,
        })),
      };
      if (!process.stdout.write(`${JSON.stringify(line)}\n`)) await once(process.stdout, "drain");
    }
  }
  return 0;
}
