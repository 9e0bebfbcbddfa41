import { addWorkingDays, type Day, type WorkingCalendar, workingDaysBetween } from "../time/day";
import type { FoundSlip } from "./slip";

/** Haste by the names that people are shown. */
export const HASTE_NAMES = ["as soon as possible", "urgent", "at once"] as const;

/** Words of haste that mean the same. */
const MEANT: readonly (readonly [(typeof HASTE_NAMES)[number], RegExp])[] = [
  ["as soon as possible", /^(?:asap|a\.s\.a\.p\.?|as soon as (?:possible|you can|you possibly can))$/i],
  ["urgent", /^urgent(?:ly)?$/i],
  ["at once", /^(?:right away|straight away|immediately|at once|forthwith)$/i],
];

/** Which haste the words of a due date are: "ASAP" is "as soon as possible". Null where they name a day. */
export function hasteIn(words: string): string | null {
  const tidy = words.trim().replace(/\s+/g, " ");
  return MEANT.find(([, pattern]) => pattern.test(tidy))?.[0] ?? null;
}

/** Whether words of haste stand anywhere in a text: most letters have none, and need not be asked about. */
export function hasHaste(text: string): boolean {
  return /\b(?:asap|a\.s\.a\.p|as soon as|urgent|urgently|(?:right|straight) away|immediately|at once|forthwith)\b/i.test(
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

/** How often haste of one writer was kept as so many working days from the day of sending; null as no date at all. */
export interface HasteLesson {
  readonly writer: string;
  readonly haste: string;
  readonly days: number | null;
  readonly kept: number;
}

/** Kept slips counted by what their haste came to. What was kept for a day before the letter was sent says nothing. */
export function hasteLessons(kept: readonly KeptHaste[], calendar: WorkingCalendar): HasteLesson[] {
  const counted = new Map<string, HasteLesson>();
  for (const { writer, haste, sentDay, dueDay, times } of kept) {
    const days = dueDay === null ? null : workingDaysBetween(sentDay, dueDay, calendar);
    if (days !== null && days < 0) continue;
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

/** So many working days from the sending of a letter, in words: "the day it is sent", "2 working days later", "no date". */
export function sayHasteDays(days: number | null): string {
  if (days === null) return "no date";
  return days === 0 ? "the day it is sent" : `${days} working day${days === 1 ? "" : "s"} later`;
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
    const day = meant.days === null ? null : addWorkingDays(sentDay, meant.days, calendar);
    if (day === slip.due.day) return slip;
    const reason = `${slip.reason}, which was kept as ${sayHasteDays(meant.days)} for this writer before`;
    return { ...slip, reason, due: day === null ? null : { ...slip.due, day, others: [] } };
  });
}
