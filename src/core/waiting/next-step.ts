import { addWorkingDays, type Day, type WorkingCalendar, workingDayFrom } from "../time/day";
import { longFrom } from "./silence";

/** Chases of one person within a working week at the most. */
export const MOST_CHASES_A_WEEK = 2;

/** Working days between two chases of one wait. */
const PAUSE_DAYS = 2;

/** Chases by letter before somebody had better ring. */
const LETTERS_BEFORE_A_CALL = 2;

/** A wait as the next step is decided on. */
export interface WaitNow {
  /** Owed by somebody outside, or by a colleague who was handed the task. */
  readonly side: "theirs" | "ours";
  readonly today: Day;
  readonly due: Day | null;
  /** The due is what they promised; else it is what we need. */
  readonly isPromise: boolean;
  /** Day of the last word from them. */
  readonly heard: Day;
  /** Days of silence, and how many are usual for them. */
  readonly silence: number;
  readonly usual: number | null;
  /** Days on which this wait was chased, the last one last. */
  readonly chased: readonly Day[];
  /** Chases of the same person in the last five working days, of all waits together. */
  readonly chasedThisWeek: number;
  /** They are away until that day. */
  readonly awayUntil: Day | null;
  /** A letter that they wrote since lies in Sort. */
  readonly isInSort: boolean;
  /** A letter leaves by itself on that day. */
  readonly planned: Day | null;
  /** Whether there is an address to write to, and it is not a machine's. */
  readonly canWrite: boolean;
  /** What a colleague answered to the hand-over. */
  readonly answer: "not answered" | "taken on" | "under way" | "handed back" | "asks" | "in doubt" | null;
}

/** What comes next for a wait, when, and why. */
export interface NextStep {
  readonly what:
    | "give it an owner"
    | "answer"
    | "read their letter"
    | "ring"
    | "letter"
    | "planned letter"
    | "ask"
    | "wait until back"
    | "nothing";
  /** The day it is for; null where it needs no day. */
  readonly day: Day | null;
  readonly why:
    | "handed back"
    | "asks"
    | "in Sort"
    | "away"
    | "promise broken"
    | "over"
    | "before it is needed"
    | "silent"
    | "in doubt"
    | "not answered"
    | "on time"
    | "enough this week"
    | "no address"
    | "planned";
}

/** The day from which asking again is fair, and why, for something owed from outside. */
function chaseDay(wait: WaitNow, calendar: WorkingCalendar): { day: Day; why: NextStep["why"] } {
  const { due, heard, today } = wait;
  const silentFrom = addWorkingDays(heard, longFrom(wait.usual), calendar);
  if (due && due < today) return { day: today, why: wait.isPromise ? "promise broken" : "over" };
  if (due && wait.isPromise) return { day: addWorkingDays(due, 1, calendar), why: "promise broken" };
  if (due) {
    // Two working days before it is needed there is still time to get it; sooner where they have been silent too long; never
    // on the day of their last word.
    const before = latest(addWorkingDays(due, -2, calendar), addWorkingDays(heard, 1, calendar));
    return before <= silentFrom ? { day: before, why: "before it is needed" } : { day: silentFrom, why: "silent" };
  }
  return { day: silentFrom, why: "silent" };
}

function latest(...days: readonly (Day | null)[]): Day {
  return days
    .filter((day) => day !== null)
    .sort()
    .at(-1)!;
}

/**
 * The next step for a wait. Never a letter to somebody who is away, to a machine, sooner than two working days after the last
 * one, or more than two to one person in a working week; after two letters without a word one rings.
 */
export function nextStep(wait: WaitNow, calendar: WorkingCalendar): NextStep {
  const { today, due } = wait;
  if (wait.answer === "handed back") return { what: "give it an owner", day: null, why: "handed back" };
  if (wait.answer === "asks") return { what: "answer", day: null, why: "asks" };
  if (wait.isInSort) return { what: "read their letter", day: null, why: "in Sort" };
  if (wait.side === "ours") {
    if (wait.awayUntil && wait.awayUntil > today)
      return { what: "wait until back", day: workingDayFrom(wait.awayUntil, calendar), why: "away" };
    if (due && due < today) return { what: "ask", day: today, why: "over" };
    if (wait.answer === "in doubt") return { what: "ask", day: today, why: "in doubt" };
    if (wait.answer === "not answered" && wait.silence >= 1) return { what: "ask", day: today, why: "not answered" };
    return { what: "nothing", day: due, why: "on time" };
  }
  if (wait.awayUntil && wait.awayUntil > today)
    return { what: "wait until back", day: workingDayFrom(wait.awayUntil, calendar), why: "away" };
  if (!wait.canWrite) return { what: "ring", day: due && due >= today ? due : today, why: "no address" };
  if (wait.planned) return { what: "planned letter", day: wait.planned, why: "planned" };
  const { day, why } = chaseDay(wait, calendar);
  const last = wait.chased.at(-1) ?? null;
  const unanswered = wait.chased.filter((chased) => chased >= wait.heard).length;
  const paused = last ? addWorkingDays(last, PAUSE_DAYS, calendar) : null;
  const full = wait.chasedThisWeek >= MOST_CHASES_A_WEEK ? addWorkingDays(today, 1, calendar) : null;
  const on = latest(workingDayFrom(latest(day, today), calendar), paused, full);
  if (unanswered >= LETTERS_BEFORE_A_CALL) return { what: "ring", day: on, why };
  return { what: "letter", day: on, why: full && on === full ? "enough this week" : why };
}

/** Whether a letter or a call is for today. */
export function isForToday(step: NextStep, today: Day): boolean {
  return (step.what === "letter" || step.what === "ring") && step.day !== null && step.day <= today;
}
