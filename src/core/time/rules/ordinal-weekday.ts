import { type DateRule, MONTH, monthNumber, WEEKDAY, weekdayNumber } from "../date-rule";
import { addDays, addMonths, type Day, monthEnd, weekdayOf } from "../day";

const PLACES = ["first", "second", "third", "fourth"];

/** The first, second … or last such weekday of the month that `day` lies in; null where there is none. */
function inMonth(day: Day, weekday: number, place: string): Day | null {
  const first = `${day.slice(0, 8)}01`;
  const last = monthEnd(first);
  if (place === "last") return addDays(last, -((weekdayOf(last) - weekday + 7) % 7));
  const found = addDays(first, ((weekday - weekdayOf(first) + 7) % 7) + 7 * PLACES.indexOf(place));
  return found <= last ? found : null;
}

/** "the first Monday in January", "the last Friday of the month": the coming one. */
export const ordinalWeekday: DateRule = {
  name: "weekday of a month",
  pattern: new RegExp(
    `\\b(?:the )?(first|second|third|fourth|last)\\s+(${WEEKDAY})\\s+(?:in|of)\\s+(?:(next month)|(?:the |this )?month|(${MONTH}))\\b`,
    "gi",
  ),
  read(words, ground) {
    const [, place, weekday, next, month] = words;
    const start = `${ground.day.slice(0, 8)}01`;
    const number = weekdayNumber(weekday!);
    if (!month) {
      const here = inMonth(next ? addMonths(start, 1) : start, number, place!.toLowerCase());
      const day = here && here >= ground.day ? here : inMonth(addMonths(start, 1), number, place!.toLowerCase());
      return day ? { day } : null;
    }
    const year = Number(ground.day.slice(0, 4));
    for (const one of [year, year + 1]) {
      const day = inMonth(`${one}-${String(monthNumber(month)).padStart(2, "0")}-01`, number, place!.toLowerCase());
      if (day && day >= ground.day) return { day };
    }
    return null;
  },
};
