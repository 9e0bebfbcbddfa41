import { addWorkingDays, type Day, type WorkingCalendar } from "../time/day";
import { dayOf, instantOf } from "../time/moment";

/** Letters that chase a wait without anybody's doing, as somebody planned them in their own name. */
export type ChasePlan = Readonly<{
  /** When the next one leaves, unless they write first; ISO 8601. */
  nextAt: string;
  /** Working days between two of them. */
  every: number;
  /** How many are still to go. */
  left: number;
  /** In whose name. */
  byId: string;
  /** When it was planned: a word from them after that ends it. */
  madeAt: string;
  /** Why the last one did not leave at its time; empty where it did. */
  said: string;
}>;

/** Letters of one plan at the most. */
export const MOST_PLANNED = 5;

/** A day some working days after an instant, at the same wall time. */
function later(plan: ChasePlan, days: number, zone: string, time: string, calendar: WorkingCalendar): string {
  const day: Day = addWorkingDays(dayOf({ at: Date.parse(plan.nextAt), zone }), days, calendar);
  return new Date(instantOf(day, time, zone)).toISOString();
}

/** The plan once its next letter has left; null where that was the last. `time` is the wall time at which they leave. */
export function afterChase(plan: ChasePlan, zone: string, time: string, calendar: WorkingCalendar): ChasePlan | null {
  if (plan.left <= 1) return null;
  return { ...plan, left: plan.left - 1, nextAt: later(plan, plan.every, zone, time, calendar), said: "" };
}

/** The plan where its next letter could not leave: tried again on the next working day. */
export function putOffChase(
  plan: ChasePlan,
  why: string,
  zone: string,
  time: string,
  calendar: WorkingCalendar,
): ChasePlan {
  return { ...plan, nextAt: later(plan, 1, zone, time, calendar), said: why };
}
