import { stems } from "../finding/telling-words";
import { isImperative } from "../reading/imperative";
import { type OpenItem, raisedLast } from "./item";

/** Words that answer without naming what they answer. */
export const BARE_ANSWER =
  /^(?:yes|yep|yeah|no|nope|ok|okay|sure|agreed|correct|right|exactly|fine|will do|with (?:the )?(?:great(?:est)? |much )?pleasure|of course|certainly|attached|enclosed|voil[àa]|here|there (?:it|they|you) (?:is|are|go)|guilty|putting (?:it|them)|done|on it|got (?:it|them)|sadly not|afraid not|you['’]ll|you will|it['’]ll|it will|they['’]ll|they will|i['’]ll|i will|we['’]ll|we will|both|neither|me|mine|not yet|consider|count (?:me|us) in|(?:i|we)(?:['’]d| would) be (?:very |more than )?(?:happy|glad|delighted|pleased) to(?=[.!]*$))\b/i;

const COURTESY =
  "(?:(?:many|big|warm) )?(?:thanks|thank you|ta|cheers|noted|understood|great|perfect|lovely|wonderful|brilliant|super|excellent|good|legend|fine|got it|see you(?: then| there| on \\w+)?|that works|much appreciated|much obliged(?: to you)?|all clear)\\b";
const BEGINS_WITH_COURTESY = new RegExp(`^${COURTESY}`, "i");
/** Each with what may stand behind it: "for telling me so quickly", "again", "to you both". */
const COURTESIES = new RegExp(
  `\\b${COURTESY}(?:[\\s,!.]*\\b(?:(?:for|to (?:read|hear|see)) \\w+(?: \\w+){0,4}|again|a lot|very much|so much|then|both|all|to (?:you|both|all)(?: \\w+)?)\\b)?`,
  "gi",
);
const NAMES = /(?<!\p{L})(?!(?:Mon|Tues|Wednes|Thurs|Fri|Satur|Sun)day)\p{Lu}\p{L}+/gu;

/** "Lovely, thank you for telling us, Oda!": courtesy, and nothing else. */
export function isThanksOnly(text: string): boolean {
  return BEGINS_WITH_COURTESY.test(text) && /^[\s,!.]*$/.test(text.replace(COURTESIES, "").replace(NAMES, ""));
}

/** "Small ones, please.": an answer, though it has the word of an ask. */
export function isAnswerWithPlease(text: string): boolean {
  return (
    /,?\s+please[.!]*$|^no \p{L}+(?: \p{L}+)?,? please\b/iu.test(text) &&
    text.split(/\s+/).length <= 8 &&
    !isImperative(text) &&
    !ASKS.test(text)
  );
}
const ASKS = /\b(?:(?:could|can|would|will) (?:you|we|i|somebody|someone)|need|send|let|tell|by|before|until)\b/i;

/** "No, let the garage have them": what was asked is answered, though in the words of an order. */
export function isYesOrNo(text: string): boolean {
  return YES_OR_NO.test(text) && !HAS_A_TERM.test(text) && text.split(/\s+/).length <= LONGEST_YES_OR_NO;
}
const YES_OR_NO = /^(?:yes|yep|yeah|no|nope|by all means|rather not|better not)[,:;.!]\s/i;
/** "Yes, please send two by Friday": an ask as well as an answer. */
const HAS_A_TERM = /\b(?:by(?! all means)|before|until|till)\b/i;
const LONGEST_YES_OR_NO = 10;

/** Words with which an answer begins and which answer nothing: "Oh dear, sorry." */
export function isInterjection(text: string): boolean {
  return INTERJECTION.test(text) || FEELS.test(text);
}
const INTERJECTION =
  /^(?:(?:oh|ah|dear|oh dear|sorry|so sorry|apologies|my apologies|pity|hm+|well|right|thanks|thank you|hello|hi|never mind|no worries|forgive me|excuse me|goodness|my fault|mea culpa|(?:i['’]?m|i am|we['’]?re|we are) (?:so |very |really |truly )?sorry(?: (?:(?:to (?:hear|read|see|learn)|about|for)(?: of)? (?:this|that|it|the \w+)))?|what a (?:pity|shame|day))(?:[\s,]+(?:\p{Lu}\p{L}+))?[\s,!.]*)+$/iu;

