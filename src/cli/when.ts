import { PLAIN_READING } from "../core/reading/settings";
import { readWhen } from "../core/time/read-when";
import { readWords } from "./options";
import { WrongCall } from "./wrong-call";

/** An instant with its offset (RFC 3339): what dates are counted from, and where. */
const FROM = /^(\d{4}-\d{2}-\d{2}T\d{2}:\d{2}(?::\d{2}(?:\.\d+)?)?)(Z|[+-]\d{2}:\d{2})$/i;

/** `jam when --from INSTANT PHRASE…`: the day that words mean, one JSON object a phrase. */
export async function whenCommand(words: readonly string[]): Promise<number> {
  const { paths, value } = readWords(words, ["json"], ["from"]);
  const [, wall, offset] = FROM.exec(value("from") ?? "") ?? [];
  const at = wall ? Date.parse(`${wall}${offset}`) : Number.NaN;
  if (Number.isNaN(at))
    throw new WrongCall(
      "Say from when dates count, with an offset: jam when --json --from 2026-11-24T11:20:00+00:00 PHRASE…",
    );
  if (paths.length === 0) throw new WrongCall("Say which words: jam when --json --from INSTANT PHRASE…");
  const from = { at, zone: /^z$/i.test(offset!) ? "+00:00" : offset! };
  for (const phrase of paths)
    process.stdout.write(`${JSON.stringify({ phrase, ...readWhen(phrase, from, PLAIN_READING.calendar) })}\n`);
  return 0;
}
