import { bared } from "./bared";
import { isCalledOff } from "./cues";
import { type Turn, turnOf, whole, wholeOf } from "./turns";

/** A name tells who did it only with its capital letter. */
const namedBy = (pattern: RegExp) => ({ named: pattern, meant: null });

const NO_LONGER: Turn = {
  change: "called off",
  name: "no longer wanted",
  forms: [
    whole("no [\\w ]{1,30} (?:is |are )?(?:needed|required|wanted|necessary)(?: any ?more| now| after all)?"),
    whole("<we> (?:won['’]t|will not) be coming<rest>|<we> (?:<cannot>|won['’]t) (?:come|make it) [^?]*after all"),
    whole("(?:please )?(?:forget|never mind|scrap|skip)(?: about)? (?:it|that|this|them)"),
    wholeOf("(?:please )?(?:forget|never mind|scrap|skip)(?: about)? [^,?]{1,40}"),
    wholeOf(
      "<we have> (?:got|found|bought|hired|borrowed|been given) (?!.*\\b(?:problems?|questions?|mistakes?|errors?|faults?)\\b)(?:a|an|one|some|our own)\\b[^,?]* (?:now|elsewhere|ourselves|myself|in the meantime|meanwhile)",
    ),
    whole("you can keep <it>"),
    whole("<we> no longer need (?:it|that|this|them|to know|any(?:thing)?)(?: now)?"),
    wholeOf("<we> no longer need<rest>"),
    whole(
      "(?:please )?(?:<do not> )?(?:worry|bother|trouble)(?: about| with| yourself with) <it> (?:any ?more|after all)",
    ),
    whole(
      "<we have> (?:now |since |meanwhile )?(?:bought|hired|got|found|chosen|taken|gone with|gone) (?:somebody else|someone else|another one|one (?:already|elsewhere|ourselves|myself|nearer by|in town)|it elsewhere|elsewhere)<rest>",
    ),
    wholeOf(
      "<we have> (?:now |since |meanwhile )?(?:bought|hired|got|found|chosen|taken|gone with) (?:another|one|some|a different)\\b(?!.*\\b(?:problems?|questions?|mistakes?|errors?|faults?|leaks?|cracks?)\\b)<rest>",
    ),
    whole("<we have> (?:now |since )?(?:changed (?:my|our) minds?|decided against)<rest>"),
    whole("<we>(?:<will>|['’]d)? (?:manage|do|can do|cope) without<rest>"),
    whole("<we> take it back<rest>|<we> withdraw<rest>"),
    // "I've done it myself in the meantime."
    whole(
      "<we have> (?:now |since |meanwhile )?(?:done|sorted|fixed|finished|made|written|booked|ordered|solved|settled|repaired|mended|found) <it> (?:myself|ourselves)<rest>",
    ),
    wholeOf("<we> (?:found|bought|hired|borrowed) another (?!\\b(?:problem|question|mistake|error|fault)\\b)[^,;:?]+"),
    whole(
      "(?:(?:that|it|this|my)(?: last)?(?: (?:mail|e-?mail|message|letter|question))?) (?:was (?:meant|intended) for (?:somebody|someone) else|was sent (?:to you )?(?:by mistake|in error)|(?:was|is) not (?:meant )?for you|went to (?:you by mistake|the wrong (?:person|address)))",
    ),
    whole(
      "you (?:need<not>|<do not> (?:have|need) to) \\w+(?: (?:it|them|that|this|here|us|me|anything))?(?: any ?more| after all| now)?",
    ),
    wholeOf(
      "you (?:need<not>|<do not> (?:have|need) to)(?!.*\\b(?:before|until|by|this week|today|yet|hurry|rush|worry|answer at once)\\b) [^?]*",
    ),
    whole(
      "(?:there(?:<is>) )?no need to (?:answer|reply|come|bother|(?:do|send|bring|make|write|order|check|repair) (?:it|that|this|them))(?: any ?more| after all| now)?",
    ),
    wholeOf("(?:there(?:<is>) )?no need to (?!hurry|rush|worry|panic|apologi[sz]e|thank)[^?]*"),
    whole("(?:please )?(?:stop|cancel) (?:the order|it|that|them|everything)<rest>"),
    whole("<it> (?:can|may) stay (?:where|as|after all|here|there|put)<rest>"),
    whole("(?:please |you can )?leave <it>(?: (?:where|as) (?:it|they) (?:is|are))?(?: after all)?"),
    whole(
      "<it>(?: has| have|['’]s) (?:become unnecessary|been superseded|sorted itself out|settled itself|resolved itself)",
    ),
    whole(
      "<it>(?:<is>) (?:no longer (?:necessary|needed|required|wanted|relevant|an issue)|unnecessary now|not (?:necessary|needed|wanted) (?:any ?more|after all))",
    ),
  ],
};

