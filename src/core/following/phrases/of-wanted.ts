import { tellingWords } from "../../finding/telling-words";
import type { OpenItem } from "../item";
import { type Turn, whole } from "../turns";
import { wordsOf } from "../words-of";

// What somebody says in a few words of what they have asked for.

/** "Never mind.", "We have one now." */
const TAKEN_BACK: Turn = {
  change: "called off",
  name: "no longer wanted",
  forms: [
    whole("never mind(?: (?:about )?<it>)?|forget it|(?:it was a |a )?false alarm|panic over"),
    whole("(?:there['’]s |there is )?no need(?: any ?(?:more|longer)| now| after all)?"),
    whole(
      "you can (?:save|spare) (?:yourself|yourselves) (?:the |that )?(?:trouble|effort|work|journey|trip|bother|it)",
    ),
    whole(
      "(?:<it>|the (?:matter|thing|problem|question|whole thing)) (?:has )?(?:settled|solved|sorted|resolved) itself(?: out)?(?: now| meanwhile| in the meantime)?",
    ),
    whole("<we> (?:take|withdraw) (?:it|that|this|everything)(?: back)?"),
    whole(
      "<we>(?:['’]ve| have) (?:got )?(?:one|some|enough)(?: now| already| again| here| of (?:my|our) own| after all)+",
    ),
    whole("<we>(?:['’]ve| have) (?:got )?one"),
    whole(
      "(?:please )?<do not> (?:come|send|bring|make|collect|fetch|order|repair|call|book|buy|print|deliver)(?: (?:it|them|that|anything|anybody|anyone|today|tomorrow|any more|after all))*",
    ),
    whole("<we> <do not> need (?:it|them|that|this|one|any)(?: any ?(?:more|longer)| now| after all)+"),
    whole(
      "<we>(?:['’]ve| have)? (?:got|found|bought|borrowed|ordered|had|fetched) [^,;?]+ (?:elsewhere|from (?:somebody|someone|somewhere) else)",
    ),
    whole("(?:<it>|that) (?:will not|won['’]t) be (?:necessary|needed|required)<rest>"),
    whole(
      "(?:the|our|my) (?:meeting|recital|concert|party|trip|wedding|event|show|fair|tour|game|match|dinner|lunch|deal|course|talk|visit|festival)(?:['’]s| is| has been) (?:off|cancelled|called off|been cancelled|been called off)<rest>",
    ),
    whole("you (?:can|may) stand down|(?:please )?forget what <we> (?:said|wrote|asked)"),
    whole("you (?:can|may) stop (?:looking|searching|asking|trying|waiting|worrying)<rest>"),
  ],
};

/** "Found it.", said by whoever asked where it is. */
export const FOUND: Turn = {
  change: "done",
  name: "it is found",
  forms: [
    whole(
      "(?:<we have> |<we> )?(?:just |now )?found (?:it|them)<rest>|(?:it|they)(?:['’]s|['’]ve| has| have) turned up<rest>",
    ),
  ],
};

