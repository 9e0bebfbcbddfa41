import { Temporal } from "temporal-polyfill";
import type { Day } from "./day";

/** An instant and the zone it is looked at in: an IANA name or an offset such as "+01:00". `at` is milliseconds since 1970 UTC. */
export interface Moment {
  readonly at: number;
  readonly zone: string;
}

/** Whether a zone name can be used: "Europe/Dublin" and "+05:30" can, "Mars/Dome" cannot. */
export function isZone(zone: string): boolean {
  try {
    Temporal.Instant.fromEpochMilliseconds(0).toZonedDateTimeISO(zone);
    return true;
  } catch {
    return false;
  }
}

function zoned(moment: Moment): Temporal.ZonedDateTime {
  return Temporal.Instant.fromEpochMilliseconds(moment.at).toZonedDateTimeISO(moment.zone);
}

/** The day on the wall calendar of the moment's zone. */
export function dayOf(moment: Moment): Day {
  return zoned(moment).toPlainDate().toString();
}

/** The time on the wall clock of the moment's zone, "08:12". */
export function timeOf(moment: Moment): string {
  return zoned(moment).toPlainTime().toString({ smallestUnit: "minute" });
}

/** Milliseconds since 1970 UTC of a wall time in a zone. In a spring gap the later, in an autumn fold the earlier reading is taken. */
export function instantOf(day: Day, time: string, zone: string): number {
  return Temporal.PlainDateTime.from(`${day}T${time}`).toZonedDateTime(zone).epochMilliseconds;
}
