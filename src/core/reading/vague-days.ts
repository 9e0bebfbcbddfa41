import { addDays, type Day, daysBetween, monthEnd, type WorkingCalendar, weekdayOf, workingDayUpTo } from "../time/day";

/** Words that leave open which of several days is meant, by the names that people are shown. */
export const VAGUE_NAMES = ["next, before a weekday", "next week", "the end of the month"] as const;
export type VagueName = (typeof VAGUE_NAMES)[number];

const MEANT: Readonly<Record<VagueName, RegExp>> = {
  "next, before a weekday": /^next (?:mon|tues|wednes|thurs|fri|satur|sun)day$/i,
  "next week": /^next week$/i,
  "the end of the month": /^(?:the )?end of (?:the|this) month$/i,
};

/** Which vague words the words of a due date are; null where they leave nothing open. */
export function vagueIn(words: string): VagueName | null {
  const tidy = words.trim().replace(/\s+/g, " ");
  return VAGUE_NAMES.find((name) => MEANT[name].test(tidy)) ?? null;
}

export function isVague(name: string): name is VagueName {
  return VAGUE_NAMES.some((one) => one === name);
}

/** Whether vague words stand anywhere in a text. */
export function hasVague(text: string): boolean {
  return /\bnext (?:week|(?:mon|tues|wednes|thurs|fri|satur|sun)day)\b|\bend of (?:the|this) month\b/i.test(text);
}

const WORKING_DAYS = ["Monday", "Tuesday", "Wednesday", "Thursday", "Friday"];

/** Which of the days that words leave open the reader proposes: the later weekday, the last day of the week, the last working day. */
export const PROPOSED: Readonly<Record<VagueName, number>> = {
  "next, before a weekday": 1,
  "next week": 4,
  "the end of the month": 0,
};

/** How many days the words leave open at the most. */
export const PLACES: Readonly<Record<VagueName, number>> = {
  "next, before a weekday": 2,
  "next week": WORKING_DAYS.length,
  "the end of the month": 2,
};

/** The days that vague words leave open, the earliest first; none where they leave only one. A weekday is that of `meant`. */
function daysOpen(name: VagueName, sent: Day, meant: Day, calendar: WorkingCalendar): Day[] {
  const monday = addDays(sent, 8 - weekdayOf(sent));
  if (name === "next week") return WORKING_DAYS.map((_, i) => addDays(monday, i));
  if (name === "next, before a weekday") {
    const nearer = addDays(sent, ((weekdayOf(meant) - weekdayOf(sent) + 6) % 7) + 1);
    const later = addDays(monday, weekdayOf(meant) - 1);
    return daysBetween(nearer, later) > 0 ? [nearer, later] : [];
  }
  const last = monthEnd(sent);
  const working = workingDayUpTo(last, calendar);
  return working === last ? [] : [working, last];
}

/** Which of the days that words left open a slip was kept for, from 0; null where they left nothing open, or it was another day. */
export function placeOfDay(name: VagueName, sent: Day, kept: Day, calendar: WorkingCalendar): number | null {
  const place = daysOpen(name, sent, kept, calendar).indexOf(kept);
  return place === -1 ? null : place;
}

/** The day at a place among those that words leave open; null where they leave nothing open. */
export function dayAtPlace(
  name: VagueName,
  place: number,
  sent: Day,
  proposed: Day,
  calendar: WorkingCalendar,
): Day | null {
  return daysOpen(name, sent, proposed, calendar)[place] ?? null;
}

/** A place in words: "the nearer one", "the Monday of that week", "the last day of it". */
export function sayPlace(name: VagueName, place: number): string {
  if (name === "next week") return `the ${WORKING_DAYS[place]} of it`;
  if (name === "next, before a weekday") return place === 0 ? "the nearer one" : "the one of the week after";
  return place === 0 ? "its last working day" : "its last day";
}
