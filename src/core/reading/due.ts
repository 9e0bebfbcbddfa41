import type { FoundDate } from "../time/dates-in-words";
import { isDayOfThing, isDayOfWork } from "./days-of-things";
import type { DueFound, SlipKind } from "./slip";

const DUE_LEAD =
  /\b(?:by|before|until|till|due|no later than|not later than|latest|on|for|this|at|in time for|ready for|within|from|,)\s*(?:the|at the latest|latest)?\s*$/i;

/** Words that set a limit: they say when something is due, whatever other days are named. */
const LIMIT_LEAD =
  /\b(?:by|before|until|till|no later than|not later than|at the latest|latest|due)\s*(?:on\s+)?(?:the|this)?\s*$/i;

/** Words before a date that make it the day of something else: "the opening on 4 May", "the letter of the 3rd". */
const EVENT_LEAD =
  /\b(?:opening|meeting|visit|event|fair|concert|course|workshop|inspection|party|wedding|show|delivery|holiday|conference|training|launch|closing|open day|walk ?round|appointment|lesson|exam|match|festival|(?:before|at|for) the (?:board|council)|session|interview|trip|dated|(?:letter|mail|invoice|order|quote|quotation|minutes|drawing|version)(?= (?:is |are |was |of |from |dated ))|since|from|starts?|starting|begins?|opens?|closes?|meets?|happens?|takes place|arrives?|leaves?|away)\s+(?:is |are |of |on |at |until |till |from )?(?:the )?$/i;

const READY_FOR =
  /\b(?:ready|done|finished|complete|in place|in time|here|there|delivered|printed|sent|with (?:us|me|them))\b.{0,40}\b(?:for|by|before|at|on)\b/i;

/** What somebody is to be told has days of its own. */
export const TOLD = /\b(?:tell|inform|remind|warn|explain|let \w+ (?:\w+ )?know)\b.{0,40}\bthat\b/i;

/** "Tell them I signed on the 10th": the day on which something has happened. */
const HAPPENED =
  /\b(?:i|we|you|he|she|they|who|which)(?:['’]d| had| have|['’]ve)? (?:(?!need\b)\p{L}+ed|sent|wrote|said|met|spoke|rang|paid|told|gave|got|took|made|came|went|saw)\b[^,;:]{0,40}\b(?:on|at|in|since|of|the|last)\s*(?:the )?$/iu;

/** "The Thursday run": what goes on that day. */
const GOES_ON_THAT_DAY = /^ (?:run|round|delivery|post)\b/i;

/** "The Thursday people": whom or what a day names. */
const NAMED_BY_DAY =
  /^ (?:people|lot|group|class|course|team|crowd|session|shift|slot|market|club|order|delivery|run|round|meeting|lesson|edition|paper|customers?|guests?)\b/i;

