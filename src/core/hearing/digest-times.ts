import { addDays } from "../time/day";
import { dayOf, instantOf, type Moment } from "../time/moment";

/**
 * Whether one of somebody's digest times lies after `from` and not after `to`.
 * @param times wall times, "08:00"
 * @param from milliseconds since 1970 UTC
 */
export function isDigestDue(times: readonly string[], from: number, { at: to, zone }: Moment): boolean {
  if (to <= from) return false;
  const last = dayOf({ at: to, zone });
  for (let day = dayOf({ at: Math.max(from, to - 2 * 86_400_000), zone }); day <= last; day = addDays(day, 1))
    for (const time of times) {
      const at = instantOf(day, time, zone);
      if (at > from && at <= to) return true;
    }
  return false;
}
