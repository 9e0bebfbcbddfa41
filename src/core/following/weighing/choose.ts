import { tellingWords } from "../../finding/telling-words";
import { dayOf } from "../../time/moment";
import { agrees, isAnswerWithPlease, isYesOrNo, POINTS_AT_IT, TURNS_TO } from "../bare-answer";
import type { FollowContext } from "../context";
import { ASKER_CUES } from "../cues";
import { dueFor } from "../days-named";
import { CHANGES, type ChangeKind, type OpenItem } from "../item";
import { passedTo } from "../passed-to";
import { isAway, knowsNotYet, promisesOnlyWord, type Ruled, type Said, saysNothingWasDone } from "../said";
import type { Segment } from "../segments";
import { timeOf } from "./forms";
import { told } from "./told";
import type { Weighed } from "./weigh";

/** A change that counts, and how sure it is. */
export interface Chosen extends Ruled {
  readonly confidence: number;
  /** Whether the rules say so, alone or beside the words. */
  readonly isRuled: boolean;
}

/** From here on the words are believed: of what their writer owes, and of what they want, where thanks sound much like news. */
const LIKELY = 0.4;
const LIKELY_OF_WANTED = 0.89;

/** Below it, what the rules find of a thing that nobody names is taken for something else. */
const NOT_ALL_BUT_NONE = 0.15;

/** From here on words alone are believed as a whole: that something changes, and what. */
const LIKELY_AS_A_WHOLE = 0.42;

/** The same of trouble that is over, since how things stand sounds much alike before and after. */
const LIKELY_CURED = 0.6;

/** From here on they bear out what the rules find. */
const BORNE_OUT = 0.6;
const BORNE_OUT_WHAT = 0.8;

/** Telling words from which an ask speaks of a thing of its own. */
const OWN_WORDS = 2;

/** How sure a change is: by rules and words alike, by rules that name the thing, by rules alone; by words alone it is never sure. */
const AGREED = 0.9;
const NAMED = 0.7;
const RULED = 0.6;
const WEIGHED = 0.55;

/** "We also need the number of guests by Friday" */
const ASKS_PLAINLY = /\b(?:(?:i|we) (?:still |also |now )?need|(?:could|can|would) you)\b/i;

const ASKS_OF_SOMEBODY =
  /\b(?:(?:please|kindly)(?! (?:find|see|note|accept)\b)|(?:could|can|would|will) (?:you|somebody|someone|one of you))\b/i;

/** "Sanna, they want the receipts": said to somebody by name, and of nothing that was asked before. */
const CALLS =
  /^(?!(?:Yes|No|Sorry|Thanks|Well|Oh|Sure|Right|Ok|OK|Okay|Fine|Done|Great|Good|Hello|Hi|Attached|Enclosed|Here|Also|So|Then|Today|Tomorrow|Tonight|Yesterday|Please|Actually|Unfortunately|However|Otherwise|\p{L}+day),)\p{Lu}\p{L}+, \p{L}/u;

