import { bareClause } from "../bare-clause";
import type { KindRule } from "../kind-rule";
import { WANTS_TO_KNOW } from "../own-duty";
import { phrases } from "../phrases";

/** Turns in which people who do not like to give orders give them. */
const SUGGESTED = phrases(`
  (?:perhaps|maybe|possibly) (?:you|we|someone|somebody|one of you) (?:could|can|should|might)
  you (?:might|may|could|will|'ll) (?:want|wish|like|care|need) to (?!know|hear|see|think|be\\b)\\p{L}+
  you (?:could|should) (?:perhaps|maybe|really|probably|please)
  (?:i|we)(?:'d| would)? (?:suggest|propose|recommend|advise|urge|beg|implore|encourage)(?: that)? (?:you|we|everyone|someone|somebody|to \\p{L}+)
  my (?:suggestion|advice|proposal|recommendation) (?:is|would be) (?:to|that you)
  (?:it(?:'s| is) (?:high |about )?|high |about )time (?:that )?(?:you|we|someone|somebody|the \\p{L}+|\\p{Lu}\\p{L}+) \\p{L}+(?:ed|t|d|ne|de|ve|nt|ok|ot|ut|ade|ote)
  (?:i|we)(?:'m| am|'re| are)? (?:count|counting|rely|relying|depend|depending|bank|banking) on (?:you|your|\\p{Lu}\\p{L}+)(?! not)
  (?:i|we) (?:trust|assume|take it|expect|presume) (?:that )?you(?:'ll| will| can)
  ^(?:(?:so|and|now) )?over to you
  ^for (?:your )?(?:approval|signature|comments?|decision|review)(?:,? please)?(?=[.!]*$)
  ^(?:the )?deadline (?:for (?:\\p{L}+ ){1,4})?is
  ^there (?:should|must|has to|have to|needs to|ought to) be (?!no\\b|some mistake|a mistake|an error|a way|plenty|enough time)(?:a|an|one|two|three|someone|somebody|enough|at least|more)
  (?:all|the only thing)(?: that's| that is|'s| is) (?:still )?missing is (?:your|the|a|an)
  what (?:i|we)(?:'d| would) (?:like|love|need) (?:from you )?(?:is|are)
  (?:put|set) (?:my|our|his|her|their) mind at (?:rest|ease) (?:if|to)
  (?:perhaps|maybe) (?:the|your|our|this|that|these|those|it|they)(?: \\p{L}+){0,5} (?:could|should|might) be \\p{L}+
  it is (?:kindly |hereby )?(?:requested|asked|required|expected) that
  (?:gentle|friendly|kind|quick|small|little|short|polite|final|second|last) reminder(?: that| to| about| for|:)
  (?:might|may|can|could) (?:i|we) (?:trouble|bother|ask(?! (?:how|what|when|where|which|who|why|if|whether))|beg|implore|urge|request|invite|press)
  pray (?!for|with|at\\b|to\\b)\\p{L}+
  (?:i|we) (?:look|am looking|are looking|'m looking|'re looking) to you (?:to|for)
  (?:i|we) (?:really |do |still )?think (?:that )?(?:you|we|someone|somebody|one of you) (?:should|ought to|had better|must|need to|could)
  (?:i|we)(?: still| eagerly| now)? (?:await|are awaiting|am awaiting|'re awaiting|'m awaiting) (?:your|the|a)
  (?:demands?|requests?|insists?|requires?|asks?) that (?:you|we|the|all|every|this|it|they|he|she|no)
  what you (?:could|can|might|should)(?: also)? do(?: \\p{L}+){0,3} is
  (?:perhaps|maybe|if) \\p{L}+ (?:has|have|finds?|had) (?:the )?(?:time|a moment|a minute) to
  (?:do you have|have you|have you got) (?:the time|time|a moment|a minute|five minutes|an hour) (?:to|for)
  you (?:can|may|could)(?: now)? (?:go ahead|proceed|carry on|start) with
  (?:you'd|you would|could you) do (?:me|us) (?:a|the|a great|a huge|a big) (?:favour|favor|kindness)
  the (?:sooner|quicker|earlier|faster) .{3,60} the better
  (?:i|we)(?:'m| am|'re| are)? (?:asking for|looking for (?:volunteers|someone|somebody|help|a (?:volunteer|helper|driver)))
  (?:one|a|another|a small|my|our) (?:more |last |final |further |other )?(?:request|wish|plea)(?= ?[:,]| is| would be| to)
  (?:from your side|from your end|on your side)(?= ?:)
  could (?:do with|use) (?:a|an|some|your|another|two|three|more|new)
  (?:i|we)(?:'d| would) (?:feel|sleep|be) (?:a lot |much |far )?(?:better|happier|easier|safer|more comfortable|calmer) if
  (?:it(?:'s| is) )?your (?:turn|job|task|part|duty) (?:is )?to
  (?:i|we)(?:'m| am|'re| are| was| were)? (?:hope|hoping)(?: very much)?(?: that)? (?:you|someone|somebody|one of you) (?:can|could|will|would|might)(?! (?:be\\b|have\\b|enjoy|like|understand|agree|feel|get well|forgive|not\\b|find\\b|see\\b))
  (?:i|we) could (?:use|do with)
  (?:might|may|would|could) be worth (?:\\p{L}+ing|an? )
  ^(?:(?:and|so|also|but) )?(?:would|might) be (?:good|wise|best|better|useful|helpful|great|nice|lovely|sensible|worth) (?:to \\p{L}+|if|\\p{L}+ing)
  (?:i|we)(?: kindly| therefore| also| hereby)? (?:ask|request|require|invite|expect) (?:all |any |each |both |every )?(?:\\p{L}+ ){1,3}to (?!be\\b)\\p{L}+
  (?:i|we)(?:'ll| will) be (?:needing|wanting)
  (?:i|we)(?:'ll| will)? leave (?:it|this|that|the \\p{L}+(?: \\p{L}+){0,3}) (?:to|with|in the hands of) you
  (?:i|we)(?:'d| would) (?:rather|prefer(?: it)?(?: if)?) you
  it(?:'s| is) (?:up to|for) you to
  you(?:'d| had) best
  (?:i|we)(?:'d| would) rather (?:have|take) (?:the|a|an|two|three|it|them)
  (?:i|we) (?:was|were) hoping (?:for (?:a|an|some|your|the)|to (?:get|have|see|receive|hear))
  let's not (?:forget|send|print|order|book|start|sign|pay|tell|use|wait|lose)
  (?:perhaps|maybe|possibly) (?!it\\b|this|that|things|they|there|everything|something|nothing)\\p{L}+ (?:could|can|should) (?:take|do|ring|call|ask|bring|send|write|help|come|look|check|step|drive|stand|go|talk|speak|fill)
  (?<!\\b(?:i|we)(?: \\p{L}+)? )(?:must|has to|have to|needs? to|should) be (?:in|here|there|back|out|up|down|off|on|over|away) (?:by|before|on|at|until|when) (?:\\p{L}+day|noon|the|\\d|tomorrow|tonight|end|one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve)
  it(?:'d| would)(?: also| really)? (?:help to (?:know|have|see|get)|save (?:us|me|time|a|you) .{0,40}\\bif)
  each of you (?:prepares|brings|takes|writes|sends|chooses|picks|makes|gives|gets|reads)
  (?:isn't|is not|aren't|are not) complete without your
  (?:can|could|will) only (?!be\\b|hope|say|imagine|guess|apologise)\\p{L}+(?: (?:it|them|her|him|the \\p{L}+))? (?:when|once|after|if|with) (?:(?:we|i)(?:'ve| have| get| receive)? (?:had )?your|you(?:'ve| have| send| tell| sign| pay| give| let)|your)
  ^(?:please |just |do |and )*(?:have|take) a (?:\\p{L}+ )?(?:look|word with|think about)(?! (?:back|forward)\\b)
  ^(?:please |just |do |and )*(?:work out|figure out|allow for|see about|look into|follow up|see after) (?!on\\b|what i mean)
  (?:i|we)(?:'m| am|'re| are)(?: now| also| therefore)? asking (?:you|everyone|everybody|all|them|people)(?: all)? (?:to|for)
  what(?:'s| is) (?:needed|wanted|required|missing)(?: now| most)? is
  (?:i|we)(?:'d| would| could| can)? (?:suggest|propose|recommend|advise) (?!an?\\b|the\\b)\\p{L}+ing
  (?:i|we)(?: do| now)? expect (?:you (?:at|on|by|all|both|in|here)|(?:this|these) to be (?:repaired|corrected|fixed|put right|replaced|paid|refunded|done))
  (?:i|we) (?:hope|expect) to (?:receive|hear from|get (?:your|an answer|a reply)) 
  ^(?:many |with )?(?:thanks|thank you)(?: very much| so much)?(?: in advance)? (?:if you (?:can|could|would)|for (?!being|having|coming|getting|letting|telling|sharing|asking|thinking|writing|all)\\p{L}+ing .{2,60} (?:by|before) (?:noon|tomorrow|tonight|\\p{L}+day|the \\d|\\d))
  ^(?:many |with )?(?:thanks|thank you)(?: very much)? in advance for (?!your (?:understanding|patience|help|support|cooperation|trouble|time|kindness|interest|attention))(?:\\p{L}+ing|your (?:answer|reply|payment|offer|quote))
  (?:much|greatly|very much) appreciated if
  (?:i|we) have yet to (?:receive|get|hear|see|have)
  (?:i|we)(?: still)? (?:haven't|have not)(?: yet)? (?:had|received|got|seen)(?: \\p{L}+){1,6} yet
  (?:the only thing|all that's|what's|all that is|what is) (?:that (?:is|'s) )?(?:left|missing|lacking|still missing|still open)(?: now)? (?:is|are) (?:your|the|a|an)
  (?:council|school|bank|tax office|client|customer|office|authority|museum|landlord|(?:mrs?|ms|dr) \\p{L}+)(?: now| also| still)? (?:expects?|needs?|requires?|asks for|is asking for|would like|has asked for) (?:a|an|the|two|three|our|your|us to|to be (?:called|told|rung|paid|informed)) ?(?!refund|compensation|discount|answer to)
  (?:they|he|she)(?:'re| are|'s| is)?(?: now| also)? ask(?:s|ing)? (?:us |me |you )?for (?:the|a|an|our|your|two|three)(?! refund)
  asked (?:me |us )?(?:whether|if) (?:we|you|somebody|someone|one of us) (?:could|can|would|might)
  (?:i|we) (?:must|have to|need to|want to|would|'d) (?:insist|ask|urge|beg|request|remind)
  (?:i|we)(?:'m| am|'re| are)? (?:writing|getting in touch|mailing|calling) to (?:request|ask|order|book|claim|remind)
  (?:i|we)(?: hereby| formally| would like to| wish to|'d like to)? (?:request|claim|demand)
  your \\p{L}+(?: \\p{L}+){0,6} (?:would|will|is|are) (?:be )?(?:very |much |most |greatly |warmly )?(?:welcome|appreciated|helpful|requested)
  (?:would|will) be (?:much |greatly |very much |highly )?(?:appreciated|welcome)
  (?:i|we) (?:do |would |'d )?expect (?:the|your|you to|an|to (?:have|receive|get|see|hear))
  (?:i|we) should(?: also| rather| very much)? (?:like|be (?:glad|grateful|pleased|obliged)) (?:to (?:have|see|get|know|receive|hear|ask)|if|for|a|an|the|your|another|two|three|four|\\d)
  (?:i|we)(?:'d| would) (?:ask|welcome|value|be (?:glad|grateful|thankful|obliged) (?:of|for))
  would it be (?:all right|alright|ok|okay|possible|too much|an option) (?:if|for|to)(?! (?:i|we)\\b)
  can (?:i|we) (?:leave|trust|count on|ask|rely on)
  would (?:mon|tues|wednes|thurs|fri|satur|sun)day (?:work|suit|do|be (?:all right|ok|okay)) for you to
`);

