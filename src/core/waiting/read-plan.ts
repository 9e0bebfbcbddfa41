import { findDates } from "../time/dates-in-words";
import type { WorkingCalendar } from "../time/day";
import { instantOf, type Moment } from "../time/moment";
import { MOST_PLANNED } from "./chase-plan";

/** A plan of chases as it was typed. */
export interface ReadPlan {
  /** When the first letter leaves; null where no day is named. */
  readonly firstAt: number | null;
  /** Working days between two letters. */
  readonly every: number;
  readonly letters: number;
}

/** The hour at which a letter leaves on a day without a time. */
const MORNING = "09:00";

/** Working days between two letters where nothing is said. */
const USUAL_PAUSE = 3;

const NUMBERS: Readonly<Record<string, number>> = {
  two: 2,
  three: 3,
  four: 4,
  five: 5,
  six: 6,
  ten: 10,
  once: 1,
  twice: 2,
};

function numberIn(word: string): number {
  return NUMBERS[word.toLowerCase()] ?? Number(word);
}

const EVERY =
  /\bevery\s+(?:(second|other|third)|(\d{1,2}|two|three|four|five|six|ten))?\s*(?:working\s+)?(days?|weeks?)\b/i;
const COUNT = /\b(\d{1,2}|two|three|four|five)\s+(?:letters?|times)\b|\b(once|twice)\b/i;

/** "every third day", "every 5 days", "every week" in working days. */
function pauseIn(match: RegExpExecArray | null): number {
  if (!match) return USUAL_PAUSE;
  const [, ordinal, count, unit] = match;
  const times = ordinal ? (/third/i.test(ordinal) ? 3 : 2) : count ? numberIn(count) : 1;
  return Math.max(1, times * (/^w/i.test(unit!) ? 5 : 1));
}

/**
 * Reads a plan of chases typed in one line: "Wednesday 9:00, then every 3 days, three letters". Without a pause it is three
 * working days; without a number it is one letter, or three where a pause is named.
 */
export function readPlan(line: string, from: Moment, calendar: WorkingCalendar, order: "dmy" | "mdy"): ReadPlan {
  const every = EVERY.exec(line);
  const count = COUNT.exec(line);
  const rest = [every, count].reduce((text, match) => (match ? text.replace(match[0], " ") : text), line);
  const [date] = findDates(rest, from, calendar, order);
  const letters = count ? numberIn(count[1] ?? count[2]!) : every ? 3 : 1;
  return {
    firstAt: date ? instantOf(date.day, date.time ?? MORNING, from.zone) : null,
    every: pauseIn(every),
    letters: Math.min(MOST_PLANNED, Math.max(1, letters)),
  };
}
