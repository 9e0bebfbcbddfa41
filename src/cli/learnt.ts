import fs from "node:fs";
import { bringLessons } from "../acts/bring-lessons";
import { databaseSettings, openDatabase } from "../data/engine/database";
import { hasteToKeep } from "../data/queries/haste";
import { examplesToKeep } from "../data/queries/house-examples";
import { lessonsToKeep } from "../data/queries/lessons";
import { calendarOf } from "../data/queries/people";
import { prioritiesToKeep } from "../data/queries/priorities";
import { readWords } from "./options";
import { WrongCall } from "./wrong-call";

/** `jam learnt --json`: what was learnt, one JSON object a lesson; `--bring FILE` brings such a file in. */
export async function learntCommand(words: readonly string[]): Promise<number> {
  const { value } = readWords(words, ["json"], ["bring"]);
  const file = value("bring");
  if (file !== null && !fs.existsSync(file)) throw new WrongCall(`There is no ${file}.`);
  const open = await openDatabase(databaseSettings("jam learnt", true));
  try {
    if (file !== null) {
      const count = await bringLessons(open.db, fs.readFileSync(file, "utf8"), Date.now()).catch((error: Error) => {
        throw new WrongCall(error.message);
      });
      process.stdout.write(`${count} lesson${count === 1 ? "" : "s"} brought in.\n`);
      return 0;
    }
    const calendar = await calendarOf(open.db);
    const all = [
      ...(await lessonsToKeep(open.db)),
      ...(await hasteToKeep(open.db, calendar)),
      ...(await examplesToKeep(open.db)),
      ...(await prioritiesToKeep(open.db)),
    ];
    for (const lesson of all) process.stdout.write(`${JSON.stringify(lesson)}\n`);
    return 0;
  } finally {
    await open.close();
  }
}
