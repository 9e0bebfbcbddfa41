import type { KindRule } from "../kind-rule";

/** "I'm free on Friday morning": when somebody is there binds them to nothing. */
const WHEN_FREE =
  /^(?:i|we)(?:['’]m| am|['’]re| are|['’]ll be| will be) (?:also |only |still |usually |mostly |quite )?(?:free|available|flexible|(?:away|off|out|out of (?:the )?(?:office|town)|on (?:holiday|leave|tour)|at home|around|in|here|there|in the (?:office|yard|shop|workshop|house)|at my desk)(?: all (?:day|week|morning|afternoon|evening)|(?= (?:on|until|from|till) )))\b(?!.*\b(?:please|you|and|to (?:do|help|take|come|drive|cover))\b)/i;

/** "I have to tell my director on Friday": why an answer is wanted. */
const OWN_DUTY =
  /^(?:i|we)(?:['’]ve got| have| need| must| will have) ?(?:to )?(?:tell|inform|report|answer|decide|let \w+ know|give \w+ an answer)\b(?!.*\b(?:you|your|so|by|before|until)\b)/i;

/** "I'll be at the yard all day": where somebody is, and for how long. */
const WHEREABOUTS =
  /^(?:i|we)(?:['’]ll| will) be (?:at|in|on|out|off|away) (?!your\b|you\b|touch\b)[^,;?]{0,50}\b(?:all (?:day|morning|afternoon|week)|this (?:morning|afternoon|evening|week)|today|tomorrow|until \w+|from \w+ (?:to|until|till) \w+|next week)[.!]?$|^(?:i|we)(?:['’]ll| will| shall|['’]m| am|['’]re| are)(?: be)? (?:a (?:bit|little) |(?:\w+ ){0,5}(?:minutes?|hours?|hour) )late\b/i;

/** "I'll be off tomorrow and back on Wednesday", "I won't be reachable before noon": who is away binds themselves to nothing. */
const AWAY =
  /^(?:i|we)(?:(?:['’]ll| will| shall)(?: (?:also|probably|mostly))? be|['’]m| am|['’]re| are) (?:away|off(?! to\b)|out of (?:the )?(?:office|town|country|reach)|on (?:holiday|leave|vacation|the road|a (?:course|trip|train|plane))|abroad|travelling|working from home|back(?! to\b| with\b| in touch\b|.*\bwith (?:the|a|your)\b)|closed|unavailable|in (?:meetings|bed)|at (?:a|the) (?:conference|fair|dentist|doctor(?:['’]s)?|hospital))\b(?!.*\b(?:so|please|could you|can you|you|(?:will|['’]ll|to|can|and) (?:bring|send|call|ring|do|let|take|write|start|finish|fix|see|look|check|get|pick|collect))\b)[^?]*$|^(?:i|we)(?: won['’]t| will not| shall not| can['’]t| cannot) be (?:reachable|available|reached|online|in the office)\b(?!.*\b(?:so|please)\b)/i;

/** "No idea, I'm asking Lev": who asks others asks nothing of the reader. */
const ASKING_OTHERS =
  /^(?:[Nn]o idea,? |[Nn]ot sure,? |[Dd]on['’]t know,? )?(?:[Ii]|[Ww]e)(?:['’]m| am|['’]re| are) (?:just |also |still |now )?asking (?:him|her|them|around|\p{Lu}\p{L}+)(?=[.,!;]|$)/u;

/** "Our office will be closed on Friday for the holiday." */
const CLOSED =
  /^(?:our|the) (?:office|shop|phones?|doors?|switchboard|workshop|yard|counter|school|library|museum|warehouse|practice|canteen)s? (?:will be|is|are|remains?) (?:also )?(?:closed|shut|off|unstaffed) (?:on|from|over|between|for the holidays?|tomorrow|next|this|in the|at|after|before)\b(?!.*\b(?:because|due to|since|please|so)\b)/i;

/** "Delivery takes three to five days": how long something takes as a rule. */
const LASTS =
  /^(?!i\b|we\b|you\b)(?:[\p{L}-]+ ){1,4}takes? (?:about |around |roughly |up to |at least )?(?:\d+|a|an|one|two|three|four|five|six|ten|half an?)(?:(?:-| to | or )(?:\d+|two|three|four|five|six|ten))? (?:working )?(?:minutes?|hours?|days?|weeks?|months?|mornings?|nights?)(?: (?:to \p{L}+|as a rule|by (?:road|sea|rail|air|post)|on average))*[.!]?$/iu;

/** "A missed visit costs £18": what is so in general. */
const COSTS = /^(?:an?|each|every) (?:[\p{L}-]+ ){1,5}costs? (?:an? (?:extra|fee)|extra|(?:about |around )?[£€$\d])/iu;

/** "The last two runs passed without a hitch", "she fell ill and was replaced by her sister": all is well, or has been put right. */
const GOES_WELL =
  /\bwithout (?:a|any|the slightest) (?:hitch|hiccup|snag|incident|bother)\b|\b(?:in|of) no (?:bother|trouble|danger)\b|\bno (?:bother|trouble|problem) at all\b|\band (?:will be|has been|was|is being) replaced by\b|\b(?:nobody|no one|none of (?:you|us|them)) (?:is|are|was|were|will be) (?:in trouble|hurt|to blame|at fault|worried|angry)\b/i;

/** "Personally I'd go for the second": an opinion. */
const OPINION =
  /^(?:(?:personally|if you ask me|for my part|myself|to my mind),? )?(?:i(?:['’]d| would) (?:say|let|go for|opt for|plump for|vote for|be inclined|guess|imagine)|my (?:own )?(?:vote|money|choice) (?:is|would be|goes))\b(?!.*\b(?:please|could you|can you)\b)/i;

/** "Come by for a pint if you're ever down this way": nobody waits for it. */
const IF_EVER = /\bif you(?:['’]re| are| should| do)? (?:ever|happen to)\b(?!.*\b(?:please|let (?:me|us) know)\b)/i;

/** "If it comes later we cannot keep the week": what happens otherwise. "Unless you send it we cannot start" asks for it. */
const OTHERWISE =
  /^(?:(?:and|but) )?(?:if|should) (?!(?:you|we|i)\b[^,;?]{0,20}\b(?:not|never)\b|(?:you|we|i) (?:don|haven|didn|won|can)['’]t\b)[^?]*\b(?:i|we) (?:can ?not|can['’]t|could(?: not|n['’]t)|will not|won['’]t) (?!.*\bplease\b)|^(?:then |and )?(?:i|we) (?:can ?not|can['’]?t|won['’]?t|could(?: not|n['’]?t)) [^?]*\bif (?:it|they|that|this|the \w+) (?!.*\bplease\b)/i;

/** "Should we not hear from you, we will assume that you accept": what silence will be taken for. */
const BY_SILENCE =
  /^(?:if|should|unless) (?:we|i) (?:do not |don['’]t |not )?(?:hear|receive|get)\b[^?]*\b(?:we|i)(?:['’]ll| will| shall) (?:assume|presume|take it|take that|consider|treat|regard)\b/i;

/** "I'm writing this with my feet in the sea": from where somebody writes, not why. */
const WRITTEN_FROM =
  /^(?:i|we)(?:['’]m| am|['’]re| are) (?:writing|typing|dictating|scribbling) (?:this|these lines|to you from)\b(?!.*\b(?:to (?:ask|beg|complain|tell|say|let|inform|request|remind|report|find|see|know|protest|warn)|because|about|regarding|concerning|that (?:you|we|i|the)|please|you)\b)/i;

/** "Our photographer could come out on Wednesday or Thursday": an offer of days. */
const COULD_COME =
  /^(?:our|my|the|his|her) (?:[\p{L}-]+ ){1,3}(?:could|might|would be able to) (?:come|call|be there|do it|drop by|pop)\b/iu;

/** "I would have to stop the feeding": what would be, in another case. */
const WOULD_HAVE_TO = /\b(?:i|we)(?:['’]d| would) have to (?!(?:know|have|see|get|hear|receive|insist|ask)\b)/i;

/** "I have left them in the compound under a sheet": where things lie now. */
const LEFT_THERE =
  /^(?:so |and )?(?:i|we)(?:['’]ve| have) (?:left|put|placed|stacked|stored|parked) (?:it|them|these|those|(?:the|your|everything) ?[\p{L}-]*) (?:in|at|on|under|behind|beside|with|by|inside|outside)\b(?!.*\b(?:please|could you|can you|so that you|for you to)\b)/iu;

/** "An appointment will be proposed to you in due course": by nobody, and on no day. */
const IN_DUE_COURSE = /\bwill be (?:[\p{L}-]+ ){1,5}in due course\b/iu;

/** "The tent people hold one for us until Monday": what others keep ready. */
const HELD_FOR_US =
  /^(?:the|our|their|they|he|she|it)\b.{0,40}\b(?:holds?|keeps?|(?:is|are) (?:holding|keeping)) .{2,40}\bfor us (?:until|till)\b(?!.*\b(?:so|please|could you|can you)\b)/iu;

const NOTHING_ASKED = [
  WHEN_FREE,
  OWN_DUTY,
  WHEREABOUTS,
  AWAY,
  CLOSED,
  ASKING_OTHERS,
  LASTS,
  COSTS,
  GOES_WELL,
  OPINION,
  IF_EVER,
  OTHERWISE,
  BY_SILENCE,
  WRITTEN_FROM,
  COULD_COME,
  LEFT_THERE,
  IN_DUE_COURSE,
  HELD_FOR_US,
];

/** Where somebody is and when, how things are as a rule, an opinion, or what would be otherwise: it sounds like more, and nobody waits for it. */
export const nothingAsked: KindRule = {
  name: "only how things are",
  confidence: 1,
  says: "nothing",
  find({ text }) {
    if (NOTHING_ASKED.some((pattern) => pattern.test(text))) return "nothing";
    return WOULD_HAVE_TO.test(text) && !/\?$/.test(text) ? "nothing" : null;
  },
};
