import { COUNT, countOf, type DateGround, type DateReading, type DateRule, WEEKDAY, weekdayNumber } from "../date-rule";
import {
  addDays,
  addMonths,
  addWorkingDays,
  type Day,
  isWorkingDay,
  monthEnd,
  weekdayOf,
  workingDayUpTo,
} from "../day";

/** "ASAP", "right away": the day of sending, or the next working day. */
export const haste: DateRule = {
  name: "words of haste",
  pattern:
    /\b(?:asap|a\.s\.a\.p\.?|as soon as (?:possible|you can|you possibly can)|(?:right|straight) away|(?:right )?this (?:minute|second|instant|very moment)|without delay|immediately|at once|forthwith|urgent(?:ly)?)(?![\w])/gi,
  read: (_words, ground) => ({ day: ground.day, others: [addWorkingDays(ground.day, 1, ground.calendar)] }),
};

/** "today", "this afternoon", "by close of business". */
export const today: DateRule = {
  name: "today",
  // "COB Friday" is Friday.
  pattern: new RegExp(
    `\\b(?:today|tonight|within the hour|this (?:morning|afternoon|evening)|(?:(?:close|end) of (?:business|play|the (?:working )?day|day)|cob|eod)(?!\\s+(?:on\\s+|of\\s+|this\\s+|next\\s+)?(?:${WEEKDAY}|tomorrow|the\\b|\\d))|lunch ?time today)\\b`,
    "gi",
  ),
  read: (_words, ground) => ({ day: ground.day }),
};

/** "First thing", of somebody who writes in the afternoon: the next morning. */
export const firstThing: DateRule = {
  name: "first thing",
  pattern: new RegExp(
    `(?<!(?:${WEEKDAY}|tomorrow|week|\\d(?:st|nd|rd|th)?),? )\\bfirst thing\\b(?! (?:in the morning )?(?:on |next |tomorrow|tmrw|the |${WEEKDAY}))`,
    "gi",
  ),
  read(_words, ground) {
    if (ground.time < "12:00") return { day: ground.day };
    const day = addDays(ground.day, 1);
    return { day, others: isWorkingDay(day, ground.calendar) ? [] : [addWorkingDays(day, 1, ground.calendar)] };
  },
};

/** "tomorrow": the next calendar day; written on a Friday, Monday is offered too. */
export const tomorrow: DateRule = {
  name: "tomorrow",
  pattern: /\b(?:tomorrow|tmrw|tmw)\b(\s+week\b)?/gi,
  read(words, ground) {
    if (words[1]) return { day: addDays(ground.day, 8) };
    const day = addDays(ground.day, 1);
    return { day, others: isWorkingDay(day, ground.calendar) ? [] : [addWorkingDays(day, 1, ground.calendar)] };
  },
};

/** "a week today", "a fortnight tomorrow", "today week". */
export const weekFromNear: DateRule = {
  name: "so many weeks from today",
  pattern: new RegExp(`\\b(?:(${COUNT}) (weeks?|fortnight) (?:from )?(today|tomorrow)|(today|this day) week)\\b`, "gi"),
  read(words, ground) {
    const weeks = words[1] ? countOf(words[1]) * (words[2]!.toLowerCase() === "fortnight" ? 2 : 1) : 1;
    return { day: addDays(ground.day, 7 * weeks + (words[3]?.toLowerCase() === "tomorrow" ? 1 : 0)) };
  },
};

/** "the day after tomorrow". */
export const dayAfterTomorrow: DateRule = {
  name: "the day after tomorrow",
  pattern: /\b(?:the )?day after tomorrow\b/gi,
  read: (_words, ground) => ({ day: addDays(ground.day, 2) }),
};

/** The first such weekday after `day`. */
function coming(day: Day, weekday: number): Day {
  return addDays(day, ((weekday - weekdayOf(day) + 6) % 7) + 1);
}

