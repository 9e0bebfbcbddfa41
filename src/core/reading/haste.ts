import { addWorkingDays, type Day, type WorkingCalendar, workingDaysBetween } from "../time/day";
import type { FoundSlip } from "./slip";
import {
  dayAtPlace,
  hasVague,
  isVague,
  PLACES,
  PROPOSED,
  placeOfDay,
  sayPlace,
  VAGUE_NAMES,
  vagueIn,
} from "./vague-days";

/** Haste by the names that people are shown. */
const HASTE_NAMES = ["as soon as possible", "urgent", "at once"] as const;

/** Words whose day each writer means in their own way: haste, and words that leave the day open. */
export const OPEN_NAMES = [...HASTE_NAMES, ...VAGUE_NAMES] as const;

/** Words of haste that mean the same. */
const MEANT: readonly (readonly [(typeof HASTE_NAMES)[number], RegExp])[] = [
  ["as soon as possible", /^(?:asap|a\.s\.a\.p\.?|as soon as (?:possible|you can|you possibly can))$/i],
  ["urgent", /^urgent(?:ly)?$/i],
  [
    "at once",
    /^(?:(?:right|straight) away|(?:right )?this (?:minute|second|instant|very moment)|without delay|immediately|at once|forthwith)$/i,
  ],
];

/**
 * Which haste, or which words that leave the day open, the words of a due date are: "ASAP" is "as soon as possible". Null where
 * they name a day.
 */
export function hasteIn(words: string): string | null {
  const tidy = words.trim().replace(/\s+/g, " ");
  return MEANT.find(([, pattern]) => pattern.test(tidy))?.[0] ?? vagueIn(tidy);
}

/** Whether such words stand anywhere in a text: most letters have none, and need not be asked about. */
export function hasHaste(text: string): boolean {
  if (hasVague(text)) return true;
  return /\b(?:asap|a\.s\.a\.p|as soon as|urgent|urgently|(?:right|straight) away|this (?:minute|second|instant|very moment)|without delay|immediately|at once|forthwith)\b/i.test(
    text,
  );
}

/** A slip of one writer with words of haste that was kept: when its letter was sent, and for when it was kept. */
export interface KeptHaste {
  readonly writer: string;
  readonly haste: string;
  readonly sentDay: Day;
  readonly dueDay: Day | null;
  readonly times: number;
}

/**
 * How often haste of one writer was kept as so many working days from the day of sending, or words that leave the day open as
 * the one at that place among its days; null, of haste alone, as no date at all.
 */
export interface HasteLesson {
  readonly writer: string;
  readonly haste: string;
  readonly days: number | null;
  readonly kept: number;
}

/** What a day that was kept says of the words; null where it says nothing. */
function daysMeant(haste: string, sentDay: Day, dueDay: Day, calendar: WorkingCalendar): number | null {
  if (isVague(haste)) return placeOfDay(haste, sentDay, dueDay, calendar);
  const days = workingDaysBetween(sentDay, dueDay, calendar);
  return days < 0 ? null : days;
}

/** Whether words can mean that: of words that leave the day open only one of their days. */
export function canMean(haste: string, days: number | null): boolean {
  return !isVague(haste) || (days !== null && days < PLACES[haste]);
}

/** Whether words were kept as they are read anyway. */
export function isUsual(haste: string, days: number | null): boolean {
  return days === (isVague(haste) ? PROPOSED[haste] : 0);
}

/** Kept slips counted by what their haste came to. What was kept for a day before the letter was sent says nothing. */
export function hasteLessons(kept: readonly KeptHaste[], calendar: WorkingCalendar): HasteLesson[] {
  const counted = new Map<string, HasteLesson>();
  for (const { writer, haste, sentDay, dueDay, times } of kept) {
    // Haste without a date is none; where days were named and none was kept, that was about the work, not about the words.
    if (dueDay === null && isVague(haste)) continue;
    const days = dueDay === null ? null : daysMeant(haste, sentDay, dueDay, calendar);
    if (dueDay !== null && days === null) continue;
    const key = `${writer}\n${haste}\n${days}`;
    counted.set(key, { writer, haste, days, kept: (counted.get(key)?.kept ?? 0) + times });
  }
  return [...counted.values()];
}

/** What haste of a writer most often came to; null as long as nothing did, or two things alike. */
export function meantByHaste(writer: string, haste: string, lessons: readonly HasteLesson[]): HasteLesson | null {
  const [most, next] = lessons
    .filter((lesson) => lesson.writer === writer && lesson.haste === haste)
    .sort((a, b) => b.kept - a.kept);
  return most && most.kept > (next?.kept ?? 0) ? most : null;
}

/** The words themselves, as people are shown them. */
export function sayHasteName(haste: string): string {
  return haste === "next, before a weekday" ? "“next” before a weekday" : `“${haste}”`;
}

/** What words of a writer mean: "the day it is sent", "2 working days later", "the nearer one", "no date". */
export function sayHasteDays(haste: string, days: number | null): string {
  if (days === null) return "no date";
  if (isVague(haste)) return sayPlace(haste, days);
  return days === 0 ? "the day it is sent" : `${days} working day${days === 1 ? "" : "s"} later`;
}

/** The day that a lesson makes of words that the reader takes for another; the reader's own where it cannot be said. */
function dayMeant({ haste, days }: HasteLesson, sentDay: Day, proposed: Day, calendar: WorkingCalendar): Day | null {
  if (days === null) return null;
  if (!isVague(haste)) return addWorkingDays(sentDay, days, calendar);
  return dayAtPlace(haste, days, sentDay, proposed, calendar) ?? proposed;
}

/**
 * Slips whose haste means what their writer's haste was kept as before; the reason says so. All others are as they were.
 * @param sentDay the day on which the letter was sent, in the writer's zone
 */
export function withHaste<Slip extends FoundSlip>(
  slips: readonly Slip[],
  writer: string | null,
  sentDay: Day,
  lessons: readonly HasteLesson[],
  calendar: WorkingCalendar,
): Slip[] {
  if (writer === null || lessons.length === 0) return [...slips];
  return slips.map((slip) => {
    const meant = slip.haste === null ? null : meantByHaste(writer, slip.haste, lessons);
    if (!slip.due || !meant) return slip;
    const day = dayMeant(meant, sentDay, slip.due.day, calendar);
    if (day === slip.due.day) return slip;
    const reason = `${slip.reason}, which was kept as ${sayHasteDays(meant.haste, meant.days)} for this writer before`;
    // Of days that were left open the others can still be meant.
    const others = isVague(meant.haste) ? [slip.due.day, ...slip.due.others].filter((one) => one !== day).sort() : [];
    return { ...slip, reason, due: day === null ? null : { ...slip.due, day, others } };
  });
}
