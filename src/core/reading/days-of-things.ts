import type { FoundDate } from "../time/dates-in-words";
import type { SlipKind } from "./slip";

/** Words between what has a day and the day: "the supper on the", "the trip of". */
const BETWEEN = "(?:is |are |was |of |on |at |from )?(?:the )?$";

/** What goes on at a day of its own, beside what `due.ts` knows of. */
const GOES_ON = new RegExp(
  `\\b(?:supper|dinner|lunch|breakfast|brunch|banquet|tasting|matin[ée]e|performance|premi[èe]re|rehearsal|tour|race|sale|auction|power cut|outage|storm|flood|accident|incident|audit|lecture|talk|seminar|funeral|christening|birthday|anniversary|ceremony|reception|celebration|dance|gig|hearing|trial|election|assembly|tournament|gala|outing|camp|retreat|flight|crossing|departure|arrival|handover|shutdown|strike|shift|booking|reservation|excursion|presentation|(?:first|last|second|third|opening|closing) night)\\s+${BETWEEN}`,
  "iu",
);

/** "Do the tour on Saturday", "bring it to the meeting on Wednesday": the day is that of the work too. */
const DOES_IT =
  /\b(?:do|give|take|run|lead|hold|cover|work|chair|host|join|attend|play|help (?:at|with)|(?:come|get|go|travel|drive) (?:to|for)|be (?:at|there for)|(?:bring|take|carry|present|show|discuss|raise|hand)\b[^,;.]{0,40} (?:to|at|in))\s+(?:(?:the|an?|my|our|your|his|her|their|this|that) )?(?:\p{L}+ ){0,2}(?:\p{L}+ )(?:on |at )?(?:the )?$/iu;

/** "The order for Saturday", "the rota for the 9th": which one is meant. */
const MADE_FOR =
  /\b(?:orders?|bookings?|reservations?|rotas?|rosters?|shifts?|timetables?|schedules?|programmes?|agendas?|menus?|bills?|invoices?|takings)\s+for (?:the )?(?:week (?:of|beginning|from) )?(?:the )?$/i;

/** "Book a table for the 19th", "put me down for forty lunches on the 26th": when what is booked takes place. */
const BOOKS =
  /\b(?:book|reserve|invite|pencil|register|(?:put|sign|pencil) \S+ (?:down|up|in)|sort out [^,;.]{1,30}(?= for ))\b[^,;.]{0,60}\b(?:for|on|at|from|to)\s+(?:the )?$/i;

/** "Keep the evening of the 4th free". */
const KEEPS = /\b(?:keep|hold|leave)\b[^,;.]{0,30}$/i;
const FREE = /^[^,;.]{0,20}\b(?:free|open|clear)\b/i;

/** "The torn one of the 16th", "your mail of Monday": what has that day; "the end of May" and "the evening of the 3rd" are times. */
const HAS_THAT_DAY =
  /\b(?!(?:end|beginning|start|middle|weeks?|days?|morning|noon|afternoon|evening|night|close|rest|half|first|last|eve|course|as|months?|mid|out|none|all|both|each|because|ahead|instead)\b)\p{L}{3,} of (?:the )?$/iu;

/** "The sheet for the week of the 9th". */
const OF_A_WEEK = /\bfor the week (?:of|beginning|commencing|from) (?:the )?$/i;

/** "Find out whether they deliver on Friday", "in case it rains on Saturday": the day is that of what is asked after. */
const ASKED_AFTER =
  /\b(?:ask|check|find out|tell|know|see|say|look up|work out|confirm)\b[^,;.]{0,40}?\b(?:whether|if|what|who|which|how (?:many|much)|where)\b[^,;]*$|\b(?:in case|even if|unless)\b[^,;]*$/i;

/** Days that are said of the work, and not of the thing that stands before them. */
const IS_NEAR = /^(?:today|tomorrow|the day after tomorrow|words of haste|in so many days)$/;

const IS_LIMIT = /\b(?:by|before|until|till|no later than|not later than|latest|due)\s*(?:on\s+)?(?:the|this|on)?\s*$/i;

/** "On Friday's lorry": what goes that day takes it along. */
const GOES_THEN =
  /^['’]s (?:lorry|van|truck|run|round|post|train|boat|ferry|flight|bus|courier|load|transport|delivery|collection)\b/i;

/** Whether the day of what goes on is that of the work, too: what is brought to a meeting, what goes with a lorry. */
export function isDayOfWork(text: string, { start, end }: FoundDate): boolean {
  const lead = text.slice(0, start);
  return DOES_IT.test(lead) || (/\b(?:on|in|with|by)\s+$/i.test(lead) && GOES_THEN.test(text.slice(end)));
}

/** Whether a day among the words of a clause is that of a thing or of what goes on then, and not the day by which work is wanted. */
export function isDayOfThing(kind: SlipKind, text: string, { start, end, words, rule }: FoundDate): boolean {
  const lead = text.slice(0, start);
  if (IS_NEAR.test(rule) || IS_LIMIT.test(lead) || /^(?:by|before|until|till)\b/i.test(words)) return false;
  // "Before the tasting on Friday", "before the visit of the 27th": wanted by then.
  if (/\bbefore\b[^,;.]*$/i.test(lead)) return false;
  if (GOES_ON.test(lead) && !DOES_IT.test(lead)) return true;
  if (MADE_FOR.test(lead) || BOOKS.test(lead) || OF_A_WEEK.test(lead) || HAS_THAT_DAY.test(lead)) return true;
  if (KEEPS.test(lead) && FREE.test(text.slice(end))) return true;
  return kind !== "promise" && ASKED_AFTER.test(lead);
}