/** "You won't see it before the 20th". */
const EARLIEST =
  /(?:\b(?:will not|can(?:not)?|do not|does not|never|hardly|unlikely)|n['’]t) (?!forget|fail|miss|hesitate)[^,;.]{2,40}\bbefore\s+(?:the )?$/i;

/** The last day of all, where others are named too: "before Easter, at the latest by Good Friday". */
const LATEST_LEAD = /\b(?:at the (?:very )?latest|latest|no later than|not later than)\s*(?:by|on)?\s*(?:the )?$/i;

/** The same, behind the day. */
const AT_THE_LATEST = /^,? at the (?:very )?latest\b/i;

/** "Two dates in the week of 26 April": what is asked for lies then. */
const DAYS_IN =
  /\b(?:dates?|days?|slots?|times?|appointments?|mornings?|afternoons?)\b[^,;.]{0,20}\b(?:in|for|during|of)\s+(?:the\s+)?(?:week\s+(?:of|beginning|commencing|from)\s+)?(?:the\s+)?$/i;

/** "It is Friday afternoon and I have nothing yet": what day it is. */
const IT_IS = /\b(?:it(?:['’]s| is)|today(?:['’]s| is)) (?:already |now |nearly )?$/i;

/** Where a sentence goes on with what happens otherwise, or why it is asked. */
const WHAT_FOLLOWS = /[,;]? (?:otherwise|or else|because|so that|in order that)\b/i;

/** "At once instead of on Friday": the day that no longer counts. */
const OTHERWISE = /\b(?:instead of|rather than|(?:and|but|,) not)\s+(?:on|by|at|for|until|till)?\s*(?:the )?$/i;

/** "I arrive on the 18th": the day is the promise's own. */
const OWN_COMING = /\b(?:i|we)(?:['’]ll| will| shall)? (?:arrive|start|begin|open|leave)\s+(?:on|at)?\s*(?:the )?$/i;

/** "Valid until the end of November". */
const VALID =
  /\b(?:valid|open|good|available|effective|in force|runs?|lasts?|booked|closed|away) (?:from|until|till|to)\s+(?:the )?$/i;

/** "They can have it until Sunday": how long something is theirs. */
const LENT =
  /\b(?:can|may|could) (?:have|keep|borrow|use|hold on to|hang on to) (?:\S+ ){1,4}(?:until|till|to|through)\s+(?:the )?$/i;

/** "It takes half a day", "for half a day": how long. */
const LASTING = /^(?:for )?(?:about )?half an? (?:day|hour|week|month|year)\b/i;

/** What is done again and again is due on no day: "a reading every morning". */
export function isRecurring(text: string): boolean {
  return /\b(?:every|each) (?:single |other |working |second |third )?(?:day|morning|evening|night|week|fortnight|month|quarter|year|mon|tues|wednes|thurs|fri|satur|sun)/i.test(
    text,
  );
}

/** Whether a day only tells which one is meant; what is promised with "the Thursday run" comes on Thursday. */
function isNamedByDay(kind: SlipKind, behind: string): boolean {
  return NAMED_BY_DAY.test(behind) && !(kind === "promise" && GOES_ON_THAT_DAY.test(behind));
}

/**
 * The day by which a clause wants something done, from the dates found in it; the last correction counts alone.
 * @param everyDay whether the day of a thing counts, too: in an answer it may be that of what was asked for
 */
export function dueOf(
  kind: SlipKind,
  text: string,
  dates: readonly FoundDate[],
  { everyDay = false } = {},
): DueFound | null {
  if (kind === "trouble" || isRecurring(text)) return null;
  const usable = dates.filter((date) => {
    const lead = text.slice(0, date.start);
    const isOfWork = !everyDay && isDayOfWork(text, date);
    // "Nobody should walk on it before Thursday": then it begins, it does not end.
    if (
      /^(?:nobody|no one|nothing|(?:don['’]t|do not|never)(?! (?:forget|fail|miss))|under no circumstances|on no account)\b/i.test(
        text,
      ) &&
      /\b(?:before|until|till)\s+(?:the )?$/i.test(lead)
    )
      return false;
    // "Roof access on 2 February: I'll talk to him": what it is about is then.
    if (/^[^:]*\p{L}{2,} (?:on|at) (?:the )?$/iu.test(lead) && /^:\s/.test(text.slice(date.end))) return false;
    // "Send it today, otherwise the tower will not stand on Monday": what happens else, or why.
    const behind = WHAT_FOLLOWS.exec(text);
    if (behind && date.start > behind.index && dates.some(({ start }) => start < behind.index)) return false;
    if (
      DAYS_IN.test(
        /^(?:in|for|during) (?!(?:an?|one|two|three|four|five|six|seven|eight|ten|\d+)\b)/i.test(date.words)
          ? `${lead}in `
          : lead,
      )
    )
      return false;
    if (LASTING.test(date.words) || (!everyDay && isDayOfThing(kind, text, date))) return false;
    // "Could you swap your Sunday with mine?": whose day it is.
    if (/day$/i.test(date.words) && /\b(?:your|my|his|her|our|their)\s+$/i.test(lead)) return false;
    if (IT_IS.test(lead) && /^(?: (?:morning|afternoon|evening))?(?:,| and| but|$)/i.test(text.slice(date.end)))
      return false;
    // "Ask whether Wednesday suits them": the day is what is asked about.
    if (/\b(?:whether|if|why|how)\s+(?:the\s+)?$/i.test(lead)) return false;
    // "Half of Thursday's order": the day is the order's, unless it is to be there by then.
    if (
      /^['’]s\b(?! (?:fine|ok|okay|good|great|perfect|all right|better|best)\b)/.test(text.slice(date.end)) &&
      !isOfWork &&
      !LIMIT_LEAD.test(lead)
    )
      return false;
    // "If I hear today you have it on Monday": the day of the condition, where another follows.
    if (/^(?:if|when|once|as soon as|should)\b[^,;]*$/i.test(lead) && dates.some(({ start }) => start > date.end))
      return false;
    // "Ring the Thursday people": whom or what the day names.
    if (/day$/i.test(date.words) && isNamedByDay(kind, text.slice(date.end)) && !LIMIT_LEAD.test(lead)) return false;
    // "On receipt it will be sent within ten days": from a day that nobody knows yet.
    if (
      date.rule === "in so many days" &&
      /\b(?:(?:on|upon|after) (?:receipt|arrival|delivery|payment|signature)|(?:once|when|after|as soon as) (?:it is |they are |you have |we have )?(?:approved|received|signed|paid|confirmed|accepted|agreed))\b/i.test(
        text,
      )
    )
      return false;
    // "You won't see it before the 20th": when at the earliest.
    if (EARLIEST.test(lead)) return false;
    if (HAPPENED.test(lead) || OTHERWISE.test(lead) || LENT.test(lead) || VALID.test(lead)) return false;
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
      !isOfWork &&
      // "I arrive on the 18th": what is promised.
      !(kind === "promise" && OWN_COMING.test(lead)) &&
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
  // "By noon on Tuesday": the limit is among the words themselves.
  const limited = candidates.find(({ words }) => /^(?:by|before|until|till|no later than)\b/i.test(words));
  // "I hope for the 26th and will confirm it on Friday at the latest".
  const atLatest = candidates.find((date) => AT_THE_LATEST.test(text.slice(date.end)));
  const best =
    led(LATEST_LEAD) ?? atLatest ?? limited ?? led(LIMIT_LEAD) ?? led(DUE_LEAD) ?? candidates[0] ?? usable[0];
  return best
    ? { day: best.day, time: best.time, others: best.others, words: best.words.replace(/(?<=\p{L}{4})\.$/u, "") }
    : null;
}
