import type { FoundDate } from "../time/dates-in-words";
import type { DueFound, SlipKind } from "./slip";

const DUE_LEAD =
  /\b(?:by|before|until|till|due|no later than|not later than|latest|on|for|this|at|in time for|ready for|within|from|,)\s*(?:the|at the latest|latest)?\s*$/i;

/** Words that set a limit: they say when something is due, whatever other days are named. */
const LIMIT_LEAD =
  /\b(?:by|before|until|till|no later than|not later than|at the latest|latest|due)\s*(?:on\s+)?(?:the|this)?\s*$/i;

/** Words before a date that make it the day of something else: "the opening on 4 May", "the letter of the 3rd". */
const EVENT_LEAD =
  /\b(?:opening|meeting|visit|event|fair|concert|course|workshop|inspection|party|wedding|show|delivery|holiday|conference|training|launch|closing|open day|walk ?round|appointment|lesson|exam|match|festival|board|council|session|interview|trip|dated|(?:letter|mail|invoice|order|quote|quotation|minutes|drawing|version)(?= (?:is |are |was |of |from |dated ))|since|from|starts?|starting|begins?|opens?|closes?|meets?|happens?|takes place|arrives?|leaves?|away)\s+(?:is |are |of |on |at |until |till |from )?(?:the )?$/i;

const READY_FOR =
  /\b(?:ready|done|finished|complete|in place|in time|here|there|delivered|printed|sent|with (?:us|me|them))\b.{0,40}\b(?:for|by|before|at|on)\b/i;

/** What somebody is to be told has days of its own. */
export const TOLD = /\b(?:tell|inform|remind|warn|explain|let \w+ (?:\w+ )?know)\b.{0,40}\bthat\b/i;

/** "Tell them I signed on the 10th": the day on which something has happened. */
const HAPPENED =
  /\b(?:i|we|you|he|she|they|who|which)(?:['’]d| had| have|['’]ve)? (?:\p{L}+ed|sent|wrote|said|met|spoke|rang|paid|told|gave|got|took|made|came|went|saw)\b[^,;:]{0,40}\b(?:on|at|in|since|of|the|last)\s*(?:the )?$/iu;

/** The day by which a clause wants something done, from the dates found in it; the last correction counts alone. */
export function dueOf(kind: SlipKind, text: string, dates: readonly FoundDate[]): DueFound | null {
  if (kind === "trouble" || /\bevery (?:day|morning|week|month|mon|tues|wednes|thurs|fri)/i.test(text)) return null;
  const usable = dates.filter((date) => {
    const lead = text.slice(0, date.start);
    // "Nobody should walk on it before Thursday": then it begins, it does not end.
    if (
      /^(?:nobody|no one|nothing|don['’]t|do not|never)\b/i.test(text) &&
      /\b(?:before|until|till)\s+(?:the )?$/i.test(lead)
    )
      return false;
    // "Ask whether Wednesday suits them": the day is what is asked about.
    if (/\b(?:whether|if|why|how)\s+(?:the\s+)?$/i.test(lead)) return false;
    // "Half of Thursday's order": the day is the order's, unless it is to be there by then.
    if (/^['’]s\b/.test(text.slice(date.end)) && !LIMIT_LEAD.test(lead)) return false;
    if (HAPPENED.test(lead)) return false;
    if (kind === "ask" && TOLD.test(lead) && !/\bby\s*(?:the )?$/i.test(lead)) return false;
    // "Sign the order today": near days are said of the work, not of the thing that stands before them.
    const isNear = /^(?:today|tomorrow|the day after tomorrow|words of haste|in so many days)$/.test(date.rule);
    const isCountedBack = /\b(?:days?|weeks?|months?) (?:before|ahead of|prior to)\b/i.test(lead);
    // "Before payroll closes on Thursday" is wanted by then.
    const isBefore = /\bbefore\b[^,;.]*$/i.test(lead);
    // "From 1 July all payments are to go there": by then it has to be so.
    const isFromThen = kind === "ask" && /^(?:as\s+)?(?:from|of)\s+(?:the\s+)?$/i.test(lead);
    if (
      !isNear &&
      !isFromThen &&
      !isCountedBack &&
      !isBefore &&
      EVENT_LEAD.test(lead) &&
      !/\bby\s*(?:the )?$/i.test(lead) &&
      !READY_FOR.test(lead)
    )
      return false;
    if (kind === "question") return /\b(?:by|before|until)\s*(?:the )?$/i.test(lead) || date.rule === "words of haste";
    return true;
  });
  const corrected =
    /\b(?:scrap that|forget that|make (?:it|that)|or rather|no, |no wait|wait, |sorry, |i mean|correction:?|better:?)\b/i.exec(
      text,
    );
  const candidates = corrected ? usable.filter((date) => date.start > corrected.index) : usable;
  const led = (lead: RegExp) => candidates.find((date) => lead.test(text.slice(0, date.start)));
  const best = led(LIMIT_LEAD) ?? led(DUE_LEAD) ?? candidates[0] ?? usable[0];
  return best
    ? { day: best.day, time: best.time, others: best.others, words: best.words.replace(/(?<=\p{L}{4})\.$/u, "") }
    : null;
}