const NO_HURRY: Turn = {
  change: "moved",
  name: "there is no hurry",
  forms: [
    whole(
      "(?:there(?:<is>) )?no (?:great |big |real |particular )?(?:rush|hurry|need to (?:hurry|rush))(?! to| of)(?!.*\\bany ?more\\b)<rest>",
    ),
    whole("(?:please )?take (?:your|all the) time(?! to| off)<rest>"),
    whole("<it> can wait(?: (?:a (?:bit|little|while)|for now|until|till))?<rest>"),
    whole(
      "<it>(?:<is>) (?:not (?:so |that |very )?urgent|not pressing)<rest>|<it> is<not> (?:so |that |very )?urgent<rest>",
    ),
    whole("you can take (?:until|till|your time)<rest>"),
  ],
};

/** "Wednesday next week is enough", "Tuesday will do too", "by the 18th is soon enough" */
const ANOTHER_DAY: Turn = {
  change: "moved",
  name: "wanted at another time",
  needsDay: true,
  forms: [
    whole(
      "<we>(?: now| really)? need (?:to know|an answer|your answer|to hear)(?: already)? (?:by|before|on) <day><rest>",
    ),
    whole("<we>(?: now| really)? need [^,?]+ (?:sooner|earlier|later) than<rest>"),
    whole(
      "(?:but )?(?:by )?<day>(?: next week| the \\d+\\w*| \\p{L}+| morning| at noon| afternoon)*(?:<is>|<will>| would)(?: (?:also|still|even))?(?: be)? (?:enough|do(?! you)|early enough|soon enough|in time|just as (?:good|well))<rest>",
    ),
    whole(
      "(?:but )?(?:by )?<day>(?: next week| the \\d+\\w*| \\p{L}+| morning| at noon| afternoon)*(?:<is>|<will>| would) (?:(?:also|still|even) (?:be )?(?:fine|ok(?:ay)?|all right|good|suit)|(?:be )?(?:fine|ok(?:ay)?|all right|good|suit),? (?:too|as well))<rest>",
    ),
    whole("(?:it['’]s |it is )?(?:enough|fine|early enough|soon enough|all right)(?: if| by| with| to)<rest>"),
    whole(
      "(?:could|can|would|might) (?:we|i|you) (?:possibly |please )?(?:have|get|make|do|let us have|send|bring) (?:it|that|this|them|the [\\w ]{1,30}?) <day>(?: instead| already)?",
    ),
    whole(
      "<we>(?: now| really)? need (?:it|them|that|this|the [\\w ]{1,30}?)(?: already)? <day>(?: already| instead| at the latest)?",
    ),
    whole("<it> (?:has|have) to be (?:\\w+ )?(?:by|on|before) <day><rest>"),
  ],
};