/** "Friday", "next Tuesday", "Friday week", "a week on Monday", "Friday next week". */
export const weekday: DateRule = {
  name: "weekday",
  pattern: new RegExp(
    `\\b(?:((?:a|two|three|four|\\d) weeks? on|week on|this coming|this|next|coming|last|every|each)\\s+)?(${WEEKDAY})\\b(?:\\s+(week|(?:of |in )?next week|after next))?(?!-)(?! (?:nights|mornings|afternoons|evenings)\\b)`,
    "gi",
  ),
  read(words, ground) {
    const [all, before, name, after] = words;
    // Cut-short names are also words ("sat", "sun", "wed"): in a longer text they count with a capital or after a word for time only.
    if (/^(?:sat|sun|wed|mon)$/.test(name!) && !before && !after && words.input.trim().length > all.length + 8)
      return null;
    const number = weekdayNumber(name!);
    const first = coming(ground.day, number);
    const lead = before?.toLowerCase() ?? "";
    if (/^(?:last|every|each)$/.test(lead)) return null;
    if (/weeks? on$/.test(lead))
      return { day: addDays(first, 7 * (lead.startsWith("week") ? 1 : countOf(lead.split(" ")[0]!))) };
    if (after?.toLowerCase() === "week") return { day: addDays(first, 7) };
    const following = addDays(ground.day, 8 - weekdayOf(ground.day) + number - 1);
    if (/next week$/i.test(after ?? "")) return { day: following };
    if (after) return { day: addDays(first, 7) };
    if (lead === "next") return following === first ? { day: first } : { day: following, others: [first] };
    return { day: first };
  },
};

const UNITS = "working days?|business days?|days?|weeks?|fortnights?|months?";

function after(count: number, unit: string, ground: DateGround): DateReading {
  const name = unit.toLowerCase();
  if (/working|business/.test(name)) return { day: addWorkingDays(ground.day, count, ground.calendar) };
  const day = name.startsWith("month")
    ? addMonths(ground.day, count)
    : addDays(ground.day, name.startsWith("day") ? count : name.startsWith("fortnight") ? count * 14 : count * 7);
  if (isWorkingDay(day, ground.calendar)) return { day };
  const before = workingDayUpTo(day, ground.calendar);
  const behind = addWorkingDays(day, 1, ground.calendar);
  return { day, others: weekdayOf(day) === 6 ? [before, behind] : [behind, before] };
}

/** "in two weeks", "within ten days", "in three working days", "in a fortnight". */
export const inSoMany: DateRule = {
  name: "in so many days",
  pattern: new RegExp(
    `\\b(?:in|within|inside)\\s+(?:the next\\s+|about\\s+|another\\s+)?(${COUNT})\\s+(${UNITS})(?:['’]s? time)?\\b(?:\\s+(?:of|from)\\s+(?:(?:the date of )?this (?:letter|e-?mail|mail|message|notice)|today(?:['’]s date)?|now)\\b)?(?!\\s+(?:of|after|from|following)\\b)`,
    "gi",
  ),
  read: (words, ground) => after(countOf(words[1]!), words[2]!, ground),
};

/** "in 48 hours": the day on which they are over. */
export const inHours: DateRule = {
  name: "in so many hours",
  pattern: new RegExp(`\\b(?:in|within)\\s+(?:the next\\s+)?(${COUNT})\\s+hours?\\b`, "gi"),
  read(words, ground) {
    const minutes = Number(ground.time.slice(0, 2)) * 60 + Number(ground.time.slice(3)) + countOf(words[1]!) * 60;
    return { day: addDays(ground.day, Math.floor(minutes / 1_440)) };
  },
};

/** "three days from now", "two weeks from today". */
export const fromNow: DateRule = {
  name: "so many days from now",
  pattern: new RegExp(`\\b(${COUNT})\\s+(${UNITS})\\s+from\\s+(?:now|today)\\b`, "gi"),
  read: (words, ground) => after(countOf(words[1]!), words[2]!, ground),
};

/** "end of the month", "end of next month", "month end". */
export const endOfMonth: DateRule = {
  name: "end of the month",
  pattern: /\b(?:(?:the )?end of (?:the |this )?(next )?month|month[- ]end|before the month is (?:out|over))\b/gi,
  read(words, ground) {
    const last = monthEnd(words[1] ? addMonths(`${ground.day.slice(0, 8)}01`, 1) : ground.day);
    const working = workingDayUpTo(last, ground.calendar);
    return { day: working, others: working === last ? [] : [last] };
  },
};