/** "A first idea by Friday would be splendid", but not "that would be splendid", which consents. */
const WOULD_BE_GOOD =
  /^(?!(?:it|that|this|which|what|friday|monday|tuesday|wednesday|thursday|yes(?! or no)|either|both|any)\b)(?:a|an|the|your|some|\w+) .{6,80}(?:would|['’]d) (?:suffice|do nicely|be (?:most |very |really |absolutely )?(?:enough|splendid|great|lovely|ideal|perfect|wonderful|fantastic|super|useful|helpful|best|kind|handy|nice|good|marvellous))[.!]?$/i;

/** "Nothing may leave the archive." */
const FORBIDDEN = /^(?:nothing|nobody|no one|no \p{L}+) (?:may|must|is to|are to|shall|should)\b/iu;

/** "How about you take the early train?" */
const WHY_NOT =
  /^(?:how about (?:you|(?!going|coming|meeting|having|being|doing)\p{Ll}+ing (?:it|them|us|me|him|her|the|a|an|some|your|our))\b|why don['’]t (?:you|we)|why not \p{Ll}+(?! (?:all|once))|what if (?:you|we))\b/iu;

/** "I can't wait to see it" is no hurry. */
const CANNOT_WAIT = /^(?!(?:i|we)\b).*\bcan(?:['’]t|not) wait\b(?! to\b)/i;

/** "Let's get the quote out by Wednesday." */
const LETS =
  /^let['’]s (?!hope|see\b|face|say|be\b|not\b|just say|call it|wait and|pretend|assume|suppose|leave it)\p{L}+/iu;

/** "Perhaps you could …", "it is high time somebody …", "I suggest you ring them first": asks in soft clothes. */
export const suggested: KindRule = {
  name: "it is suggested or expected",
  confidence: 0.8,
  counts: 1.7,
  says: "ask",
  find({ text }) {
    const bare = bareClause(text);
    if (/^(?:if|whether|unless|because|since|as) /i.test(bare) || WANTS_TO_KNOW.test(bare)) return null;
    if (WHY_NOT.test(bare)) return "ask";
    if (/^(?:how|why|what|when|who|which|where)\b/i.test(bare) && /\?$/.test(text)) return null;
    return SUGGESTED.test(bare) ||
      LETS.test(bare) ||
      CANNOT_WAIT.test(bare) ||
      FORBIDDEN.test(bare) ||
      WOULD_BE_GOOD.test(bare)
      ? "ask"
      : null;
  },
};