/** "Just checking.", "Friday was yesterday." */
export const ASKED_AGAIN: Turn = {
  change: "reminded",
  name: "asked for again",
  forms: [
    whole(
      "(?:just |only )?(?:checking|asking)(?: in)?|(?:nothing|no answer|no news) (?:so far|yet|from you|until now)",
    ),
    whole("\\?+|(?:tick[ ,-]?tock|time(?:['’]s| is) (?:running(?: out)?|short|pressing)|the clock is ticking)"),
    whole("(?:just )?a (?:gentle|little|small|friendly|short|quick|kind) (?:nudge|reminder|push|knock)"),
    whole(
      "(?:(?:it|that) was (?:due )?|<day> was |the deadline was )(?:yesterday|last week|on \\w+day|\\w+ days ago|a week ago)|<day> (?:has (?:passed|gone|come and gone)|is (?:over|past|gone))",
    ),
    whole(
      "<we have> been waiting<rest>|<we> <cannot> [^,;?]+ (?:without|until) <it><rest>|<we> <cannot> [^,;?]+ without them<rest>",
    ),
    whole("<we> still (?:<do not>|have<not>)<rest>"),
    whole("you(?:['’]d| had)? promised(?: (?:me|us|it|that))*"),
    whole(
      "(?:did|have) you (?:ever )?(?:get|got|come) (?:round|around|down) to (?:it|that|this|doing<rest>)|(?:did you|have you) (?:forget|forgotten|remember(?:ed)?)\\b<rest>",
    ),
    whole("how(?:['’]s| is| are) (?:it|that|things|<it>) (?:coming(?: along| on)?|going|getting on|looking)<rest>"),
    whole(
      "(?:is|are) (?:it|they|that) (?:done|ready|finished|sorted|fixed)(?: yet| now)?|(?:done|ready|finished)(?: yet)?",
    ),
    whole("(?:do you know|have you (?:found out|asked|decided|heard))(?: yet| already| by now| meanwhile| anything)*"),
    whole(
      "have you (?:found|got|heard|asked|reached|seen) (?:anything|anybody|anyone|one|somebody|someone|him|her|them|out)(?: yet| already| by now)*",
    ),
    whole("(?:nobody|no one|nothing)(?: is| was)? (?:here|there)(?: yet| so far)?"),
    whole(
      "[^,;?]{1,40}(?:['’]ve| has| have)(?: just)? (?:rung|called|phoned|written|asked|complained)(?: to (?:me|us))? (?:again|twice|once more)<rest>|[^,;?]{1,40}(?:['’]ve| has| have) sent (?:a|an|another) (?:\\w+ )?reminder<rest>",
    ),
    whole("how far (?:are you|have you got|along)<rest>"),
    whole("<day> is (?:getting|coming|drawing) (?:close|closer|near|nearer)"),
    whole("(?:anything|any news|news|something) from your (?:side|end)(?: yet)?|knock,? knock"),
    whole(
      "did (?:my|our|the) (?:last )?(?:mail|e-?mail|message|letter|note) (?:reach you|get (?:to you|through)|arrive)",
    ),
    whole("no [^,;?]{1,30} (?:has|have) (?:turned up|come|arrived|shown up|reached (?:me|us))<rest>"),
    whole("what(?:['’]s| is) (?:keeping|holding) (?:it|you|them|things)(?: up)?"),
  ],
};

export const OF_WANTED: readonly Turn[] = [TAKEN_BACK, ASKED_AGAIN];

/** "I'll fetch it myself", said by whoever wanted it. */
export const DO_IT_MYSELF =
  /^(?:then |so |in that case |never mind,? |no need,? )*(?:i|we)(?:['’]ll| will|['’]d| would)?(?: rather| just| better)? (?:do|take|fetch|get|collect|pick up|see to|handle|write|send|bring|make|order|buy|call|ring|ask|carry|deliver|drive|check|count|test|clean|move|sort)\b[^?,]* (?:myself|ourselves)(?:[.!]*$|,)/i;

/** "Your receipts, please.", "The receipts, Ruben!" */
const ONLY_NAMED =
  /^(?:and )?(?:the|your|my|our|those|these|that) [\p{L} -]{2,30}(?:,? please[.!]*|, \p{Lu}\p{L}+!|!)$/u;

/** Whether words only name a thing that was asked for, to ask for it again. */
export function isOnlyNamed(text: string, { kind, words }: OpenItem): boolean {
  return kind === "ask" && ONLY_NAMED.test(text) && [...tellingWords(text)].some((word) => words.has(word));
}

const FEW_WORDS = 4;

/** "So can we?", where it was asked "Can we use the hall?" */
export function isAskedAgain(text: string, { kind, quote }: OpenItem): boolean {
  if (kind !== "question" || !/\?$/.test(text)) return false;
  const said = wordsOf(text).filter((word) => !/^(?:so|and|well|then|now|but|or|still)$/.test(word));
  const before = wordsOf(quote);
  return said.length > 1 && said.length <= FEW_WORDS && said.every((word) => before.includes(word));
}
