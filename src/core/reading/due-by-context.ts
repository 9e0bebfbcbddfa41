import type { FoundDate } from "../time/dates-in-words";
import { addDays, type Day } from "../time/day";
import { dayOf, type Moment, timeOf } from "../time/moment";
import { findTimes } from "../time/rules/time-of-day";
import { isRecurring, TOLD } from "./due";
import type { DueFound, SlipKind } from "./slip";

/** Somebody is to be somewhere at a time: "be there at nine", "someone's in after four". */
const AT_A_TIME =
  /\b(?:be (?:there|here|in|present|on site|ready)|is in|['’]s in|in|there|come|meet)\b.{0,20}\b(?:at|after|from|before|by)\s+\S+$/i;

/** A part of a day that nobody has named. */
const PART_OF_DAY = /\b(?:(?<!\b(?:at|by|before|after|from) \S{1,12} )in the morning|(?:before|over|after) lunch)\b/i;

/** The next morning for what is written at noon or later, today's lunch for what is promised before; null for others. */
function dayOfPart(part: string, kind: SlipKind, from: Moment): Day | null {
  const [today, hour] = [dayOf(from), timeOf(from)];
  if (/morning/i.test(part)) return hour >= "12:00" ? addDays(today, 1) : null;
  return kind === "promise" && hour < "13:30" ? today : null;
}

/** A limit that is only a time of day: "before nine" is today, or tomorrow where nine is past. */
const TIME_LIMIT = /\b(?:by|before|until|till|no later than)\s*$/i;

/**
 * The day by which something is due where no day is named: "by the same date", "before nine". Null where nothing tells it.
 * @param last the day of the slip before
 * @param before the days named in what stands before the clause
 * @param inParagraph the last of those in its own paragraph
 * @param from when and where the letter was written
 * @param everyDay whether days count that only last until then, and parts of days do not
 */
export function dueByContext(
  kind: SlipKind,
  text: string,
  last: DueFound | null,
  before: () => readonly FoundDate[],
  inParagraph: () => FoundDate | undefined,
  from: Moment,
  { everyDay = false } = {},
): DueFound | null {
  if (kind === "trouble" || kind === "question" || isRecurring(text)) return null;
  // "Until then please switch it off": for so long.
  const same =
    /(?<!^(?:and |but |so )?)\b(?:(?:by|until|on|before|no later than|not later than) (?:the same (?:date|day)|then|that (?:date|day))|before (?:that|then)(?=[,.;!]|$)|(?<=\b(?:at|by|before) \S{1,12} )that (?:same )?(?:morning|afternoon|evening|night)|(?<!\b(?:taken|made|done|seen|there|present|happened|worn|used) )on the day(?! (?:before|after|of)\b))\b/i.exec(
      text,
    );
  // "Hold the order until then": for so long.
  if (same && !everyDay && /^until\b/i.test(same[0])) return null;
  if (same && TOLD.test(text.slice(0, same.index))) return null;
  const named = same && before().at(-1);
  if (same && named) return { day: named.day, time: named.time, others: named.others, words: same[0] };
  if (same && last) return { ...last, words: same[0] };
  if (/^(?:please |and |but )*(?:do not|don['’]t|never|no\b|nobody|nothing)|\bno \p{L}+ in\b/iu.test(text)) return null;
  // "I'm fetching them in the morning", written at noon or later: the next one, unless a day was just named.
  const part = everyDay ? null : PART_OF_DAY.exec(text);
  if (part && !/\b(?:always|usually|mornings|often|only)\b/i.test(text)) {
    const named = inParagraph();
    const day = named && named.day > dayOf(from) ? named.day : dayOfPart(part[0], kind, from);
    if (day) return { day, time: null, others: [], words: part[0] };
  }
  // "It comes on Tuesday. Somebody should be there at nine.": on the day that was just named.
  const times = findTimes(text);
  const at = times.find((time) => AT_A_TIME.test(text.slice(0, time.end)));
  const day = at && inParagraph();
  if (at && day && day.day > dayOf(from))
    return { day: day.day, time: at.time, others: day.others, words: text.slice(at.start, at.end) };
  const soon = kind === "promise" ? times.find(({ time }) => time > timeOf(from)) : undefined;
  if (soon && /\b(?:at|between)\s/i.test(text.slice(Math.max(0, soon.start - 4), soon.end)))
    return { day: dayOf(from), time: soon.time, others: [], words: text.slice(soon.start, soon.end) };
  const limit = times.find(
    (time) => TIME_LIMIT.test(text.slice(0, time.start)) || TIME_LIMIT.test(`${text.slice(time.start).split(" ")[0]} `),
  );
  if (!limit) return null;
  const today = dayOf(from);
  return {
    day: limit.time > timeOf(from) ? today : addDays(today, 1),
    time: limit.time,
    others: [],
    words: text.slice(limit.start, limit.end),
  };
}
