import { once } from "node:events";
import { databaseSettings, openDatabase } from "../data/engine/database";
import { keptLetters } from "../data/queries/letters";
import { readWords } from "./options";

/** `jam letters [--json]`: what is kept, one letter a line. */
export async function lettersCommand(words: readonly string[]): Promise<number> {
  const { has } = readWords(words, ["json"], []);
  const open = await openDatabase(databaseSettings("jam letters", true));
  try {
    for await (const letter of keptLetters(open.db)) {
      const line = has("json")
        ? JSON.stringify(letter)
        : `${letter.received.slice(0, 16).replace("T", " ")}  ${letter.sha256.slice(0, 12)}  ${letter.place}  ${letter.subject}`;
      if (!process.stdout.write(`${line}\n`)) await once(process.stdout, "drain");
    }
    return 0;
  } finally {
    await open.close();
  }
}
