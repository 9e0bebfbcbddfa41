import { type DateRule, MONTH, monthNumber } from "../date-rule";
import { addDays, addMonths, type Day, isoWeekMonday, monthEnd, weekdayOf, workingDayUpTo } from "../day";

function monday(day: Day): Day {
  return addDays(day, 1 - weekdayOf(day));
}

/** "end of the week": its Friday; written at a weekend, the coming Friday and the one after. */
export const endOfWeek: DateRule = {
  name: "end of the week",
  pattern:
    /\b(?:(?:the )?end of (?:the |this )?(?:working )?week|(?:the )?week['’]?s end|before the weekend|(?:later|late|sometime|some time) this week|this week)\b/gi,
  read(_words, ground) {
    const friday = addDays(monday(ground.day), 4);
    return weekdayOf(ground.day) <= 5 ? { day: friday } : { day: addDays(friday, 7), others: [addDays(friday, 14)] };
  },
};

/** "next week", "early next week", "end of next week", "middle of next week". */
export const nextWeek: DateRule = {
  name: "next week",
  pattern: /\b(?:(early|beginning of|start of|middle of|mid|late|later|(?:the )?end of)[- ])?next week\b/gi,
  read(words, ground) {
    const start = addDays(monday(ground.day), 7);
    const part = words[1]?.toLowerCase() ?? "";
    const at = (...days: number[]) => days.map((d) => addDays(start, d));
    const days = /early|beginning|start/.test(part)
      ? at(1, 0)
      : /mid/.test(part)
        ? at(2, 1, 3)
        : part
          ? at(4, 3)
          : at(4, 0, 1, 2, 3);
    return { day: days[0]!, others: days.slice(1) };
  },
};

/** "week 50" (ISO 8601): its Friday; the coming one, where no year is said. */
export const isoWeek: DateRule = {
  name: "ISO week",
  pattern: /\b(?:week|wk|w)\s?(\d{1,2})\b(?:\s+(\d{4}))?/gi,
  read(words, ground) {
    const week = Number(words[1]);
    // Every year has week 52; week 53 exists in some years only, and the Monday must then still lie in the old year.
    if (week < 1 || week > 53) return null;
    const year = Number(words[2] ?? ground.day.slice(0, 4));
    const start = isoWeekMonday(year, week);
    if (week === 53 && isoWeekMonday(year + 1, 1) === start) return null;
    const friday = addDays(start, 4);
    if (words[2] || friday >= ground.day) return { day: friday };
    return { day: addDays(isoWeekMonday(year + 1, week), 4) };
  },
};

/** "end of November", "mid-December", "early January", "by December" is left to the reader as no day. */
export const partOfMonth: DateRule = {
  name: "part of a month",
  pattern: new RegExp(`\\b(?:the )?(end of|late|mid|middle of|early|beginning of|start of)[- ](${MONTH})\\b`, "gi"),
  read(words, ground) {
    const month = monthNumber(words[2]!);
    const year = Number(ground.day.slice(0, 4)) + (month < Number(ground.day.slice(5, 7)) ? 1 : 0);
    const first = `${year}-${String(month).padStart(2, "0")}-01`;
    const part = words[1]!.toLowerCase();
    if (/early|beginning|start/.test(part)) return { day: first };
    if (/mid/.test(part)) return { day: addDays(first, 14) };
    const last = monthEnd(first);
    return { day: workingDayUpTo(last, ground.calendar), others: [last] };
  },
};

/** "in the new year", "next month": no day to be held to, so the last day of that stretch is only offered. */
export const nextMonth: DateRule = {
  name: "next month",
  pattern: /\bnext month\b/gi,
  read(_words, ground) {
    const last = monthEnd(addMonths(`${ground.day.slice(0, 8)}01`, 1));
    return { day: workingDayUpTo(last, ground.calendar), others: [last] };
  },
};
