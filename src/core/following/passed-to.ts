import { namedIn } from "../reading/kind-rule";
import type { People, Person } from "../reading/slip";

const TAKES_OVER =
  /^(?:['’]s\b.{0,40}\b(?:he|she|they)(?:['’]ll| will)|['’]s (?:\w+ )?(?:business|desk|department|job|thing|area|field)\b)|^,?\s*(?:(?:in copy|cc['’]?d|our \w+|my \w+)[,)]?\s*)?(?:will|['’]ll|can|could|does|do|is going|is (?:writing|preparing|doing|working on|looking|taking|making|drawing|handling|seeing|dealing|sorting|sending|bringing|arranging|going to|in charge|responsible|the (?:right|best) (?:person|one)|your (?:contact|man|woman)|better placed)|has (?:to|taken|already)|(?:from|in|at) (?:the |our )?\w+(?: \w+)? (?:will|['’]ll|is going|is dealing|takes|looks|deals)|had (?:it|them) last|takes?|handles?|decides|deals|keeps|runs|covers|manages|orders|drives|plans|works out|works on|prepares|makes|collects|checks|arranges|sees to|looks into|looks? after|sends?|brings?|writes?|knows?|business|desk|department|please|has it)\b|^ [^.;!?]{2,50}? and (?:will |then )?(?:sends?|tells?|writes?|rings?|calls?|lets?|brings?|answers?|reports?|gets? back|comes? back)\s+(?:to )?(?:you|it|them|the|your)\b/i;
