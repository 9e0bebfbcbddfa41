import fs from "node:fs";
import { sql } from "drizzle-orm";
import { startReadingThread } from "../acts/reading/thread";
import { wayInNamed } from "../acts/ways-in";
import { now } from "../data/clock";
import { databaseSettings, openDatabase } from "../data/engine/database";
import { rowsOf } from "../data/rows";
import { type ImportReport, importMail } from "../post/import-mail";
import { messagesUnder, sizeOfAll } from "../post/mail-files";
import { readWords } from "./options";
import { progress } from "./progress";
import { WrongCall } from "./wrong-call";

/** Faults that are printed one by one; more are counted. */
const MOST_FAULTS_SHOWN = 50;

/** `jam import PATH…`: brings mail in, also while a server is running on the same folder. */
export async function importCommand(words: readonly string[]): Promise<number> {
  const { paths, value } = readWords(words, [], ["for", "as"]);
  if (paths.length === 0) throw new WrongCall("Say what to bring in: jam import PATH…");
  for (const one of paths) if (!fs.existsSync(one)) throw new WrongCall(`There is no ${one}. Nothing was brought in.`);
  const open = await openDatabase(databaseSettings("jam import", true));
  const stopReading = startReadingThread();
  try {
    const address = value("for")?.toLowerCase() ?? null;
    const [owner] = address
      ? await rowsOf<{ id: string }>(open.db, sql`select id from person where address = ${address}`)
      : [];
    if (address && !owner) throw new WrongCall(`Nobody here has the address ${address}. Nothing was brought in.`);
    const wayInId = await wayInNamed(open.db, value("as") ?? address ?? "import", "import", owner?.id ?? null);
    const line = progress();
    const total = await sizeOfAll(paths);
    let report: ImportReport = { fresh: 0, here: 0, notReadable: [], bytes: 0 };
    async function* all() {
      for (const one of paths) yield* messagesUnder(one);
    }
    for await (const soFar of importMail(open.db, all(), wayInId, now)) {
      report = soFar;
      line.say(
        `${report.fresh + report.here} letters, ${Math.min(100, Math.round((100 * report.bytes) / Math.max(1, total)))} % of ${(total / 1_048_576).toFixed(1)} MB`,
      );
    }
    line.end(`${report.fresh} new, ${report.here} already here, ${report.notReadable.length} not readable`);
    for (const { source, why, isKept } of report.notReadable.slice(0, MOST_FAULTS_SHOWN))
      process.stdout.write(
        `not readable: ${source}: ${why}${isKept ? " It is kept as it came, and waits in Sort." : ""}\n`,
      );
    if (report.notReadable.length > MOST_FAULTS_SHOWN)
      process.stdout.write(`… and ${report.notReadable.length - MOST_FAULTS_SHOWN} more.\n`);
    return 0;
  } finally {
    await stopReading();
    await open.close();
  }
}
