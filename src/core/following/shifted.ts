import type { DueFound } from "../reading/slip";
import { addDays, type Day } from "../time/day";
import { numberIn } from "./numbers";

const SHIFT =
  /\b(a|an|one|two|three|four|five|six|seven|eight|nine|ten|\d{1,2}) (day|week)s? (earlier|sooner|later)\b/i;

/** Days of a week. */
const WEEK = 7;

/** The day to which words shift another: "can the white come two days earlier?"; null where they shift none. */
export function shifted(text: string, from: Day | null): DueFound | null {
  const [words, count, unit, way] = SHIFT.exec(text) ?? [];
  const number = count && /^an?$/i.test(count) ? 1 : numberIn(count ?? "");
  if (!from || !words || number === null) return null;
  const days = number * (unit!.toLowerCase() === "week" ? WEEK : 1);
  return { day: addDays(from, way!.toLowerCase() === "later" ? days : -days), time: null, others: [], words };
}
