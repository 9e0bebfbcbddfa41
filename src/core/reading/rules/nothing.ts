import type { KindRule } from "../kind-rule";

const COURTESY =
  /\b(?:let (?:me|us) know if (?:you (?:have|need|want|would|require|get stuck|run into|are (?:unsure|not sure|in doubt))|you['’]d|there|anything|something|that|this)|(?:if|should) you have any (?:\w+ )?(?:questions?|queries|concerns)|any (?:questions|queries|problems),|feel free|(?:don['’]t|do not|never) hesitate|find (?:it )?(?:attached|enclosed)|(?:please )?(?:see|find) (?:the )?(?:attached|enclosed|below)|how are you|how['’]s (?:it going|things|life)|how was your|hope (?:you(?! (?:will|can|could|would|might) (?!be|have|enjoy|like|understand|agree|feel|get|forgive|not|find|see)\w+)|this|that|all|everyone)|looking forward|look forward|(?:nice|good|great|lovely) to (?:meet|see|hear)|happy to (?:help|discuss|answer)|(?:i|we)(?: am| are|['’]m|['’]re|['’]ll be| will be)(?: always| gladly)? at your disposal|thank you for|thanks for|(?:ta|cheers|much obliged) for|many thanks|congratulations|have a (?:good|nice|great|lovely)|take care(?! (?:of|to|that|not)\b)|take your time|see you (?:on|at|there|then|tomorrow|next|soon)|talk soon|speak soon|just so you know\b|ask(?:ing)? (?:you )?for your (?:understanding|patience|indulgence|forgiveness)|bear with|^(?:please |do |and |but |you must )*(?:excuse|forgive|pardon) (?:me|us|my|our|the|this|any)|sorry (?:for|about|to(?! (?:say|tell|report|inform|have to)\b))|with apologies|(?<!(?:body|one|people|those|man|woman|person|somebody|someone) )who knows(?= if|[.,!?]|$)|would you believe|can you believe|guess what|(?:lovely|nice|great|good|bad|awful|funny|odd|strange|typical|amazing|wonderful|beautiful|sad|hot|cold|pretty|exciting|ridiculous|absurd)\b[^?]{0,30}isn['’]t it|you know how|please note|let['’]s (?:hope|see)|rest assured(?! that (?:i|we|our|you))|never mind)\b/i;

const RELEASE =
  /\b(?:no longer (?:need|want|require)|(?<=^(?:i|we) )(?:don['’]t|do not) need (?:a|an|any|the|more)\b(?! (?:answer|reply)\b.* until)|no (?:more |further )?need (?:to|for)|nothing (?:further|more|else) is (?:needed|required|wanted)|no (?:further |immediate |special )?(?:action|reply|answer|response|payment|signature) (?:is |will be )?(?:needed|required|necessary|due)|(?:don['’]t|do not) (?:bother|worry|need to|(?:reply|answer|respond)(?: to (?:this|me|it))?(?=[,.!]|$))|needn['’]t|can (?:follow|wait|come) later|not (?:necessary|needed)|there is no hurry to|you don['’]t have to|forget about it|on my account)\b/i;

/** Consent to what somebody else has proposed: "Go ahead as you say." With an object of its own it asks ("go ahead with the order"). */
const CONSENT =
  /^(?:(?:yes|ok|fine|sure)\b[,.]?\s*)?(?:please\s+)?(?:do\s+)?go ahead(?:,? (?:as|then|whenever|if you like)\b[^,;]*)?\s*[.!]*$/i;

/** "Should anything be unclear, call me": help that is offered. */
const HELP_OFFERED =
  /^(?:should|if|in case) (?:(?:you|there|anything|something|any)\b.{0,40}\b(?:unclear|questions?|queries|doubts?|problems?|difficulties|wrong|help|further|need anything)\b)/i;

