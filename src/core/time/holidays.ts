import Holidays from "date-holidays";
import type { Day } from "./day";

/** Countries in which nobody works on the eves of the great feasts, though they are holidays of the banks alone. */
const EVES_ARE_FREE: ReadonlySet<string> = new Set(["SE"]);

const known = new Map<string, readonly Day[]>();

/**
 * Public holidays of a whole country in a year; those of single regions are not among them. Empty for a country that is not
 * known.
 * @param country ISO 3166-1 alpha-2, "SE"
 */
export function publicHolidays(country: string, year: number): readonly Day[] {
  const key = `${country} ${year}`;
  const before = known.get(key);
  if (before) return before;
  const all = new Holidays(country).getHolidays(year) ?? [];
  const isFree = (type: string) => type === "public" || (type === "bank" && EVES_ARE_FREE.has(country));
  const days = [...new Set(all.filter((one) => isFree(one.type)).map((one) => one.date.slice(0, 10)))];
  known.set(key, days);
  return days;
}

/** Countries by the last part of a mail domain, where that says where somebody works; ".io" and the like say nothing. */
const COUNTRIES =
  "at au be bg ca ch cy cz de dk ee es fi fr gr hr hu ie is it jp li lt lu lv mt nl no nz pl pt ro se si sk uk us".split(
    " ",
  );

/** The country of somebody outside as far as their address tells: ISO 3166-1 alpha-2, or null. */
export function countryOf(address: string): string | null {
  const last = address.toLowerCase().split(".").at(-1) ?? "";
  if (!COUNTRIES.includes(last)) return null;
  return last === "uk" ? "GB" : last.toUpperCase();
}
