import { ONE_TO_TWELVE } from "../one-to-twelve";
/** A time found in words: where it stands and what the clock would show. */
export interface FoundTime {
  readonly start: number;
  readonly end: number;
  readonly time: string;
}

/** Names of hours, each as most offices mean it; common practice, not a standard. */
const NAMED: readonly (readonly [RegExp, string])[] = [
  [/\bfirst thing(?: in the morning)?\b/gi, "09:00"],
  [/\b(?:at |by |before )?(?:noon|midday|mid-day|12 noon)\b/gi, "12:00"],
  [/\b(?:before|by|at) lunch(?: ?time)?\b/gi, "12:00"],
  [
    /\b(?:close of business|end of business|close of play|end of play|cob|end of the (?:working )?day|end of day|eod)\b/gi,
    "17:00",
  ],
];

/** "at ten", "by half past nine", "ten o'clock": an hour in words needs a word before or after it that makes it one. */
const SPOKEN = new RegExp(
  `\\b(?:(?:at|by|before|from|until|till) (half past |quarter past |quarter to )?(${ONE_TO_TWELVE.join("|")})(?: o['’]?clock)?\\b(?! (?:days?|weeks?|months?|hours?|minutes?|of|per))|(${ONE_TO_TWELVE.join("|")}) o['’]?clock\\b|(half past|quarter past|quarter to) (${ONE_TO_TWELVE.join("|")})\\b)`,
  "gi",
);

/** The hour an office means by a spoken one: between eight in the morning and seven in the evening. */
function officeHour(hour: number): number {
  return hour < 8 ? hour + 12 : hour;
}

function fromSpoken(match: RegExpExecArray): string {
  const hour = officeHour(ONE_TO_TWELVE.indexOf((match[2] ?? match[3] ?? match[5])!.toLowerCase()) + 1);
  const part = match[4] ? `${match[4].toLowerCase()} ` : (match[1]?.toLowerCase() ?? "");
  if (part.startsWith("half")) return `${pad(hour)}:30`;
  if (part.endsWith("past ")) return `${pad(hour)}:15`;
  return part === "" ? `${pad(hour)}:00` : `${pad(hour - 1)}:45`;
}

const CLOCK =
  /\b(?:at |by |before |from |until |till |between )?(\d{1,2})(?:[:.](\d{2}))?\s?(am|pm|a\.m\.|p\.m\.|o['’]?clock|h\b|hrs\b)?(?![\w%/]|[.,]\d|-\d)/gi;

function pad(value: number): string {
  return String(value).padStart(2, "0");
}

function fromClock(match: RegExpExecArray): string | null {
  const [, hourText, minuteText, mark] = match;
  // A bare number is no time; "14:00", "2 pm", "10 o'clock" are. A point for a colon needs "at" or a mark ("at 14.30").
  if (!mark && !match[0].includes(":") && !(minuteText && /^(?:at|by|before|from|until|till|between) /i.test(match[0])))
    return null;
  let hour = Number(hourText);
  const minute = Number(minuteText ?? 0);
  const half = mark?.toLowerCase().replaceAll(".", "");
  if (half === "pm" && hour < 12) hour += 12;
  if (half === "am" && hour === 12) hour = 0;
  if (half?.startsWith("o")) hour = officeHour(hour);
  return hour < 24 && minute < 60 ? `${pad(hour)}:${pad(minute)}` : null;
}

/** Every time of day in a text, in the order of the text. */
export function findTimes(text: string): FoundTime[] {
  const found: FoundTime[] = [];
  for (const [pattern, time] of NAMED) {
    for (const match of text.matchAll(pattern))
      found.push({ start: match.index, end: match.index + match[0].length, time });
  }
  for (const match of text.matchAll(SPOKEN))
    found.push({ start: match.index, end: match.index + match[0].length, time: fromSpoken(match as RegExpExecArray) });
  for (const match of text.matchAll(CLOCK)) {
    const time = fromClock(match);
    if (time) found.push({ start: match.index, end: match.index + match[0].length, time });
  }
  return found.sort((a, b) => a.start - b.start);
}
