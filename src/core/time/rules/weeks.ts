import { type DateRule, MONTH, monthNumber } from "../date-rule";
import { addDays, addMonths, type Day, dayFrom, isoWeekMonday, monthEnd, weekdayOf, workingDayUpTo } from "../day";

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

/** "the week after next": Monday to Friday. */
export const weekAfterNext: DateRule = {
  name: "the week after next",
  pattern: /\b(?:the )?week after next\b/gi,
  read(_words, ground) {
    const start = addDays(monday(ground.day), 14);
    return { day: addDays(start, 4), others: [0, 1, 2, 3].map((days) => addDays(start, days)) };
  },
};

/** "the week of 7 December", "week commencing the 7th of December": its Monday to Friday. */
export const weekOf: DateRule = {
  name: "the week of a day",
  pattern: new RegExp(
    `\\b(?:in )?(?:the )?week (?:of|beginning|commencing|starting)(?: on)?(?: the)? (\\d{1,2})(?:st|nd|rd|th)?(?: of)? (${MONTH})\\b`,
    "gi",
  ),
  read(words, ground) {
    const year = Number(ground.day.slice(0, 4));
    const here = dayFrom(year, monthNumber(words[2]!), Number(words[1]));
    const day =
      here && here < addDays(ground.day, -7) ? dayFrom(year + 1, monthNumber(words[2]!), Number(words[1])) : here;
    if (!day) return null;
    const start = monday(day);
    return { day: addDays(start, 4), others: [0, 1, 2, 3].map((days) => addDays(start, days)) };
  },
};

/** "this weekend", "at the weekend": Saturday and Sunday. */
export const weekend: DateRule = {
  name: "the weekend",
  pattern: /\b(?:(?:this|at the|over the|on the|the coming) week-?end)\b/gi,
  read(_words, ground) {
    const saturday = addDays(monday(ground.day), 5);
    const sunday = addDays(saturday, 1);
    return ground.day > saturday ? { day: sunday } : { day: saturday, others: [sunday] };
  },
};

/** "week 50" (ISO 8601): its Friday; the coming one, where no year is said. */
export const isoWeek: DateRule = {
  name: "ISO week",
  pattern: /\b(?:week|wk|cw|kw|w)\s?(\d{1,2})\b(?:\s+(\d{4}))?/gi,
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