const AGAIN: Turn = {
  change: "reminded",
  name: "asked for again",
  forms: [
    whole(
      "(?:<we are> |this is )?(?:just )?(?:following up|checking in|chasing|writing again|getting back to you|asking again)<rest>",
    ),
    whole(
      "(?:did|have) you (?:ever )?(?:get|got|receive|received|see|seen|read) (?:my|our) (?:last |first |previous |earlier )?(?:mail|e-?mail|message|letter|question|note|request)<rest>",
    ),
    whole("(?:please |and please )?(?:<do not> forget|remember|think of)(?: about)? (?:it|this|that|me|us)"),
    wholeOf(
      "(?:please |and please )?(?:<do not> forget|remember|think of|bear in mind)(?! (?:to|that|me|us|when|how)\\b)<rest>",
    ),
    whole(
      "(?:(?:could|can|would) you )?(?:please )?(?:kindly )?(?:let me know|tell me|let us know|tell us) (?:(?:when|how soon) (?:i|we) (?:can|may|might) (?:expect|have|count)|(?:how (?:far|it['’]s|it is|things)|where (?:things|we|you|it)|what['’]s happening))<rest>",
    ),
    whole(
      "(?:could|can|would) you (?:please |kindly )?(?:(?:get back to|come back to) (?:me|us)<rest>|give (?:me|us) an? (?:\\w+ )?(?:answer|update|reply|idea)<rest>)",
    ),
    whole("(?:may|can) i ask (?:where|how) (?:things|it|we)<rest>"),
    whole("what(?:['’]s| is) the (?:state|status|latest|news)(?: of| on| with| about)?<rest>"),
    whole("how (?:is|are|['’]s) (?:it|things|the [\\w ]{1,30}?) (?:going|coming (?:on|along)|getting on)<rest>"),
    whole("is there (?:any(?:thing)? )?(?:progress|news|new|update)<rest>"),
    whole("any(?:thing)? (?:progress|news|new|update)<rest>"),
    whole(
      "(?:i|we)(?:['’]d| would) (?:be (?:glad|grateful|happy) (?:of|for|to have)|like|appreciate) (?:an?|your) (?:answer|reply|update)<rest>",
    ),
    whole("(?:i|we)(?:['’]d| would) be (?:glad|happy|grateful) to hear(?: back)? from you<rest>"),
    whole("you (?:still )?owe (?:me|us)<rest>"),
    // "You wanted to drop off the papers yesterday."
    whole(
      "you (?:(?:wanted|promised|were (?:going|supposed|meant)|had promised|meant|intended) to|said (?:that )?you(?:['’]d| would)) (?!tell|know|hear)[^?]+",
    ),
    whole(
      "have you (?:already |now |meanwhile )?(?:decided|made (?:a|your) (?:decision|choice)|made up your minds?)<rest>",
    ),
    whole("(?:sorry to|to) ask again<rest>"),
    whole(
      "<we> (?:have<not>|['’]ve not|never) (?:yet )?(?:had|heard|received|got) (?:an?(?:y)? |anything |any )?(?:answer|reply|back|anything|word|from you)<rest>",
    ),
    whole("<we>(?:['’]m| am|['’]re| are) still (?:waiting|without|missing|sitting|standing|short)<rest>"),
    whole(
      "<we are> (?:only |just |now |also |still )+(?:missing|lacking|short of|without)<rest>|<we are> missing (?:your|yours|the|only)\\b<rest>",
    ),
    wholeOf(
      "(?:<it>|[^,;:?]{1,40}) (?:was|were|is|are)<not> (?:on|in|with|among|there|here|included|enclosed|attached|part of)\\b<rest>",
    ),
    whole("(?:may i|let me|this is to|i (?:must|have to|want to|wanted to)) remind you<rest>"),
    whole("please (?:see|attend) to <it>"),
    wholeOf("(?:only|just) <it>(?:<is>) (?:still )?(?:left|missing|open|outstanding)"),
    whole("<it>(?: still<is>(?:n['’]t)?|<is> still| still (?:has|have|does|do|will|wo)(?: not|n['’]t)) [^?]+"),
    whole(
      "(?:nobody|no one) (?:has |have )?(?:been|come|came|looked|called|rung|rang|turned|answered|touched|done)<rest>",
    ),
    whole("you have<not> (?:yet )?(?:answered|replied|told|written|come back|sent|brought|got back|let)<rest>"),
    whole(
      "(?:so far|until now|up to now),? <we>(?:['’]ve| have)?(?: had| received| seen| heard| got)? (?:no|nothing|not)\\b<rest>",
    ),
    whole("(?:<we have>|<we>) (?:had|received|seen|got) no [^,;:?]+ (?:so far|yet|until now|up to now)"),
    whole("(?:and |but )?still (?:no|nothing|not|nobody)\\b<rest>"),
    whole("<we> (?:still )?need (?:an|your) (?:answer|reply|decision)<rest>"),
    whole("<we> (?:already )?(?:asked|wrote|mailed|e-?mailed)(?: to)? you (?:for|about|on|last|because)<rest>"),
    whole(
      "(?:please |do )?let (?:me|us) (?:know about|have an? (?:answer|reply)) [^?]+|(?:(?:could|can|would) you )?(?:please )?let (?:me|us) have an? (?:answer|reply)<rest>",
    ),
    wholeOf(
      "[^,;?]{1,40} (?:is|are|keeps?|has been|have been)(?: already| still| now)* asking (?:for|about|after)<rest>",
    ),
    whole("no [\\w -]{2,30} (?:so far|yet|as yet|to date|until now)"),
    whole("nothing (?:has |have )?(?:happened|been done|changed|arrived|come|moved)<rest>"),
  ],
};

