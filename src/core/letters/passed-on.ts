import * as chrono from "chrono-node";
import { type Day, dayFrom } from "../time/day";
import { instantOf } from "../time/moment";
import { readDateHeader, type SentDate } from "./date-header";
import { blockHeader, isForwardMark, isOriginalMark } from "./history-marks";
import type { PassedOn, TextPart } from "./letter";
import { personInWords } from "./person-in-words";

/** Lines of headers at the head of a letter that is passed on. */
const MOST_HEADER_LINES = 40;

/** The languages whose dates are tried, in their order; English first, by day and month as most of the world writes them. */
const LANGUAGES = [
  chrono.en.GB,
  chrono.de.casual,
  chrono.fr.casual,
  chrono.es.casual,
  chrono.pt.casual,
  chrono.nl.casual,
];

/**
 * A date as mail programs write it above a quoted letter: as in a Date header, or in words ("Wednesday, 4 September 2002
 * 19:30", "4. September 2002 um 19:30"). Counted in `offset`, the forwarder's, where the words name no zone.
 */
function dateInWords(words: string, offset: string): SentDate | null {
  if (!/\d/.test(words)) return null;
  const header = readDateHeader(words);
  if (header && /[+-]\d{4}|\b(?![AP]M\b)[A-Z]{2,4}\s*$/.test(words)) return header;
  if (header && /\d:\d{2}(?::\d{2})?\s*$/.test(words)) {
    const wall = new Date(header.at).toISOString();
    return { at: instantOf(wall.slice(0, 10), wall.slice(11, 16), offset), offset };
  }
  const plain = words.replace(/\b(?:um|à|a las|às|om)\b/gi, " ").replace(/\s+/g, " ");
  for (const language of LANGUAGES) {
    const found = language.parse(plain)[0]?.start;
    if (!found?.isCertain("day") || !found.isCertain("month") || !found.isCertain("year")) continue;
    const day: Day | null = dayFrom(found.get("year")!, found.get("month")!, found.get("day")!);
    if (!day) continue;
    const time = [found.get("hour") ?? 12, found.get("minute") ?? 0].map((n) => String(n).padStart(2, "0")).join(":");
    return { at: instantOf(day, time, offset), offset };
  }
  return null;
}

/**
 * The letter that a letter passes on within its text: writer, date, subject, and where its own words stand. Null where no
 * part is forwarded, or its block of headers names nobody. The block is what mail programs write; no standard has it.
 * @param offset the forwarder's offset from UTC, "+01:00"
 */
export function passedOn(text: string, parts: readonly TextPart[], offset: string): PassedOn | null {
  const part = parts.find(({ kind }) => kind === "forwarded");
  if (!part) return null;
  let at = part.start;
  let last: string | null = null;
  const values = new Map<string, string>();
  for (let lines = 0; lines < MOST_HEADER_LINES && at < part.end; lines += 1) {
    const found = text.indexOf("\n", at);
    const next = found === -1 || found >= part.end ? part.end : found + 1;
    const line = text
      .slice(at, next)
      .replace(/^[>\s]*(?=\S)/, "")
      .trimEnd();
    const header = blockHeader(line);
    if (header) {
      last = header.name;
      if (!values.has(last)) values.set(last, header.value);
    } else if (line.trim() === "") {
      if (values.size > 0) {
        at = next;
        break;
      }
    } else if (values.size === 0) {
      if (!isForwardMark(line) && !isOriginalMark(line) && !/^[-_=*\s]+$/.test(line)) break;
    } else if (last && /^\s/.test(text.slice(at, next))) values.set(last, `${values.get(last)} ${line.trim()}`);
    else if (last && values.get(last) === "") values.set(last, line.trim());
    else break;
    at = next;
  }
  const from = personInWords(values.get("from") ?? "");
  if (!from) return null;
  const sent = dateInWords(values.get("date") ?? "", offset);
  return {
    from,
    to: (values.get("to") ?? "")
      .split(/[;,](?![^<[(]*[>\])])/)
      .flatMap((one) => personInWords(one) ?? [])
      .slice(0, 20),
    sentAt: sent?.at ?? null,
    offset: sent?.offset ?? offset,
    subject: (values.get("subject") ?? "").slice(0, 1_000),
    start: at,
    end: part.end,
  };
}
