import type { DateReading, DateRule } from "../date-rule";
import { type Day, monthEnd, workingDayUpTo } from "../day";

/** The last working day of a stretch, with its last calendar day beside it. */
function endOf(last: Day, ground: Parameters<DateRule["read"]>[1]): DateReading {
  const working = workingDayUpTo(last, ground.calendar);
  return { day: working, others: working === last ? [] : [last] };
}

/** "end of the quarter", "quarter end": the last day of the calendar quarter. */
export const endOfQuarter: DateRule = {
  name: "end of the quarter",
  pattern: /\b(?:(?:the )?end of (?:the |this )?quarter|quarter[- ]end)\b/gi,
  read(_words, ground) {
    const month = Math.ceil(Number(ground.day.slice(5, 7)) / 3) * 3;
    return endOf(monthEnd(`${ground.day.slice(0, 4)}-${String(month).padStart(2, "0")}-01`), ground);
  },
};

/** "end of the year", "year end"; "the year end on 31 March" says itself when that is. */
export const endOfYear: DateRule = {
  name: "end of the year",
  pattern: /\b(?:(?:the )?end of (?:the |this )?year|year[- ]end)\b(?! (?:on|of) (?:the )?\d)/gi,
  read: (_words, ground) => endOf(`${ground.day.slice(0, 4)}-12-31`, ground),
};
