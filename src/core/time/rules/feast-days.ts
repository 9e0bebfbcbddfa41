import { easter } from "date-easter";
import type { DateReading, DateRule } from "../date-rule";
import { addDays, type Day, dayFrom } from "../day";

/** Feasts on one day of every year: month and day. */
const FIXED: Readonly<Record<string, readonly [number, number]>> = {
  "new year's day": [1, 1],
  epiphany: [1, 6],
  candlemas: [2, 2],
  "may day": [5, 1],
  michaelmas: [9, 29],
  halloween: [10, 31],
  "hallowe'en": [10, 31],
  "all saints' day": [11, 1],
  "christmas eve": [12, 24],
  christmas: [12, 25],
  "christmas day": [12, 25],
  "boxing day": [12, 26],
  "new year's eve": [12, 31],
};

/** Feasts that go with Easter Sunday: days from it. */
const WITH_EASTER: Readonly<Record<string, number>> = {
  "shrove tuesday": -47,
  "ash wednesday": -46,
  "palm sunday": -7,
  "maundy thursday": -3,
  "good friday": -2,
  easter: 0,
  "easter sunday": 0,
  "easter monday": 1,
  "ascension day": 39,
  ascension: 39,
  whitsun: 49,
  "whit sunday": 49,
  pentecost: 49,
  "whit monday": 50,
  "corpus christi": 60,
};

const NAMES = [...Object.keys(FIXED), ...Object.keys(WITH_EASTER)].sort((a, b) => b.length - a.length);

/** What has its name from a feast is not the day itself: "the Christmas party". */
const NAMED_AFTER =
  "(?![ -](?:party|parties|market|cards?|services?|dinner|lunch|holidays?|break|weeks?|weekend|season|shopping|tree|edition|campaign|fair|concert|vacation|term|rush|opening|hours|hymns?|eggs?|presents?|lights|menu|bonus|carols?|play|fête|fete|island|egg))";

/** Names that are a day by themselves; the others also stand for a time of the year, and are a day behind a word for one. */
const PLAIN_DAY = /\b(?:day|eve|monday|tuesday|wednesday|thursday|friday|sunday)$/;
const BEHIND_A_LIMIT =
  /(?:^|\b(?:by|before|until|till|on|for|due|latest|no later than|ahead of|in time for)\s+(?:the\s+)?)$/i;

function feastIn(year: number, name: string): Day | null {
  const fixed = FIXED[name];
  if (fixed) return dayFrom(year, ...fixed);
  const sunday = easter(year);
  const day = dayFrom(year, sunday.month, sunday.day);
  return day && addDays(day, WITH_EASTER[name]!);
}

/** "Good Friday", "before Christmas", "New Year's Eve": the coming one. Easter is that of the Gregorian calendar (Meeus 1991). */
export const feastDay: DateRule = {
  name: "feast day",
  pattern: new RegExp(`\\b(?:${NAMES.map((name) => name.replace("'", "['’]?")).join("|")})\\b${NAMED_AFTER}`, "gi"),
  read(words, ground): DateReading | null {
    const said = words[0].toLowerCase().replace("’", "'");
    const name = NAMES.find((one) => one === said || one.replace("'", "") === said);
    if (!name || (!PLAIN_DAY.test(name) && !BEHIND_A_LIMIT.test(words.input.slice(0, words.index)))) return null;
    const year = Number(ground.day.slice(0, 4));
    const here = feastIn(year, name);
    const day = here && here >= ground.day ? here : feastIn(year + 1, name);
    return day ? { day } : null;
  },
};
