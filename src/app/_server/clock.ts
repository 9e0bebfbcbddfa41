import type { WorkingCalendar } from "@/core/time/day";
import { now } from "@/data/clock";
import type { Database } from "@/data/engine/database";
import { theOrganisation } from "@/data/queries/people";

/** Now, with the organisation's zone and calendar. */
export async function houseClock(
  db: Database,
): Promise<{ readonly at: number; readonly zone: string; readonly calendar: WorkingCalendar }> {
  const calendar = (await theOrganisation(db)) ?? { zone: "UTC", workingDays: [1, 2, 3, 4, 5], holidays: [] };
  return { at: now(), zone: calendar.zone, calendar };
}
