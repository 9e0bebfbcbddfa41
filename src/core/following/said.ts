import type { DueFound } from "../reading/slip";
import { askerTurn } from "./asker-turns";
import { CAN_BE_MAILED } from "./bare-answer";
import type { FollowContext } from "./context";
import { ASKER_CUES, type Cue, OWNER_CUES } from "./cues";
import { dueFor, dueIn } from "./days-named";
import { hasOnlyAsked, hasToLook, leavesSome, offersToDoIt } from "./in-hand";
import { CHANGES, type ChangeKind, type OpenItem } from "./item";
import { numberIn } from "./numbers";
import { ownerTurn } from "./owner-turns";
import { type PassedTo, passedTo } from "./passed-to";
import { pastOf } from "./past-of";
import type { Segment } from "./segments";
import type { Turn } from "./turns";

/** Whether a text counts fewer than were asked for. */
function isFewer(text: string, quote: string): boolean {
  // "One is booked", of two.
  if (/^(?:only )?one(?: \p{L}+)? (?:is|has|was)\b/iu.test(text) && (numberIn(quote) ?? 0) > 1) return true;
  const asked = numberIn(quote);
  const said = numberIn(text);
  return asked !== null && said !== null && said > 1 && said < asked && !/\bmissing\b/i.test(quote);
}

/** A change that a segment may make, before it is held against the others of the letter. */
export interface Said {
  readonly change: ChangeKind;
  readonly due: DueFound | null;
  readonly owner: string | null;
  /** Whether the item was named, and not only gone on about. */
  readonly isNamed: boolean;
  /** Whether it is a turn that leaves no doubt. */
  readonly isPlain?: boolean;
  /** Whether no word says so: it is an answer only because it speaks of what was asked. */
  readonly isGuessed?: boolean;
  readonly reason: string;
}

/** A change as the rules see it. */
export interface Ruled {
  readonly said: Said;
  readonly segment: Segment;
}

function firstCue(cues: readonly Cue[], text: string): Cue | null {
  return cues.find((cue) => cue.pattern.test(text)) ?? null;
}

/** What is said of a condition, a reason or another time is not said of the thing itself. */
const SUBORDINATE =
  /,?\s\b(?:once|when|whenever|as soon as|after|(?:until|till)(?! (?:mon|tues|wednes|thurs|fri|satur|sun|next|tomorrow|the \d|\d))|(?<!\bnot )before(?! (?:mon|tues|wednes|thurs|fri|satur|sun|tomorrow|the \d|\d|noon|lunch|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve))|because|since|if|unless|as (?:the|it|they|we|i|my|our|your)|which is why|so that)\b.*$/i;

export function mainClause(text: string): string {
  const main = text.replace(SUBORDINATE, "");
  return main.split(/\s+/).length >= 2 ? main : text;
}

/** "The size of your stand by Thursday", "please send me your head count": what can be said in a line. */
const WANTS_A_FIGURE =
  /^(?:(?:and|also|please|kindly|could you|can you|would you|(?:i|we) (?:still |also )?need)[\s,]+)*(?:(?:send|give|let|tell|mail|write)(?: (?:me|us)(?: have)?)? )?(?:the|your|its|their) (?:exact |final |rough |guest )?(?:sizes?|dimensions|measurements|head ?counts?|weights?|quantit(?:y|ies)|colou?rs?|phone numbers?|order numbers?|postcode|numbers?(?: of|$| (?:for|by)\b))/i;