const GIVEN_TO =
  /\b(?:from|by|to|over to|with|contact|turn to|call|ring|phone|e-?mail|told|informed|(?:that|this|it) (?:would be|will be|['’]d be|['’]ll be)|(?:is|['’]s|are) (?:something |a matter |a question |one )?for|ask|asked|give|gave|given|hand|handed|pass|passed|leave|left|lives? with|let|have)\s+(?:my colleague\s+|our \w+\s+)?$/i;
/** "For the report ask the garage", "the passes are not mine": somebody else is named for it, if only by what they are. */
const ELSEWHERE =
  /^(?:(?:for|about|as to) (?:the|that|this|those|these) .{1,40}|please|better|best|there)?[\s,]*(?:ask|contact|try|turn to|write to|speak to|talk to|get in touch with|take (?:this|it|that) up with|refer (?:this|it|that) to) (?:the|our|their|mr|mrs|ms|dr)\b|\b(?:goes|has to go|must go) (?:through|via|over) (?:our|my|the)\b|\b(?:is|are)(?: not|n['’]t) (?:mine|ours|my|our)\b/i;
/** "I have passed this on to our accounts department." */
const FORWARDED =
  /\b(?:passed|forwarded|handed|given|sent) (?:it|this|that|them|your \w+)(?: on| over)? to (?:our|the|my|mr|mrs|ms|dr)\b/i;
/** "As to the banner I have to ask our people": it stays with whoever asks them. */
const ASKS_FIRST =
  /\b(?:i|we)(?:['’]ll| will| shall| have to| must| need to| am going to| will have to) (?:just |first )?(?:ask|check with|speak to|talk to|consult)\b|\blet me (?:just |first )?(?:ask|check with|speak to|talk to)\b/i;
/** "Ruben will know, I'll ask him." */
const ASKS_THEM = /\b(?:i|we)(?:['’]ll| will| shall) (?:just |first )?ask (?:him|her|them)\b/i;
/** "The caretaker will call you": somebody who is named by what they do. */
const BY_TRADE =
  /^(?:and |so |but |then )*(?:the|our|my|a) (?:\w+ ){0,2}?(?:\w{2,}(?:er|or|ist|man|woman|ian|lord|lady|ant)|council|office|department|bank|team|boss|colleagues?|chef|cook|firm|factory|insurance|garage|parish|board|service|sales|mechanic)s? (?:(?:will|['’]ll|is going to|are going to) (?:\w+ )?(?:call|ring|phone|write to|tell|contact|answer|get in touch|get back|come back|let you know|deal with|take care|see to|look after|look into|handle)\b|(?:takes? care of|looks? after|deals? with|handles?|(?:is|are) (?:responsible|in charge)|decides?)\b)/i;
/** "Sanna does the prices, I've asked her." */
const HAS_BEEN_ASKED =
  /\b(?:i|we)(?:['’]ve| have) (?:asked|sent|told|forwarded|given|passed|put|mailed|informed) (?:(?:it|this|that|your \w+) (?:on )?to )?(?:her|him)\b/i;
/** "Please turn to Agnes, she signs the contracts": said of what was asked, though it is put as an ask. */
const SENT_TO_SOMEBODY =
  /^(?:(?:but|so|and|then|you|you['’]d|please|could|would|better|need|to|should|have|can|best|just|[Pp]lease|[Yy]ou|[Ss]o|[Bb]ut|[Tt]hen)[\s,]+)*(?:[Aa]sk|[Cc]ontact|[Tt]urn to|[Ww]rite to|[Ss]peak to|[Tt]alk to|[Aa]rrange (?:it|that|this) with|[Tt]ake (?:it|that|this) up with) \p{Lu}\p{L}+(?: \p{Lu}\p{L}+)?(?:[.!]?$|,? (?:about|for|on) (?:it|this|that|them)\b|, (?:he|she|they)\b|, who\b)/u;
/** "I'm not the right person for this, Nora is." */
const NOT_ME =
  /\b(?:not (?:the|your) (?:right |best |proper )?(?:person|one|man|woman|contact)|wrong (?:person|address|department|desk))\b/i;
const COLLEAGUE = /\b(?:my|our|a) (?:colleague|boss|bookkeeper|partner|office|workshop|\w+ department)\b/i;

/** Whether a thing was given on to somebody who is named by what they are. */
export function isHandedOn(text: string): boolean {
  return FORWARDED.test(text);
}

/** Whether an ask only says who else is to be asked: it passes on what was asked, and opens nothing. */
export function isSentElsewhere(text: string): boolean {
  if (SENT_TO_SOMEBODY.test(text)) return true;
  return ELSEWHERE.test(text) && /\b(?:it|this|that|them|these|those|for|about)\b/i.test(text);
}

/** Who takes a thing over; `isPlain` where the words say nothing else. */
export interface PassedTo {
  readonly person: Person | null;
  readonly isPlain: boolean;
}

/** "Nora will let you know", "Nora is responsible" */
const PLAINLY_TAKES =
  /^(?: (?:from|in|at) (?:the |our )?\w+)?(?:(?: (?:will|can|could|is going to|would be able to)|['’]ll) (?:\w+ )?(?:tell|let you|give you|write|call|ring|answer|get back|get in touch|come back|contact|help|deal|take care|look after|see to|send|bring|deliver)\b| (?:is (?:responsible|in charge|dealing|taking care|looking after)|looks after|deals with|takes care|handles|has taken (?:it |this )?over|has (?:it|that|this)(?: in hand)?[.!]*$|(?:is|['’]s) (?:on|at|doing) it\b|volunteer(?:s|ed)|(?:has |have )?offered to|(?:would|will|should|may|might) know\b|decides? (?:that|this|it)|takes? it(?: on)?\b|has the (?:diary|list|book|calendar|papers|key|figures|numbers|details)\b)|['’]s (?:on|at|doing) it\b)/i;
/** "The wine cellar is Pip's." */
const IS_THEIRS =
  /^['’]s(?: (?:job|business|department|area|field|desk|baby|thing|patch|territory|world|responsibility|call|decision|corner|side))?[\s.!]*$/i;
/** "Please ask Nora", "I've passed it to Nora" */
const PLAINLY_GIVEN =
  /\b(?:ask|contact|turn to|speak to|write to|talk to|up to|(?:passed|handed|given|forwarded|gave|reported) (?:it|this|that|them|your \w+)(?: on| over)? to|arrange (?:it|that|this) with)\s+$/i;
/** "I've put Nora on it", "one for Nora" */
const PUT_ON_IT = /\b(?:put|set)\s+$/i;
const ON_IT = /^\s+(?:on|onto|to) (?:it|that|this)\b/i;
const ONE_FOR = /^(?:(?:this|that|it)(?:['’]s| is)? )?(?:one|a case|a matter|something|a job) for\s+$/i;

/** "I've asked Nora to send it": unlike "I've asked Nora for the file" */
const ASKED = /\b(?:have|['’]ve) (?:asked|told|informed)\s+$/i;
const TO_DO_IT =
  /^\s+to (?:send|do|deal|call|write|bring|look|get|take|see|handle|answer|tell|let|arrange|order|come)\b/i;
const ASKS_WHETHER = /^ (?:whether|if)\b/i;
/** "I had to speak to Nora": no word of handing on. */
const SPEAKS_TO = /\b(?:i|we)(?:['’](?:ve|ll|d))?\b.*\b(?:ask|contact|turn to|speak to|write to|talk to)\s+$/i;

/**
 * Who takes a thing over by the words of a segment: somebody named who is neither the writer nor the one who asked; `person`
 * is null where it is "my colleague" without a name. Null where nobody takes it over.
 */
export function passedTo(text: string, people: People, writer: string, askers: ReadonlySet<string>): PassedTo | null {
  const named = namedIn(text, [...people.team, ...people.outside]).filter(
    ({ person }) => person.address !== writer && !askers.has(person.address),
  );
  if (ASKS_THEM.test(text)) return null;
  for (const { person, at, end } of named) {
    if (IS_THEIRS.test(text.slice(end)) && /\b(?:is|are)\s+$/i.test(text.slice(0, at)))
      return { person, isPlain: true };
    if (PLAINLY_TAKES.test(text.slice(end))) return { person, isPlain: true };
    const before = text.slice(0, at);
    const isGiven = PLAINLY_GIVEN.test(before) && !ASKS_FIRST.test(text) && !SPEAKS_TO.test(before);
    // "Ask Miriam whether she can take them": she is asked something else.
    if (ASKS_WHETHER.test(text.slice(end))) continue;
    if (PUT_ON_IT.test(before) && ON_IT.test(text.slice(end))) return { person, isPlain: true };
    if (ONE_FOR.test(before) && /^[\s.!]*$/.test(text.slice(end))) return { person, isPlain: true };
    if (isGiven || (ASKED.test(before) && TO_DO_IT.test(text.slice(end)))) return { person, isPlain: true };
  }
  if (named[0] && (NOT_ME.test(text) || HAS_BEEN_ASKED.test(text) || SENT_TO_SOMEBODY.test(text)))
    return { person: named[0].person, isPlain: true };
  for (const { person, at, end } of named)
    if (TAKES_OVER.test(text.slice(end)) || GIVEN_TO.test(text.slice(0, at))) return { person, isPlain: false };
  if (named.length === 0 && BY_TRADE.test(text)) return { person: null, isPlain: true };
  if (named.length === 0 && ASKS_FIRST.test(text)) return null;
  if (named.length === 0 && COLLEAGUE.test(text) && /\b(?:will|['’]ll|knows?|does|takes?|has)\b/i.test(text))
    return { person: null, isPlain: false };
  if (named.length === 0 && (ELSEWHERE.test(text) || FORWARDED.test(text))) return { person: null, isPlain: false };
  return null;
}
