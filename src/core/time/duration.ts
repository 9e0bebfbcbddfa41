import { ONE_TO_TWELVE } from "./one-to-twelve";

/** Minutes of a working day, and of a working week, in work that is estimated: eight hours, five days (common practice). */
export const DAY_MINUTES = 480;
const WEEK_MINUTES = 5 * DAY_MINUTES;

/** The longest work that one task is estimated at: what takes more is a project. */
export const LONGEST_ESTIMATE = 52 * WEEK_MINUTES;

const FRACTIONS: Readonly<Record<string, number>> = { "½": 0.5, "¼": 0.25, "¾": 0.75 };
const UNITS: readonly (readonly [RegExp, number])[] = [
  [/^(?:m|min)/i, 1],
  [/^h/i, 60],
  [/^d/i, DAY_MINUTES],
  [/^w/i, WEEK_MINUTES],
];

const WORDS = ONE_TO_TWELVE.join("|");
const COUNT = `(?:\\d{1,3}(?:[.,]\\d{1,2}|\\s?[½¼¾])?|[½¼¾]|${WORDS}|fifteen|twenty|thirty|forty(?:[- ]five)?|sixty|ninety|an?|half an?|a half|(?:three[- ])?quarters? of an?|a quarter of an?|a couple of|(?:${WORDS}|an?) and a half)`;
const UNIT =
  "(?:minutes?|mins?|min\\.|hours?|hrs?|h(?![\\p{L}])|(?:working |full |whole |man[- ]|person[- ])?days?|(?:working )?weeks?)";

/** How long work is, as it is written: "half an hour", "2 h", "two and a half days", "an hour and a half", "1 to 2 hours". */
export const DURATION = `(?:${COUNT}\\s?(?:(?:to|or|-|–)\\s?${COUNT}\\s?)?[- ]?${UNIT}(?:\\s(?:and a half|and a quarter|\\d{1,2}\\s?(?:minutes?|mins?)?(?![\\d.:]))|\\s?(?<=h)\\d{2}(?!\\d))?|half a (?:working )?day)`;

const PARTS = new RegExp(
  `^(?<first>${COUNT})\\s?(?:(?:to|or|-|–)\\s?(?<last>${COUNT})\\s?)?[- ]?(?<unit>${UNIT})(?:\\s?(?<more>and a half|and a quarter|\\d{1,2})\\s?(?:minutes?|mins?)?)?$`,
  "iu",
);

const OTHER_NUMBERS: Readonly<Record<string, number>> = {
  a: 1,
  an: 1,
  "a couple of": 2,
  fifteen: 15,
  twenty: 20,
  thirty: 30,
  forty: 40,
  "forty-five": 45,
  "forty five": 45,
  sixty: 60,
  ninety: 90,
};

function countOf(words: string): number {
  const text = words.toLowerCase().trim();
  if (/\band a half$/.test(text)) return countOf(text.replace(/\s*and a half$/, "")) + 0.5;
  if (/^three[- ]quarters/.test(text)) return 0.75;
  if (/quarter/.test(text)) return 0.25;
  if (/half/.test(text)) return 0.5;
  const fraction = FRACTIONS[text.at(-1)!] ?? 0;
  const figures = text.replace(/[½¼¾\s]/g, "").replace(",", ".");
  if (/^\d/.test(figures)) return Number(figures) + fraction;
  if (fraction > 0) return fraction;
  return OTHER_NUMBERS[text] ?? ONE_TO_TWELVE.indexOf(text) + 1;
}

/**
 * The minutes of work that words say: of a range the longer, a day as eight hours and a week as five days. Null where they
 * say none, nothing, or more than a year.
 */
export function readDuration(words: string): number | null {
  const tidy = words.trim().replace(/\s+/g, " ").replace(/\.$/, "");
  if (/^half a (?:working )?day$/i.test(tidy)) return DAY_MINUTES / 2;
  const parts = PARTS.exec(tidy)?.groups;
  if (!parts) return null;
  const unit = UNITS.find(([pattern]) =>
    pattern.test(parts.unit!.replace(/^(?:working|full|whole|man|person)[- ]/i, "")),
  )![1];
  const more = parts.more ?? "";
  const rest = /half/i.test(more) ? unit / 2 : /quarter/i.test(more) ? unit / 4 : unit === 60 ? Number(more || 0) : 0;
  const minutes = Math.round(countOf(parts.last ?? parts.first!) * unit + rest);
  return minutes > 0 && minutes <= LONGEST_ESTIMATE ? minutes : null;
}

function counted(n: number, unit: string): string {
  return `${String(n).replace(/\.5$/, "½").replace(/^0½/, "½")} ${unit}${n > 1 ? "s" : ""}`;
}

/** Minutes of work in words: "20 minutes", "1½ hours", "half a day", "3 days". */
export function sayDuration(minutes: number): string {
  if (minutes < 60) return counted(minutes, "minute");
  if (minutes === DAY_MINUTES / 2) return "half a day";
  if (minutes % WEEK_MINUTES === 0) return counted(minutes / WEEK_MINUTES, "week");
  if (minutes >= DAY_MINUTES && minutes % (DAY_MINUTES / 2) === 0) return counted(minutes / DAY_MINUTES, "day");
  if (minutes % 30 === 0) return counted(minutes / 60, "hour");
  return `${Math.floor(minutes / 60)} h ${minutes % 60}`;
}
