import type { Day } from "../time/day";

/** Whether a time away is still to come, is now, or has ended. */
export type AwayState = "planned" | "on" | "over";

/** A time in which somebody of the team is not there. */
export interface Absence {
  readonly personId: string;
  readonly fromDay: Day;
  /** The first day on which they are there again. */
  readonly backDay: Day;
  readonly coverId: string | null;
}

/** The state of a time away on a day of whoever is away. */
export function awayStateOn(absence: Pick<Absence, "fromDay" | "backDay">, today: Day): AwayState {
  if (absence.backDay <= today) return "over";
  return absence.fromDay <= today ? "on" : "planned";
}

/** Whether two times away have a day in common. */
function overlaps(a: Absence, b: Absence): boolean {
  return a.fromDay < b.backDay && b.fromDay < a.backDay;
}

/** Why a time away cannot be kept as it is. */
export type AwayFault = "past" | "backwards" | "covers oneself" | "away already" | "cover is away";

/**
 * What is wrong with a time away, or null: it lies in the past, ends before it begins, somebody covers for themselves, they
 * are away then already, or who covers is away then too.
 * @param known the other times away, planned and now
 * @param today the day of whoever is away
 */
export function awayFault(absence: Absence, known: readonly Absence[], today: Day): AwayFault | null {
  if (absence.backDay <= absence.fromDay) return "backwards";
  if (absence.backDay <= today) return "past";
  if (absence.coverId === absence.personId) return "covers oneself";
  if (known.some((one) => one.personId === absence.personId && overlaps(one, absence))) return "away already";
  if (known.some((one) => one.personId === absence.coverId && overlaps(one, absence))) return "cover is away";
  return null;
}