/** An ask that wants words and not work: it is answered, as a question is. */
export function wantsWords(item: OpenItem): boolean {
  return (
    item.kind === "question" ||
    WANTS_A_FIGURE.test(item.quote) ||
    /^(?:(?:and|also|please|kindly|could you|can you)[\s,]+)*(?:confirm|tell (?:me|us)|let (?:me|us) know|advise|say)\b|\b(?:need|like|love|want|have) to know\b|\b(?:recommend|suggest) (?:me |us )?(?:an?|some|any)(?:body|one)?\b|\bask\b[^?]{0,40}?\b(?:whether|if|what|when|where|how (?:many|much|long))\b|\bfind out (?:whether|if|who|what|when|where|how|which)\b|\b(?:if|could|can|would|will) you (?:could |can |would |please |kindly )*(?:let (?:me|us) know|tell (?:me|us)|confirm)\b|\b(?:a|some|two|three|possible|other|suitable) (?:dates?|days?|times)\b(?! (?:earlier|later|sooner|before|after|off|more)\b)/i.test(
      item.quote,
    )
  );
}

/** Its own verb in the past form: "count the bottles", "counted: eleven". */
const PAST: Pick<Cue, "change" | "name"> = { change: "done", name: "it has been done" };

const STILL_TO_COME =
  /\band (?:(?:it|they|that) )?(?:will|shall|is going to|are going to)\b(?! not\b)|\b(?:will|shall) be[.!]?$|^(?:(?:it|they|that|this|all of it)(?:['’]ll| will| shall)|will) be (?:\w+ )?\w+(?:ed|en|wn|pt|nt|ld|de|id|ut|ng)\b/i;
const WILL_BE: Pick<Cue, "change" | "name"> = { change: "promised", name: "it will be done" };

const NOTHING_WAS =
  /^(?:(?:so|but|and|luckily|fortunately),? )?(?:nothing|none(?: of (?:it|them|that|this|these|those))?)(?:['’]s| has| have| had| was| were| is| are)\b|^nothing (?:in|on|at|under|behind|there|here|found|so far|yet|to be (?:found|seen))\b/i;

/** Whether words tell that a thing is not done: "Nothing has been cut yet." */
export function saysNothingWasDone(text: string): boolean {
  return NOTHING_WAS.test(text);
}

const isDone = OWNER_CUES.find((cue) => cue.change === "done")!.pattern;

export const WILL_ANSWER =
  /\b(?:tell|let you know|write|ask|find out|come back|get back|check|answer|report|ring|call|look (?:it|that) up|have a word)\b/i;

const HEADING = /^(?:as (?:for|to|regards)|about|regarding|concerning|on)\b|[:]$/i;

/** The day by which the rest of something comes: said after the words that speak of it. */
function dueOfRest(context: FollowContext, text: string): DueFound | null {
  const at = /\b(?:will|follow\w*|comes?|you['’]ll|get|rest|others?|balance|remain\w*|half|until)\b/i.exec(text)?.index;
  return at === undefined ? null : dueIn(context, text.slice(at));
}

/** "Four of the six are tied". */
export const IS_IN_A_STATE =
  /\b(?:is|are|was|were|have been|has been)\s+(?!to\b|not\b|still\b|going\b)\w+(?:ed|en|wn|ut|nt)\b/i;

/** "The other three come on Monday." */
export const IS_THE_REST =
  /\b(?:the|its|their) (?:others?|rest|last|remaining|remainder|balance|second|third|fourth|fifth)\b/i;

const IS_THERE = /\b(?:delivered|arrived|come|sent|posted|collected|here)\b/i;

/** "The other 11 next Tuesday": so the rest is dealt with already. */
const SO_MANY_OTHERS =
  /^(?:and )?the (?:other|remaining|last) (?:\d+|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve|half)\b/i;

const NOT_YET =
  /\b(?:can(?:not|['’]t) (?:say|tell)|(?:do not|don['’]t) know|haven['’]t (?:decided|heard|asked)|have not (?:decided|heard|asked))\b.{0,30}\byet[.!]*$/i;

/** Whether words say that there is no answer so far: "How many we need I can't say yet." */
export function knowsNotYet(text: string): boolean {
  return NOT_YET.test(text);
}

const WILL_LOOK =
  /\b(?:i|we)(?:['’]ll| will| shall) (?:\w+ )?(send|work (?:it |that |the \w+ )?out|find out|check|calculate|prepare|think|discuss|look|see|clarify|consult|talk|speak|put (?:it |that |something )?together|count|measure)\b/i;

/** "I'll work out the price and send it": an answer is to come; "I'll send it on Friday" answers when it will be sent. */
function willLookIntoIt(text: string, item: OpenItem): boolean {
  const verb = WILL_LOOK.exec(text)?.[1]?.split(" ")[0];
  return verb !== undefined && !/^who\b/i.test(item.quote) && !item.quote.toLowerCase().includes(verb.toLowerCase());
}

/** "You'll hear from me tomorrow": an answer is promised, and nothing of what was asked. */
const WILL_HEAR = /\b(?:you['’]ll|you will) hear (?:from|back)\b|\blet you know\b(?! when)/i;

/** Whether all that words promise of a thing that is to be done is to be heard of. */
export function promisesOnlyWord(text: string, item: OpenItem): boolean {
  return WILL_HEAR.test(text) && !wantsWords(item) && !CAN_BE_MAILED.test(item.quote);
}

/** "She will return it to you", said by whoever owes it. */
const SOMEBODY_ELSE = /^(?:and )?(?:he|she)(?:['’]ll| will| is going to)\b.*\b(?:it|them|that|this|those)\b/i;

/** "She'll write to you about that": somebody else will answer. */
const SOMEBODY_TELLS =
  /^(?:and )?(?:he|she)(?:['’]ll| will) (?:\w+ )?(?:write|tell|answer|let you|ring|call|mail|e-?mail|get back|come back)\b/i;

/** "Kwabena is at sea until the 15th": a day on which somebody is back, and nothing is promised for it. */
const IS_AWAY =
  /\b(?:is|am|are|['’]s|['’]m|['’]re) (?:still )?(?:away|off|out|ill|sick|abroad|travelling|at (?:sea|home)|on (?:holiday|leave|vacation|tour|a course))\b/i;

/** Whether somebody is said to be away, or back from some day on. */
export function isAway(text: string): boolean {
  return IS_AWAY.test(text);
}

function beginsSentence({ letter }: FollowContext, { start }: Segment): boolean {
  return /(?:^|[.!?:\n])\s*$/.test(letter.text.slice(0, start));
}

/** A segment with the rest of its sentence. */
function fromHere({ letter }: FollowContext, { start, end }: Segment): string {
  const rest = /^[^.!?\n]*/.exec(letter.text.slice(end))![0];
  return letter.text.slice(start, end) + rest;
}

/** Whether words point at what is open: by name, by "it", or by somebody who will turn to whoever asked. */
function pointsAtIt(text: string, isNamed: boolean, to: PassedTo): boolean {
  const turnsToYou = to.isPlain && (to.person !== null || /\byou\b/i.test(text));
  return isNamed || turnsToYou || /\b(?:it|them|that|this|one)\b/i.test(text);
}

/** That an item goes to somebody else; null where it does not. */
function handedOver(
  context: FollowContext,
  text: string,
  item: OpenItem,
  isNamed: boolean,
  due: DueFound | null,
): Said | null {
  const passed = { change: "passed", due, isNamed, reason: "somebody else will do it" } as const;
  const to = passedTo(text, context.people, context.writer, new Set([item.asker]));
  // "Who will bring it?" is answered by a name.
  const isWho = wantsWords(item) && /\b(?:who|where)\b/i.test(item.quote);
  const isTheirs = to?.person != null && to.person.address === item.owner;
  const isCured = item.kind === "trouble" && !to?.isPlain;
  if (to && !isWho && !isTheirs && !isCured && pointsAtIt(text, isNamed, to))
    return { ...passed, owner: to.person?.address ?? null, isPlain: to.isPlain };
  const isSheWill = SOMEBODY_ELSE.test(text) || (wantsWords(item) && SOMEBODY_TELLS.test(text));
  const isOwn = context.writer === item.owner || (item.owner === null && wantsWords(item));
  return isSheWill && isOwn ? { ...passed, owner: null } : null;
}

const MINE =
  /^mine(?:['’]s| is| are| has| have| (?:was|were|went))\b(?!.*\b(?:not|will|follows?|tomorrow|later)\b)|^(?:attached|enclosed|here)(?: is| are|['’]s)? (?:mine|my \w+)[.!]*$/i;
const MY_THING =
  /^my (?:own )?[\w-]+(?: [\w-]+)?(?: is| are| has| have| was| were| went)\b(?!.*\b(?:not|will|follows?|tomorrow|later)\b)/i;

/** What the side that owes an item says of it. */
export function saidByOwner(
  context: FollowContext & { partly: ReadonlySet<string> },
  segment: Segment,
  item: OpenItem,
  isNamed: boolean,
): Said | null {
  const { text } = segment;
  if (/\?$/.test(text)) return null;
  const due = dueFor(context, text, item);
  // "Mine are attached", of what several people were asked for.
  if (item.kind === "ask" && item.owner === null && (MINE.test(text) || (isNamed && MY_THING.test(text))))
    return {
      change: "part",
      due: null,
      owner: null,
      isNamed: true,
      isPlain: true,
      reason: "one of several has done it",
    };
  const handed = handedOver(context, text, item, isNamed, due);
  if (handed) return handed;
  if (promisesOnlyWord(text, item) || (wantsWords(item) && knowsNotYet(text))) return null;
  const found = ownerTurn(text, item, { isOfWords: wantsWords(item), isNamed });
  // "It drops by 40p, but I have to ask the farm": what stands in the middle of a sentence is no answer by itself.
  const isLooking = found?.change === "promised" && wantsWords(item) && !isNamed;
  const turn = isLooking && !beginsSentence(context, segment) ? null : found;
  const isPast = item.kind !== "question" && pastOf(item, text);
  const heard = isPast ? PAST : firstCue(OWNER_CUES, mainClause(text));
  const first = heard?.change === "done" && item.kind !== "trouble" && saysNothingWasDone(text) ? null : heard;
  // "It has been signed and will be posted on Friday": what is still to come counts.
  const cue = first?.change === "done" && STILL_TO_COME.test(text) ? WILL_BE : first;
  const isLater = due !== null && item.due !== null && due.day > item.due && !due.others.includes(item.due);
  const promised = (reason: string): Said => {
    if (isLater) return { change: "moved", due, owner: null, isNamed, reason };
    // Whoever takes on what nobody had yet is its owner from then on.
    const isTaken = item.owner === null && item.kind !== "trouble" && item.kind !== "promise";
    return { change: isTaken ? "passed" : "promised", due, owner: isTaken ? context.writer : null, isNamed, reason };
  };
  // "One is enclosed; the second has been requested."
  const change = (turn ?? cue)?.change;
  if ((change === "done" || change === "part") && !wantsWords(item) && leavesSome(fromHere(context, segment)))
    return { change: "part", due: dueOfRest(context, text), owner: null, isNamed, reason: "a part of it" };
  // "You'll hear from me on Wednesday", of a price.
  if (item.kind === "ask" && WILL_HEAR.test(text)) return { ...promised("an answer is promised"), isPlain: true };
  if (turn?.change === "promised") return { ...promised(turn.name), isPlain: true };
  if (turn) {
    const isNew = isLater || (item.due === null && /\b(?:before|until|till)\b/i.test(text));
    // "It isn't free before Monday": on Monday it is.
    const notBefore = dueIn(context, text.replace(/\b(?:before|until|till)\b/i, "on"));
    const isAfter = notBefore !== null && item.due !== null && notBefore.day > item.due;
    const newDay = turn.change !== "moved" ? null : isNew ? due : isAfter ? notBefore : null;
    return { change: turn.change, due: newDay, owner: null, isNamed, isPlain: true, reason: turn.name };
  }
  const done: Said = { change: "done", due: null, owner: null, isNamed, reason: "it is answered" };
  if (hasToLook(text) && cue?.change !== "done" && item.kind !== "trouble") return promised("an answer is promised");
  if (wantsWords(item)) {
    if (isNamed && cue?.change === "done" && hasOnlyAsked(text)) return promised("an answer is promised");
    if (cue?.change === "promised" && willLookIntoIt(text, item))
      return { ...promised("an answer is promised"), isPlain: true };
    if (
      (cue?.change === "promised" || cue?.change === "done") &&
      WILL_ANSWER.test(text) &&
      /\b(?:will|['’]ll|shall|let me)\b/i.test(text)
    )
      return { ...promised("an answer is promised"), isPlain: true };
    // "The menus I can only tell you on Monday."
    if (item.kind === "ask" && cue?.change === "moved" && due && /\bonly\b|\bnot before\b|\buntil\b/i.test(text))
      return { change: "moved", due, owner: null, isNamed, reason: cue.name };
    if (item.kind === "question" && cue?.change === "declined") return isNamed ? done : null;
    // "As for the colour" only says what the next words are about.
    return cue ? done : isNamed && !HEADING.test(text) ? { ...done, isGuessed: true } : null;
  }
  if (cue?.change === "declined" && due && /\b(?:before|until|till)\b/i.test(text))
    return { change: "moved", due, owner: null, isNamed, reason: "not before that day" };
  // "One is in the post, the second takes another week."
  if ((cue?.change === "moved" || cue?.change === "promised") && IS_THE_REST.test(text) && context.partly.has(item.id))
    return { change: "part", due, owner: null, isNamed, reason: "a part of it" };
  if (cue?.change === "moved") {
    // "I could only get 30 kilos", of forty.
    if (due === null && isNamed && isFewer(text, item.quote))
      return { change: "part", due: null, owner: null, isNamed, reason: "fewer than were asked for" };
    if (due === null && !isNamed) return null;
    const isInTime = due !== null && !isLater && item.due !== null && !item.isPromised;
    return isInTime ? promised(cue.name) : { change: "moved", due, owner: null, isNamed, reason: cue.name };
  }
  if (cue?.change === "promised" && due && isFewer(text, item.quote))
    return { change: "part", due: null, owner: null, isNamed, reason: "fewer than were asked for" };
  if (cue?.change === "promised") return promised(cue.name);
  if (cue?.change === "part" && !isDone.test(text) && !IS_IN_A_STATE.test(text)) {
    if (context.partly.has(item.id) || (due && SO_MANY_OTHERS.test(text)))
      return { change: "part", due, owner: null, isNamed, reason: cue.name };
    return due ? promised("a day is named") : null;
  }
  // "160 are set aside", where 200 were asked for.
  if ((cue ? cue.change === "done" : IS_IN_A_STATE.test(text)) && isNamed && isFewer(text, item.quote))
    return { change: "part", due: null, owner: null, isNamed, reason: "fewer than were asked for" };
  // What was left is there now: so is all of it.
  if (cue?.change === "part" && IS_THE_REST.test(text) && isDone.test(text) && !due)
    return { ...done, isNamed, isPlain: IS_THERE.test(text) };
  if (cue)
    return {
      change: cue.change,
      due: cue.change === "part" ? dueOfRest(context, text) : null,
      owner: null,
      isNamed,
      reason: cue.name,
    };
  // "I'd come on Friday with the horsebox"
  if (due && item.kind === "ask" && offersToDoIt(text)) return promised("a day is named");
  if (due && item.kind !== "trouble" && !isAway(text) && (isNamed || text.split(/\s+/).length <= 7))
    return promised("a day is named");
  // What is written right below the words that ask, and says nothing of doing it, is what was asked for.
  if (isNamed && segment.answers !== null && item.kind === "ask") return done;
  return null;
}

const IS_HERE =
  /^(?:(?:the|your|all|both) )?\w+(?:['’]s| (?:is|are|has|have)) (?:now |all |safely )?(?:here|arrived|come|in)[.,!]/i;

/** The turn by which whoever wants an item speaks of it. A day that it has already moves nothing. */
function turnFor(context: FollowContext, text: string, item: OpenItem, isNamed: boolean): Turn | null {
  const turn = askerTurn(text, isNamed);
  if (turn?.change !== "moved") return turn;
  const due = dueFor(context, text, item);
  return (due === null ? turn.needsDay : due.day === item.due || item.kind === "trouble") ? null : turn;
}

/** What the side that wants an item says of it. */
export function saidByAsker(context: FollowContext, segment: Segment, item: OpenItem, isNamed: boolean): Said | null {
  const { text } = segment;
  const turn = turnFor(context, text, item, isNamed);
  if (turn) {
    const due = turn.change === "moved" ? dueFor(context, text, item) : null;
    // Trouble that nobody needs to mind any more is over.
    const change = item.kind === "trouble" && turn.change === "called off" ? "done" : turn.change;
    return { change, due, owner: null, isNamed, isPlain: true, reason: turn.name };
  }
  const cue = firstCue(ASKER_CUES, text);
  if (!cue) return null;
  if (cue.change === "called off") return { change: cue.change, due: null, owner: null, isNamed, reason: cue.name };
  const due = dueFor(context, text, item);
  if (cue.change === "moved")
    return due && item.due !== due.day && item.kind !== "question" && (item.kind !== "trouble" || item.isPromised)
      ? { change: "moved", due, owner: null, isNamed, reason: cue.name }
      : null;
  // "The money is here.", where one thing was promised.
  const isHere = item.isPromised && IS_HERE.test(text);
  if (cue.change === "done" && !isNamed && !isHere && !/^(?:got|received)\b/i.test(text)) return null;
  return { change: cue.change, due: null, owner: null, isNamed, reason: cue.name };
}

/** What leaves nothing to guess of an answer. */
const SETTLES: ReadonlySet<ChangeKind> = new Set(["done", "promised", "passed"]);

/** Of two changes of one item in one letter, the one that counts; a part of it and the rest make a part. */
export function stronger(a: Said, b: Said): Said {
  if ((a.isGuessed ?? false) !== (b.isGuessed ?? false) && SETTLES.has(a.change) && SETTLES.has(b.change))
    return a.isGuessed ? { ...b, isNamed: true } : { ...a, isNamed: true };
  const kinds = new Set([a.change, b.change]);
  if (kinds.has("part") && !kinds.has("called off")) return { ...(a.change === "part" ? a : b), due: a.due ?? b.due };
  // What names the thing counts before what only follows a sentence that does.
  if (a.isNamed !== b.isNamed) {
    const [named, other] = a.isNamed ? [a, b] : [b, a];
    return named.change === "promised" || named.change === "moved" || named.change === "passed"
      ? { ...named, due: named.due ?? other.due }
      : named;
  }
  const [first, second] = CHANGES.indexOf(a.change) <= CHANGES.indexOf(b.change) ? [a, b] : [b, a];
  return first.change === "promised" || first.change === "moved" || first.change === "passed"
    ? { ...first, due: first.due ?? second.due }
    : first;
}

/** "So it will be Thursday": a day is given for something that is not named. */
export function isDayGiven(context: FollowContext, text: string): boolean {
  const cue = firstCue(OWNER_CUES, mainClause(text))?.change;
  return (cue === "promised" || cue === "moved") && (dueIn(context, text) !== null || AN_HOUR.test(text));
}

/** "He is with you before nine." */
const AN_HOUR =
  /\b(?:by|before|at) (?:noon|midday|lunch(?:time)?|midnight|\d{1,2}|one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve)(?: o['’]?clock)?[.!]?$/i;