/** "Thanks for the drawings", "we have received it, thank you", "Nora has sent us the list" */
const HAS_COME: Turn = {
  change: "done",
  name: "it has arrived",
  forms: [
    // "Ruben has ordered the chairs himself."
    namedBy(
      /^(?:\p{Lu}\p{L}+ ){1,2}(?:has|have) \p{L}+(?:ed|en|nt|ne|wn|ght|ut|ld) [^,?]+ (?:himself|herself|themselves)\b/u,
    ),
    whole("<it>(?:<is>) (?:now |all )?(?:settled|solved|sorted(?: out)?|cleared up)(?: now)?"),
    // "Nora has sent us the list."
    namedBy(
      /^(?!Please )(?:\p{Lu}\p{L}+ ){1,2}(?:has |have )?(?:now |just |already )?(?:sent|given|gave|brought|told|mailed|forwarded|handed|lent|shown) (?:it to )?(?:me|us)\b/u,
    ),
    whole(
      "(?:<we have> |<we> )(?:now |just |already |safely )*(?:received|got|found) (?:it|them|that|everything|both|all)(?! (?:wrong|broken|without)\\b)(?! but\\b)<rest>",
    ),
    wholeOf(
      "(?:<we have> |<we> )(?:now |just |already |safely )*(?:received|got|found) (?:all )?(?:the|your) (?!.*\\b(?:wrong|broken|but|only|half|missing|mistakes?|without)\\b)<rest>",
    ),
    whole(
      "(?:it|they|that|everything)(?: has| have|['’]s|['’]ve)(?: all| now| just| safely)* (?:arrived|come|turned up|shown up|reappeared|reached us|been (?:found|delivered|picked up|collected|repaired|fixed|settled|solved|sorted out))<rest>",
    ),
    wholeOf(
      "(?!.*(?:\\b(?:not|never|nothing|nobody|only|half|wrong|broken|damaged|empty|some|part|late|yet)\\b|n['’]t))[^,;:?]{1,40}? (?:safely |just |all )?(?:received|arrived)(?: (?:safely|today|this morning|yesterday))?",
    ),
    whole("(?:he|she|they)(?:['’]s|['’]ve| has| have) been(?: here| and gone| round)?"),
    whole("(?:it|they|that|everything|all)(?:['’]s|['’]re| is| are| has| have)(?: all)? gone(?: now)?"),
    whole("(?:it|they|that|everything) (?:was|were) (?:picked up|delivered|collected|repaired|fixed)<rest>"),
  ],
};

/**
 * What whoever wants a thing says of it by a turn that leaves no doubt; null where it is no such turn.
 * @param isNamed whether it is said of a thing that the text names
 */
export function askerTurn(text: string, isNamed: boolean): Turn | null {
  const said = bared(text);
  // "No hurry with the menus any more, you can drop them": the stronger word counts.
  const late = isCalledOff(said.replace(/no need to (?:hurry|rush)/i, "")) ? [] : [NO_HURRY, ANOTHER_DAY];
  return turnOf([...late, AGAIN, NO_LONGER, HAS_COME], said, isNamed);
}

const THANKS_FOR =
  /^(?:(?:many|very many) )?(?:thanks|thank you)(?: (?:very|so) much| a lot| again)*,? for (?:(?:sending|bringing|delivering|posting|mailing|forwarding|repairing|fixing|mending|moving|returning|lending) (?:me |us )?)?(?:(?:the|your|all the|both|these|those) )?(.+?)(?: so (?:quickly|fast|soon|promptly)| today| this morning| yesterday)?[\s.!]*$/i;

/** The words of a thing for which somebody gives thanks: it has come. Null where it is thanks for something else, or a letter. */
export function thankedFor(text: string): string | null {
  return THANKS_FOR.exec(text)?.[1] ?? null;
}