const DENIES = /\b(?:not|no|never|nothing|nobody|none|stop|still|yet)\b|n['’]t\b/i;

/** "Send me your liability number by Friday" */
const ORDERS =
  /^(?:(?:and|also|then|so|but)[,\s]+)*(?:send|give|bring|tell|mail|write|print|order|book|ring|call|check|ask|find|add) (?!it\b|them\b|that\b|this\b)/i;

function isCall(text: string): boolean {
  return CALLS.test(text) && !DENIES.test(text) && !ASKER_CUES.some(({ pattern }) => pattern.test(text));
}

/** "Could you also letter the spine of the atlas?": an ask with words of its own is no reminder of another. */
export function asksSomethingElse({ text }: Segment, item: OpenItem): boolean {
  const words = [...tellingWords(text)];
  if (isCall(text) && words.length >= OWN_WORDS && !words.slice(1).some((word) => item.words.has(word))) return true;
  return (
    (TURNS_TO.test(text) || ORDERS.test(text)) &&
    words.length >= OWN_WORDS &&
    !words.some((word) => item.words.has(word))
  );
}

/** "I'll send you a swatch of the cloth": a thing that was not spoken of. */
const A_NEW_THING =
  /\b(?:send|bring|give|get|make|show|write|lend|draw|post|mail) (?:you|him|her|them) (?:an?|some|two|three|a few) (?!one\b|ones\b|answer|reply|date|day|word|line|note|call|figure|price|quote|list|new|copy|fresh|replacement|corrected)\p{L}+/iu;

function promisesSomethingElse({ text }: Segment, item: OpenItem): boolean {
  return A_NEW_THING.test(text) && ![...tellingWords(text)].some((word) => item.words.has(word));
}

/** "The chairs,": whoever wants them names them, and says nothing of them. */
const ONLY_A_THING = /^(?:and )?(?:the|your|our|my) [\p{L}-]+(?: [\p{L}-]+)?[.,!]*$/iu;

/** "Chur.": a single word that no rule knows is a greeting more often than work that is done. */
const ONE_WORD = /^(?!\p{L}+(?:ed|en|ly)\b)\p{L}+[.!]*$/u;

/** "I'm waiting for the director's signature": why nothing has become of it yet. */
const WAITS_FOR = /^(?:(?:i am|i['’]m|we are|we['’]re) )?(?:only |just |still )*waiting (?:for|on) (?!you\b)/i;

/** Whether words only sound as if they changed an item. `owes`: whether whoever writes them owes it. */
function soundsLikeIt(segment: Segment, item: OpenItem, said: Said, owes: boolean): boolean {
  // Who is away promises nothing, who owes it and asks back changes nothing yet.
  if (isAway(segment.text) || (owes && /\?$/.test(segment.text))) return true;
  if (item.kind !== "question" && (ONE_WORD.test(segment.text) || (owes && WAITS_FOR.test(segment.text)))) return true;
  if (said.change === "promised" && (promisesOnlyWord(segment.text, item) || promisesSomethingElse(segment, item)))
    return true;
  if (said.change === "done" && item.kind !== "trouble" && saysNothingWasDone(segment.text)) return true;
  if (said.change === "done" && (owes ? knowsNotYet(segment.text) : ONLY_A_THING.test(segment.text))) return true;
  // "Please order a new seal": work of its own, that cures the trouble.
  if (
    said.change === "passed" &&
    item.kind === "trouble" &&
    TURNS_TO.test(segment.text) &&
    !POINTS_AT_IT.test(segment.text)
  )
    return true;
  // "Monday is in order": who wants it is content with what was promised; who owes it has done nothing by agreeing.
  if (agrees(segment.text) && (!owes || (said.change === "done" && item.kind !== "question"))) return true;
  if (
    (said.change === "done" || said.change === "promised") &&
    ASKS_OF_SOMEBODY.test(segment.text) &&
    !isAnswerWithPlease(segment.text)
  )
    return !isYesOrNo(segment.text);
  const isAsked =
    said.change === "reminded" ||
    said.change === "passed" ||
    (said.change === "moved" && !owes) ||
    ASKS_PLAINLY.test(segment.text);
  return isAsked && asksSomethingElse(segment, item);
}

const GOES_OFF =
  /\b(?:go(?:es)?|comes?|leaves?|picks?|brings?|gets?|takes?|collects?|delivers?|fetch(?:es)?|arrives?|starts?|follows?)\b/i;

/** Whether words of a day speak of what is still to be done: what they tell as past is not. */
function isYetToHappen(text: string, isLater: boolean, item: OpenItem): boolean {
  return isLater && (item.kind === "trouble" || (item.kind === "ask" && timeOf(text) === "is" && GOES_OFF.test(text)));
}

/** What the weighed words say, in the terms of the rules. */
function saidBy(context: FollowContext, item: OpenItem, change: ChangeKind, { segments, segment }: Weighed): Said {
  const due = segments.map((one) => dueFor(context, one.text, item)).find((one) => one !== null) ?? null;
  const base = { due: null, owner: null, isNamed: false, reason: "by the way it is put" };
  const isLater = due !== null && item.due !== null && due.day > item.due && !due.others.includes(item.due);
  // To ask again with another day is to ask for that day.
  if (change === "reminded" && due !== null && due.day !== item.due && context.sides.wants(context.writer, item))
    return { ...base, change: "moved", due };
  switch (change) {
    case "promised":
    case "moved":
      if (isLater || (change === "moved" && context.sides.wants(context.writer, item)))
        return { ...base, change: "moved", due };
      // "We need it on the 19th though, and could only spare it on the 21st": the day it had is not the one it moves to.
      if (change === "moved" && due !== null && due.day === item.due) return { ...base, change };
      // Whoever takes on what nobody had yet is its owner from then on.
      if (item.owner === null && (item.kind === "ask" || item.kind === "question") && change === "promised")
        return { ...base, change: "passed", due, owner: context.writer };
      // Only what had a day, or was promised, can be moved to another.
      return { ...base, change: due !== null && !item.isPromised ? "promised" : change, due };
    case "passed": {
      const to = passedTo(segment.text, context.people, context.writer, new Set([item.asker]));
      // A question is handed to somebody by naming them; other words answer it.
      if (!to && item.kind === "question") return { ...base, change: "done" };
      return { ...base, change, due, owner: to?.person?.address ?? null };
    }
    case "part":
      return { ...base, change, due };
    case "done":
      // "It goes out with the Thursday run", "the driver picks it up tomorrow": still to come.
      return item.kind !== "question" &&
        due !== null &&
        isYetToHappen(segment.text, due.day > dayOf(context.sent), item)
        ? { ...base, change: "promised", due }
        : { ...base, change };
    default:
      return { ...base, change };
  }
}

/** How sure a change is that the rules find and the words bear out: `what` is how much they say just that. */
function agreed({ said }: Ruled, { whether, isShared }: Weighed, what: number): number {
  const isBorneOut = whether > BORNE_OUT && what >= BORNE_OUT_WHAT && !(isShared && !said.isNamed);
  return isBorneOut ? AGREED : said.isNamed ? NAMED : RULED;
}

/**
 * What counts of an item's change by the rules and by the weight of its words. Words are the wider net: they say whether
 * anything has become of it. What, rules and words say together, and where both agree it is sure. Null where nothing changes.
 * @param weighed undefined where nothing could be weighed: then the rules count alone
 */
export function choose(
  context: FollowContext,
  item: OpenItem,
  ruled: Ruled | null,
  weighed: Weighed | undefined,
): Chosen | null {
  const byRules = ruled && { ...ruled, confidence: ruled.said.isNamed ? NAMED : RULED, isRuled: true };
  if (!weighed) return byRules;
  const isFound = ruled !== null && !ruled.said.isGuessed;
  const isNamed = isFound && ruled.said.isNamed;
  const owes = context.sides.owes(context.writer, item);
  if (weighed.whether <= (owes ? LIKELY : LIKELY_OF_WANTED))
    return isNamed || (isFound && (!owes || ruled.said.isPlain || weighed.byItself > NOT_ALL_BUT_NONE))
      ? byRules
      : null;
  const change = told(item, ruled, weighed);
  const what = weighed.shares[CHANGES.indexOf(change)]!;
  const said = saidBy(context, item, change, weighed);
  if (ruled && (ruled.said.change === change || ruled.said.change === said.change))
    return { ...ruled, segment: saying(ruled, weighed), confidence: agreed(ruled, weighed, what), isRuled: true };
  // Words tell a day that is put off from one that is named only by the day.
  if (isFound && said.change === "moved" && said.due === null) return byRules;
  const isCure = item.kind === "trouble" && said.change === "done";
  if (!ruled && weighed.whether * what < (isCure ? LIKELY_CURED : LIKELY_AS_A_WHOLE)) return null;
  if (!ruled && soundsLikeIt(weighed.segment, item, said, owes)) return null;
  return { said, segment: ruled ? saying(ruled, weighed) : weighed.segment, confidence: WEIGHED, isRuled: false };
}

/** From here on something of what its writer owes is taken to be meant, where a letter says nothing else. */
const LIKELY_AT_ALL = 0.2;

/**
 * What counts where nothing else of a letter does: whoever owes something and writes neither courtesy nor anything new is nearly
 * always answering, so that the likeliest of what they owe is better offered as unsure than left out. Null where nothing is likely
 * at all.
 */
export function likeliest(
  context: FollowContext,
  weighed: ReadonlyMap<OpenItem, Weighed>,
): (Chosen & { readonly item: OpenItem }) | null {
  const { sides, writer } = context;
  // Who has reported trouble may tell its end, but owes nobody an answer.
  const owed = [...weighed].filter(([item]) => item.asker !== writer && sides.owes(writer, item));
  const [item, best] = owed.sort(([, a], [, b]) => b.whether - a.whether)[0] ?? [];
  // A single word is a greeting more often than an answer.
  if (!item || !best || best.whether < LIKELY_AT_ALL || !/\S\s+\S/.test(best.segment.text)) return null;
  const said = saidBy(context, item, told(item, null, best), best);
  if (soundsLikeIt(best.segment, item, said, true)) return null;
  // How things stand sounds much alike before trouble is over and after.
  const isCure = item.kind === "trouble" && said.change === "done";
  if (isCure && best.whether * best.shares[CHANGES.indexOf("done")]! < LIKELY_CURED) return null;
  return { item, said, segment: best.segment, confidence: WEIGHED, isRuled: false };
}

/** The words that say it: those that the rules have found, if the weighed ones are among them; a question of one's own says nothing. */
function saying(ruled: Ruled, weighed: Weighed): Segment {
  return /\?$/.test(weighed.segment.text) || weighed.segments.includes(ruled.segment) ? ruled.segment : weighed.segment;
}