/** "Do call if anything is unclear", "I have to ask the bakers first", "the workshop needs until Monday": nothing is asked, nothing promised. */
const OPEN_DOOR =
  /^(?:please )?do (?:(?:call|ring|write|ask|say|shout|get in touch)(?=\s*(?:[.,!]|$|me\b|us\b|to (?:me|us)\b|if\b|should\b|when|any|at any|with (?:me|us|any)))|let (?:me|us) know(?! whether| which| what| when| how| who)|not hesitate)\b|\b(?:have|need|want) to (?:ask|check with|speak (?:to|with)|talk (?:to|with)|consult) .{1,40} first\b|\bneeds (?:until|till)\b|^please (?:see|find) (?:[\w'’-]+ ){0,4}(?:attached|enclosed)\b/i;

const ADVERT =
  /\b(?:(?:reply|answer|write|type|respond) (?:your \w+ )?above this line|unsubscribe|click here|view (?:this|it) (?:email |mail )?(?:in|online)|special offer|ask (?:us )?about our (?:[\w-]+ )?(?:offers?|deals|discounts|range)|how did we do\b|(?:please )?rate (?:our|your|us|this|the) (?:support|service|visit|experience|stay|purchase|order|answer)|leave (?:us )?a review|take (?:our|a|this) (?:\w+ )?survey|the ticket will be re-?opened|save (?:\d+|\w+) per ?cent|\d+ ?% off|per cent off|while stocks last|free delivery|limited time|don['’]t miss (?:our (?!deadline|train|slot|turn)|out\b)|sign up (?:now|today)|register now|shop now|read more|follow us|privacy policy|(?:is|are|strictly|private and) confidential|intended recipient|all rights reserved|copyright (?:\(c\) )?\d{4}|terms and conditions)\b/i;

/** Turns that have the form of an order or a duty, and ask nothing. */
const IDIOM =
  /^an? [\p{L}-]+ (?:should(?: not|n['’]t)|(?:should|must) never|must not|never) [a-z]+\b|^(?:(?:well|now|so|but|and|ok|oh|fine|good)[, ]+)*(?:(?:that|this|it)(?:['’]ll| will) do(?: (?:fine|nicely|for now|for us))?(?=[.!]*$)|we(?:['’]ll| will| shall) see(?=[.!]*$)|(?:i|we)(?:['’]ll| will) keep (?:watching|hoping|trying|wondering|dreaming|smiling)\b|believe it or not|believe (?:me|you me)|trust me|mind you|(?:do not|don['’]t) (?:mind me|get me wrong|ask me (?:why|how)|worry about me)|never mind|correct me if|think about it|guess what|take it or leave it|go figure|bear in mind(?!.*\b(?:may|must|has to|have to|should|needs? to)\b)|far be it|suffice it to say|truth be told|(?:[\p{L} ]{3,20}: )?don['’]t ask(?=[.!]*$)|(?:kindly |please )?(?:quote|state|cite) (?:our|this|the|your) (?:reference|file|case|order|customer)\b.*\b(?:correspondence|enquiries|inquiries|replies|replying|contacting|communications?)|come to think of it|rest assured(?! that (?:i|we|our|you) (?:will|shall|['’]ll))|make no mistake|(?:please |kindly )?keep this (?:e-?mail|mail|message|letter|receipt|confirmation|note) (?:safe|(?:for|with|in) your (?:records|files|papers))|consider (?:the|this|that|yourself|yourselves) (?:\w+ ){0,6}?(?:closed|done|settled|sorted|invited|warned|hugged|thanked)\b|i (?:just |only )?want(?:ed)? you (?:all |both )?to know\b|run,? (?:don['’]t|do not) walk|(?:please )?(?:do not|don['’]t) make me (?:laugh|cry|come|blush)|(?:please )?(?:do not|don['’]t) (?:lie awake|lose (?:any |your |too much )?sleep|wait up|lose heart|despair|panic|be shy|be too hard|take it (?:amiss|to heart)))\b|\b(?:you|we|they|it|that|everything|things|all) should (?:now |then |soon |all )?be (?:all set|all right|alright|fine|ok|okay|good(?: to go)?|safe|sorted)\b|\bthey (?:are|were|will be) (?:asked|requested|required|reminded|instructed) to\b/iu;

/** "Please ignore this": what was written is taken back. */
const TAKEN_BACK = /\b(?:ignore (?:this|that|it|my|the (?:last|previous|above))|disregard (?:this|that|my|the))\b/i;

const OFFER =
  /^(?:(?:keep|use|have|take|stay|borrow) .*\b(?:as long as|whenever|as much as|as many as) you (?:like|want|need)\b|if you(?: would)? (?:like|wish|prefer)\b|if you want,|if (?:it|that|this) (?:(?:would|might|will) help|helps)\b,? (?:i|we)\b|you (?:could|can|may|might) (?!(?:also )?(?:want|wish|like|need) to |also (?:tell|ask|remind|let|warn)\b)(?:also|always|of course|then|keep)\b|i could (?:also )?|we could (?:also )?)|\byou(?:['’]re| are| would be) (?:very |most |always |also |all )?welcome to [a-z]/i;

/** "Please accept the honey", "please accept our thanks": given, not asked. */
const GIVEN =
  /\bplease accept (?:my|our|the|this|these|a|an|with)\b(?!.*\b(?:invit|offer|terms|quot|request|order|change|appointment|proposal|delivery|parcel|by\b))/i;

/** "Thanks for sending it by noon", "many thanks if you can manage that", "we look forward to your answer by Friday". */
const ASKS_WITH_THANKS =
  /^(?:many |with )?(?:thanks|thank you)\b[^.?!]{0,120}\b(?:(?:by|before) (?:noon|tomorrow|tonight|\p{L}+day|the \d|\d)|if you (?:can|could|would))|\blook(?:ing)? forward to (?:your|an?|the) (?:\p{L}+ )?(?:answer|reply|comments?|decision|confirmation|payment|offer|figures)\b[^.?!]{0,80}\b(?:by|before|until) /iu;

/** Courtesy, releases, offers and adverts, which look like asks and are none. Stands first, so that no later rule takes them. */
export const nothing: KindRule = {
  name: "courtesy, a release or an advert",
  confidence: 1,
  says: "nothing",
  find(clause) {
    const { text } = clause;
    if ([ADVERT, OPEN_DOOR, IDIOM, GIVEN].some((pattern) => pattern.test(text))) return "nothing";
    if (RELEASE.test(text) && !/\bhold\b|\bdon['’]t send\b/i.test(text)) return "nothing";
    if (TAKEN_BACK.test(text) || CONSENT.test(text.trim()) || HELP_OFFERED.test(text)) return "nothing";
    if (
      OFFER.test(text) &&
      !/^if you(?: would)? (?:like|wish|prefer)[^,]{3,60}, (?:tell|let|say|ring|call|write|choose)\b/i.test(text) &&
      !/\b(?:please|could you|can you|must|ha(?:s|ve) to|needs? to)\b/i.test(text.slice(12))
    )
      return "nothing";
    const courtesy = COURTESY.exec(text);
    if (!courtesy || ASKS_WITH_THANKS.test(text)) return null;
    // "Thanks for the plan, could you also send …": what follows the courtesy may still ask.
    const rest = text.slice(courtesy.index + courtesy[0].length);
    return /\b(?:could|can|would|will) (?:you|someone|somebody)\b|\bplease (?!note|find|see|feel|do not hesitate)\w+/i.test(
      rest,
    )
      ? null
      : "nothing";
  },
};
