import type { Happening, Loudness, Why } from "./heard";

/** Sorts of news that somebody can want louder or quieter. */
export const NEWS = ["mine", "given", "own work", "posted", "reminders"] as const;
export type News = (typeof NEWS)[number];

/** How somebody wants to hear of a sort of news: at once, with the digest, or never (it stands in the list all the same). */
export const HOW_HEARD = ["at once", "digest", "never"] as const;
export type HowHeard = (typeof HOW_HEARD)[number];

/** What somebody wants otherwise than usual. */
export type HearingWishes = Partial<Record<News, HowHeard>>;

const ADDRESSED: readonly Happening[] = ["given", "taken away", "handed back", "asked", "answered", "named"];

/** Which sort of news something is for the one who hears of it. */
export function newsOf(what: Happening, why: Why): News {
  if (what === "reminder") return "reminders";
  if (ADDRESSED.includes(what) || why === "named in the note") return "mine";
  if (why === "kept posted") return "posted";
  return why === "handed it over" ? "given" : "own work";
}

/** How somebody hears of something by mail and from their browser: as they wish, or as loudly as it is. */
export function howHeard(
  told: { readonly what: Happening; readonly why: Why; readonly loudness: Loudness },
  wishes: HearingWishes,
): HowHeard {
  return wishes[newsOf(told.what, told.why)] ?? (told.loudness === "at once" ? "at once" : "digest");
}

/** The first round that lies in quiet hours, where the digest that comes with it never would; null where none does. */
export function roundInQuietHours(times: readonly string[], from: string | null, until: string | null): string | null {
  return times.find((time) => isQuietHour(time, from, until)) ?? null;
}

/**
 * Whether it is quiet at a wall time of the day: between `from` and `until`, which may lie beyond midnight. Null where no
 * hours are quiet.
 * @param time "21:30"
 */
export function isQuietHour(time: string, from: string | null, until: string | null): boolean {
  if (from === null || until === null || from === until) return false;
  return from < until ? time >= from && time < until : time >= from || time < until;
}
