import { once } from "node:events";
import fs from "node:fs";
import type { Letter } from "../core/letters/letter";
import { newText } from "../core/letters/new-text";
import { parseLetter } from "../core/letters/parse-letter";
import { languageOf } from "../core/reading/language";
import { readLetter } from "../core/reading/read-letter";
import { PLAIN_READING } from "../core/reading/settings";
import type { People } from "../core/reading/slip";
import { messagesUnder } from "../post/mail-files";
import { readWords } from "./options";
import { readPeopleFile } from "./people-file";
import { WrongCall } from "./wrong-call";

/** What is found in a letter, as it is printed. */
function itemsOf(letter: Letter, people: People, readsLists: boolean) {
  const sent = { at: letter.sentAt ?? 0, zone: letter.offset };
  const settings = { ...PLAIN_READING, readsLists };
  return readLetter(letter, people, sent, settings).map((slip) => ({
    kind: slip.kind,
    quote: letter.text.slice(slip.start, slip.end),
    owner: slip.owner,
    due: slip.due?.day ?? null,
    otherDays: slip.due?.others ?? [],
    priority: slip.priority,
    estimate: slip.estimate,
    title: slip.title,
    confidence: slip.confidence,
    reason: slip.reason,
  }));
}

/** `jam read --people PEOPLE.json FILE.eml…`: what letters in files ask for, one JSON object a letter; nothing is brought in. */
export async function readCommand(words: readonly string[]): Promise<number> {
  const { paths, value, has } = readWords(words, ["json", "lists"], ["people"]);
  if (paths.length === 0) throw new WrongCall("Say which letters: jam read --json --people PEOPLE.json FILE…");
  for (const one of paths) if (!fs.existsSync(one)) throw new WrongCall(`There is no ${one}.`);
  const people = readPeopleFile(value("people"));
  for (const one of paths)
    for await (const found of messagesUnder(one)) {
      const at = found.number === null ? { file: found.file } : { file: found.file, letter: found.number };
      const parsed = found.raw
        ? await parseLetter(found.raw)
        : { ok: false as const, why: found.why ?? "It cannot be read." };
      const line = parsed.ok
        ? {
            ...at,
            text: newText(parsed.letter),
            language: languageOf(newText(parsed.letter)),
            items: itemsOf(parsed.letter, people, has("lists")),
            problems: parsed.letter.problems,
          }
        : { ...at, text: null, language: null, items: [], problems: [parsed.why] };
      if (!process.stdout.write(`${JSON.stringify(line)}\n`)) await once(process.stdout, "drain");
    }
  return 0;
}
