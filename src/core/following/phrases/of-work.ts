import { type Turn, whole } from "../turns";

// What somebody who was asked for something says of it in a few words.

const WHILE = "(?:a|an|one|two|three|five|ten|fifteen|twenty|thirty|half an|a few|a couple of|\\d+)";
const HOUR =
  "(?:half past \\w+|(?:a )?quarter (?:to|past) \\w+|noon|midday|one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve|\\d{1,2}(?:[:.]\\d\\d)?)(?: ?[ap]\\.?m\\.?| o['’]clock)?";
const SOON = `(?:(?:at|around|about|by|before|towards) ${HOUR}|(?:right|straight) away|at once|immediately|right now|this (?:minute|instant)|any (?:minute|moment|time|day)(?: now)?|in ${WHILE} (?:more )?(?:minutes?|mins?|moments?|seconds?|hours?|while)|(?:straight |right )?after (?:lunch|work|breakfast|dinner|this|that|the (?:meeting|shift|break|round|delivery|class|lesson|service))|before (?:lunch|work|dinner|i (?:go|leave)|closing)|later (?:today|on)|shortly|presently|as soon as (?:<we> can|possible))`;
const BUSY =
  "(?:finish|do|writ|typ|pack|print|load|draw|prepar|sort|check|count|turn|search|look|clean|fix|mend|bak|cook|copy|scann|collect|pick|put|chang|mov|try|read|translat|work|dig|call|ring|order|arrang|plann)(?:[a-z]{0,2}ing)";
/** What somebody is busy with: it, or the thing that was asked for. */
const WITH_IT =
  "(?: (?:(?:on|at|through|into|for|out|up|off) )?(?:it|them|that|this|those|these|everything|all of (?:it|them)|the [^,;?]+|your [^,;?]+))?(?: (?:now|right now|at the moment|today|tonight|this (?:morning|afternoon)))?";

const PARTICIPLE =
  "(?!(?:delight|honour|honor|pleas|tir|excit|interest|worri|thrill|reliev|mov|touch|asham|embarrass|surpris|shock|confus|bor|annoy|need|want|clos|stress|exhaust)ed\\b)(?:\\p{L}{2,}ed|bought|hung|sent|gone|done|made|found|built|cut|put|set|laid|paid|sold|told|written|taken|given|brought|swept|lit|shut|drawn|torn|worn|thrown|fed|met|read|mown|sown|sewn|caught|dealt with)(?: \\w+)?";

/** "Tuned.", "Repaired yesterday.": it says no more than that. */
const ONLY_DONE = `(?!(?:not|agre|receiv|promis|accept|cancel|call|declin|refus|postpon|delay|forward|book|schedul|plann|order|reserv|request|approv)\\p{L}*ed\\b|(?:told|given|made|left|set|met|read|put|cut|shut)\\b)${PARTICIPLE}`;

/** "Right away.", "no problem": of work it is undertaken; of a question it may be the answer. */
const SOON_OR_YES: Turn = {
  change: "promised",
  name: "it will be done",
  forms: [
    whole(SOON),
    whole("(?:it['’]s |that['’]s )?(?:not a|no) (?:problem|trouble|bother)(?: at all)?"),
    whole(
      "naturally|absolutely|definitely|easily|by all means|of course|most certainly|(?:that|it) goes without saying|if (?:i|we) must|very well|whatever you say|(?:it |that )?(?:makes no difference|is all the same) to (?:me|us)|(?:that['’]s )?fine by (?:me|us)",
    ),
    whole("(?:ok(?:ay)?|understood|agreed|all right|alright|fair enough|as you (?:wish|like)|why not|deal|you bet)"),
  ],
};

/** "Top of my list.", "I won't forget.", "You have my word." */
const UNDERTAKEN: Turn = {
  change: "promised",
  name: "it will be done",
  forms: [
    whole(
      "(?:(?:it|that|this|they|these|those)(?:['’]s|['’]re| is| are) )?(?:(?:at the )?(?:top of|first on|next on|high on|on|in) (?:my|our|the) (?:list|diary|calendar|agenda|to-do list|notebook)|noted down|written down|as good as done|almost done|nearly done)(?: now)?",
    ),
    whole("<it>(?:<is>) as good as (?:yours|done|there|sent|sold|ready|booked)|your wish is my command"),
    whole(
      "(?:(?:it|they|that|those|these|all of (?:it|them)|(?:the|your) [^,;?]+?)(?:<is>|['’]re| are) )?(?:now |already |still )?(?:on the (?:lathe|press|loom|stove|bench|hob|anvil|easel|drawing board|stocks|jig|saw)|(?:next|first|second) on (?:the|my|our) (?:bench|lathe|press|desk|loom)|next in line|in the (?:kiln|clamps|mould|making|works|pipeline|queue|dye bath)|under the (?:needle|lamp|hammer|press)|being \\w+(?:ed|en|wn|t|d|ng|pt))(?: (?:as we speak|right now|now|at the moment|today|tonight))?",
    ),
    whole("(?:almost|nearly) (?:done|there|finished|ready)|consider <it> (?:done|\\w+ed)"),
    whole(`<we are>(?: just| now| already| currently| still| busy)* ${BUSY}${WITH_IT}`),
    whole(`(?:just|now|still|already|busy) ${BUSY}${WITH_IT}`),
    whole("(?:<we> (?:will not|won['’]t|shall not)|<we> (?:have not|haven['’]t)|not) (?:forget|forgotten)<rest>"),
    whole("(?:you have|you['’]ve) (?:got )?my word|(?:i )?promise(?:d)?|trust me|word of honou?r"),
    whole("(?:bear with (?:me|us)|(?:just )?(?:a|one) (?:minute|moment|second)|hang on|hold on)(?:,? please)?"),
  ],
};