/** "Hi Torben, Tavita here.": who writes to whom, and no more. */
export const INTRODUCES = /^(?:hi|hello|hey|dear|hallo|good \w+)\b[^.!?]{0,40}\bhere[.!]?$/i;

/** "Not me.", "no idea": nothing has become of anything. */
export const KNOWS_NOTHING =
  /^(?:sorry,? )?(?:not (?:me|i|mine|us)|no idea|no clue|not a clue|(?:i )?(?:don['’]t|do not) know|haven['’]t a clue|beats me)[\s.!]*$/i;

/** "Noted, thank you.": read, and no more. */
const NOTED =
  /^(?:(?:i|we)(?:['’]ve| have)? (?:received|got) your (?:mail|e-?mail|message|letter)|(?:duly )?noted)\b[\s,.!]*(?:(?:with )?(?:many )?(?:thanks|thank you))?[\s.!]*$/i;

/** "Not again!", "How annoying.", "Good question.": what somebody feels, and no more. */
const FEELS =
  /^(?:(?:oh,? )?(?:no|dear)[,!. ]+)*(?:oh (?:no|dear|my)|not again|how (?:annoying|awful|sad|funny|strange|odd|embarrassing|stupid|silly|nasty|horrible|typical|unfortunate)(?: of (?:me|us|you|them))?|that['’]s (?:(?:too |very |really )?(?:bad|sad|awful|annoying|terrible|odd|strange|funny|unfortunate)|a (?:pity|shame|nuisance|blow))|what a (?:\w+ )?(?:mess|pity|shame|nuisance|day|week|relief|story)|good question|poor (?:you|thing)|typical|well done|bravo|congratulations|you win|my mistake|silly me|(?:i|we) (?:can(?:no|['’])t|do(?: not|n['’]t)) (?:see|follow|understand) (?:it|that|this|any|one|you))[\s.!]*$/i;

/** "…, he says." */
const WHO_SAYS_SO =
  /^(?:(?:i|we|he|she|they|\p{Lu}\p{L}+) (?:says?|said|thinks?|hopes?|believes?|guess|suppose|reckons?|tells me|told me)|or so (?:he|she|they) says?|i['’]m told)[.!]*$/iu;

/** "Have a good weekend!", "Safe journey to him": a wish. */
const WISHES =
  /^(?:have an? (?:good|nice|lovely|great|safe|wonderful|pleasant|restful|quiet|happy)|safe (?:journey|travels|home)|good luck|best of luck|get well|bless (?:you|him|her|them)|happy (?:birthday|easter|holidays?|new year)|enjoy (?:your|the)|(?:speak|talk|see you) soon)\b[^.?\d]{0,40}$/i;

/** Whether words are courtesy, or say that nothing has become of anything. */
export function saysNothing(text: string): boolean {
  return (
    isThanksOnly(text) ||
    [NOTED, WISHES, INTRODUCES, KNOWS_NOTHING, INTERJECTION, FEELS, WHO_SAYS_SO].some((pattern) => pattern.test(text))
  );
}

/** "Here it is", "attached": what goes with a letter. */
export const GOES_WITH_IT =
  /^(?:and )?(?:voil[àa]|here (?:it is|they are|it comes|they come|you are|you go)|there (?:it is|they are|you go)|attached|enclosed)\b/i;

/** What can go with a letter: a price, a list, a text. */
export const CAN_BE_MAILED =
  /\b(?:price|list|quote|quotation|offer|text|copy|copies|files?|drawings?|plans?|invoice|certificate|number|figures?|sheets?|menus?|photos?|pictures?|report|address|details?|send|mail|let (?:me|us) have|form|documents?|letter|contract|proposal|timetable|schedule|programme|receipt|statement|logo|recipe|dates?)\b/i;

export const POINTS_TO_WANTED =
  /^(?:got|received|where|any news)\b|^(?:(?:the|your|all|both) )?\w+(?: \w+)?(?:['’]s| (?:is|has|have|are)) (?:now |all |safely )?(?:in|here|arrived|come|through)\b|\b(?:it|them|yours|that)\b.{0,12}\b(?:any ?more|after all|no longer)\b/i;

/** Words that point at a thing, whatever else is said. */
export const POINTS_AT_IT = /\b(?:it|them|this|that|these|those)\b/i;

export const POINTS_BACK =
  /^(?:and )?they\b|\b(?:it|them|(?:those|these|that|this)(?! (?:mon|tues|wednes|thurs|fri|satur|sun)day\b| (?:week|month|year|morning|afternoon|evening|time)\b)|one|ones|rest|others?|the (?:second|third|fourth|fifth)(?: one)?(?= (?:follows?|comes?|will|is|has))|the (?:last|remaining) (?:one|two|three|four|five|six|few|\d+)|you(?:['’]ll| will) (?:have|get)|(?:be|is) with you)\b/i;

const ASKS_WHAT = /\b(?:what|which|who|whose|when|where|why|how)\b[^?]*\?$/i;

/**
 * What a bare answer ("Yes.", "You'll have it on Monday.") is an answer to: the only thing open, or the last that was asked.
 * @param writer whose own things come before those of colleagues
 */
export function bareTargets(open: readonly OpenItem[], text: string, writer: string): OpenItem[] {
  const own = open.filter((item) => item.owner === writer);
  const left = own.length > 0 ? own : open;
  if (left.length <= 1 || /\b(?:both|all|everything|neither)\b/i.test(text)) return [...left];
  const last = raisedLast(left);
  const isAnswer =
    /^(?:yes|yep|yeah|no|nope|correct|right|exactly|me|mine)\b/i.test(text) &&
    !/\b(?:pleasure|gladly|of course|happily|can do|will do|done)\b/i.test(text);
  // "Yes" answers no "what" and no "how many".
  const fitting = last.filter((item) => (item.kind === "question" && !ASKS_WHAT.test(item.quote)) === isAnswer);
  const targets = fitting.length > 0 ? fitting : last;
  // "I'll ask him tonight" answers what was to be asked, wherever it stood.
  const said = stems(text);
  const likest = targets.find((item) => [...stems(item.quote)].some((stem) => said.has(stem)));
  return [likest ?? targets[0]!];
}

/** An ask that turns to somebody, unlike "the blue one needs another week". */
export const TURNS_TO =
  /\b(?:please|kindly|(?:could|can|would|will) (?:you|somebody|someone|one of you)|let (?:me|us)|tell (?:me|us)|(?:i|we)(?:['’]d| would|['’]ll| will)? (?:still |also )?need (?:the|your|their|his|her|its|an?(?! (?:bit|little|few|while|day|week|moment|minute|couple|hour|extra day)\b)|to know)|(?:i|we)(?:['’]d| would| should) (?:like|love) (?:you to|to have|it (?:by|on|for)))\b|\?$/i;

/** "Monday is fine", "yes", a thumb: somebody agrees, and nothing more. */
export function agrees(text: string): boolean {
  return AGREES.test(text) || !/[\p{L}\d]/u.test(text);
}
const AGREES =
  /^(?:(?:yes|yep|yeah|ok|okay|sure|fine|fair enough|agreed|of course|certainly|gladly|no problem|by all means)\b|(?:that|it|this|(?:the )?\d{1,2}(?:st|nd|rd|th)?|tomorrow|today|tonight|noon|mon|tues?|wed(?:nes)?|thur?s?|fri|satur|sun)(?:day)?\b.{0,30}\b(?:fine|ok|okay|good|great|perfect|works|suits|acceptable|granted|in order|all right|will do|no problem)\b)/i;
