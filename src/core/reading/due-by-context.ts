import type { FoundDate } from "../time/dates-in-words";
import { addDays } from "../time/day";
import { dayOf, type Moment, timeOf } from "../time/moment";
import { findTimes } from "../time/rules/time-of-day";
import { isRecurring, TOLD } from "./due";
import type { DueFound, SlipKind } from "./slip";

/** Somebody is to be somewhere at a time: "be there at nine", "someone's in after four". */
const AT_A_TIME =
  /\b(?:be (?:there|here|in|present|on site|ready)|is in|['’]s in|in|there|come|meet)\b.{0,20}\b(?:at|after|from|before|by)\s+\S+$/i;

/** A limit that is only a time of day: "before nine" is today, or tomorrow where nine is past. */
const TIME_LIMIT = /\b(?:by|before|until|till|no later than)\s*$/i;

/**
 * The day by which something is due where no day is named: "by the same date", "before nine". Null where nothing tells it.
 * @param last the day of the slip before
 * @param before the days named in what stands before the clause
 * @param inParagraph the last of those in its own paragraph
 * @param from when and where the letter was written
 */
export function dueByContext(
  kind: SlipKind,
  text: string,
  last: DueFound | null,
  before: () => readonly FoundDate[],
  inParagraph: () => FoundDate | undefined,
  from: Moment,
): DueFound | null {
  if (kind === "trouble" || kind === "question" || isRecurring(text)) return null;
  // "Until then please switch it off": for so long.
  const same =
    /(?<!^(?:and |but |so )?)\b(?:(?:by|until|on|before|no later than|not later than) (?:the same (?:date|day)|then|that (?:date|day))|before (?:that|then)(?=[,.;!]|$)|(?<!\b(?:taken|made|done|seen|there|present|happened|worn|used) )on the day(?! (?:before|after|of)\b))\b/i.exec(
      text,
    );
  if (same && TOLD.test(text.slice(0, same.index))) return null;
  const named = same && before().at(-1);
  if (same && named) return { day: named.day, time: named.time, others: named.others, words: same[0] };
  if (same && last) return { ...last, words: same[0] };
  if (/^(?:please |and |but )*(?:do not|don['’]t|never|no\b|nobody|nothing)|\bno \p{L}+ in\b/iu.test(text)) return null;
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
