import { once } from "node:events";
import fs from "node:fs";
import path from "node:path";
import { Following } from "../core/following/follow";
import { wantedBy } from "../core/following/wanted-by";
import type { Letter } from "../core/letters/letter";
import { type ParsedLetter, parseLetter } from "../core/letters/parse-letter";
import { PLAIN_READING } from "../core/reading/settings";
import { messagesUnder } from "../post/mail-files";
import { readWords } from "./options";
import { readPeopleFile } from "./people-file";
import { WrongCall } from "./wrong-call";

/** A file of a conversation: its letter, or why it is none. */
interface Filed {
  readonly file: string;
  readonly letter: Letter | null;
  readonly why: string | null;
}

/** Letters of a folder in the order of their dates; those of one instant in the order of their files. */
async function lettersOf(folder: string): Promise<Filed[]> {
  const letters: Filed[] = [];
  for await (const found of messagesUnder(folder)) {
    const parsed: ParsedLetter = found.raw
      ? await parseLetter(found.raw)
      : { ok: false, why: found.why ?? "It cannot be read." };
    const file = path.join(path.basename(path.resolve(folder)), path.relative(folder, found.file));
    letters.push(parsed.ok ? { file, letter: parsed.letter, why: null } : { file, letter: null, why: parsed.why });
  }
  return letters.sort(
    (a, b) =>
      (a.letter?.sentAt ?? 0) - (b.letter?.sentAt ?? 0) || a.file.localeCompare(b.file, "en", { numeric: true }),
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
    for (const { file, letter, why } of await lettersOf(folder)) {
      const { opens, changes } = letter ? following.read(letter) : { opens: [], changes: [] };
      const wanted = letter && opens.length > 0 ? wantedBy(letter, people) : () => null;
      const line = {
        file,
        opens: opens.map((item) => {
          const { id, kind, quote, owner } = item;
          return { id, kind, quote, owner, due: wanted(item) };
        }),
        changes: changes.map(({ item, change, due, owner, quote, reason }) => ({
          item,
          change,
          due,
          owner,
          quote,
          reason,
        })),
        problems: why === null ? [] : [why],
      };
      if (!process.stdout.write(`${JSON.stringify(line)}\n`)) await once(process.stdout, "drain");
    }
  }
  return 0;
}