/** "Sanna has sent it." */
const DONE_BY_NAME = {
  named: null,
  meant:
    /^\p{Lu}\p{L}+ (?:has|have)(?: already| just| now)? (?:sent|paid|brought|taken|delivered|posted|transferred|fixed|repaired|mended|changed|collected|picked up|done) (?:it|them|that|you|the)\b(?!.*\b(?:but|not|half|only)\b)/u,
};

/** "On its way.", "Gone out this morning." */
const HAS_GONE: Turn = {
  change: "done",
  name: "it has been done",
  forms: [
    whole(
      "(?:it(?:['’]s| is)|they(?:['’]re| are)|all)? ?(?:already |now |safely )*(?:on (?:its|their|the) way|gone out|gone)(?: to (?:you|him|her|them))?(?: (?:since|this morning|yesterday|already|now|today|last night|on \\w+day|at \\w+)[^?]{0,24})?",
    ),
    whole("you(?:['’]ve| have)(?: already)? (?:got )?(?:it|them)(?: already| now)?"),
    whole("here goes"),
    DONE_BY_NAME,
    whole(ONLY_DONE),
    whole(`(?:all )?${PARTICIPLE}(?:, ${PARTICIPLE})*,? and ${PARTICIPLE}<rest>`),
    whole("you can (?:cross|tick|strike) <it> off<rest>"),
    whole("(?:ticked|crossed) off(?: (?:the|my) list)?"),
  ],
};

/** "No can do.", "Too late." */
const WILL_NOT: Turn = {
  change: "declined",
  name: "cannot or will not",
  forms: [
    whole(
      "no can do|(?:no|not a) chance|no way|nothing doing|(?:that['’]s |it['’]s )?too late(?: for that| now)?|not this time|not with (?:me|us)|count (?:me|us) out|leave (?:me|us) out(?: of (?:it|this))?",
    ),
    whole("<we>(?:['’]ll| will)? (?:have to|must) (?:pass|decline|say no)(?: (?:on|to) (?:it|this|that))?"),
    whole(
      "you(?:['’]ll| will)? (?:have to|need to|must|had better) (?:find|ask|look for|get|take|try) (?:somebody|someone|another|a different)\\b<rest>",
    ),
    whole(
      "no luck|(?:nobody|no one)(?: is|['’]s) (?:free|available)|[^,;?]* (?:is|are)(?: not|n['’]t) (?:one|any|anybody|anyone) (?:to be had|free|available)",
    ),
    whole("(?:<we> )?can(?:no|['’])t(?: do (?:it|that))?"),
    whole("(?:that|it)(?:['’]s| is) beyond (?:me|us|our|my)\\b<rest>"),
    whole("(?:my|our) hands are tied<rest>|<we>(?:['’]ve| have) had to (?:strike|cross|take) [^,;?]+ off\\b<rest>"),
  ],
};

/** "Half of it is there." */
export const SOME_OF_IT: Turn = {
  change: "part",
  name: "a part of it",
  forms: [
    whole("(?:all|everything|everybody|everyone) (?:but|except|apart from|bar)\\b<rest>"),
    whole(
      "(?:here['’]s|here is|that['’]s) a (?:first )?(?:start|beginning|part)|(?:for )?a (?:first )?start|to begin with",
    ),
    whole("(?:<it>(?:<is>) )?half (?:way (?:there|through)|done|finished)|half of (?:<it>|them)<rest>"),
    whole(
      "<we>(?: (?:could|can|have|had|got|took|managed)|['’]ve)(?: only| just)+ [^,;?]*(?:half|some|part|most|a few|\\w+) of <it>",
    ),
    whole("(?:some|most|parts?|a few) of (?:<it>|them)(?:<is>| (?:has|have))<rest>"),
    whole("here (?:is|are|comes?) (?:the first|some of|a few of|half|part of|most)\\b<rest>"),
    whole("(?:only )?(?:one|two|three|some|a few) (?:is|are) (?:still )?(?:missing|to come|outstanding)\\b<rest>"),
  ],
};

/** "We're running behind." */
const LATE: Turn = {
  change: "moved",
  name: "it comes later",
  forms: [
    whole(
      "<we are>(?: a (?:bit|little)| rather)? (?:running (?:late|behind)|behind(?: schedule)?)(?: with (?:it|that))?",
    ),
  ],
};

/** "No need." */
const NOT_WANTED: Turn = {
  change: "called off",
  name: "no longer needed",
  forms: [
    whole(
      "(?:there['’]s |there is )?no (?:longer any |more )?need(?: for (?:it|that))?(?: any ?(?:more|longer)| now)?",
    ),
  ],
};

/** "I'll ask the caretaker": an answer is being looked for. */
export const LOOKS_FOR_ANSWER: Turn = {
  change: "promised",
  name: "an answer is being looked for",
  forms: [
    whole("<we are>(?: just| now| already| still)* (?:finding out|checking|asking|counting|looking|trying)<rest>"),
    whole("(?:please )?(?:give|allow) (?:me|us) (?:a|an|one|two|until|till|some|another|half)\\b<rest>"),
  ],
};

/** Said of work that was asked for. */
export const OF_WORK: readonly Turn[] = [SOME_OF_IT, HAS_GONE, UNDERTAKEN, WILL_NOT, LATE, NOT_WANTED];

/** The same, where no question waits for an answer. */
export const OF_WORK_ALONE: readonly Turn[] = [...OF_WORK, SOON_OR_YES];
