import { taggedWords } from "./words";

/** Verbs in which letters give orders; from everyday letters of many trades, not from a list of anybody's. */
const VERBS = new Set(
  `accept add address adjust advise agree aim allow amend announce answer apply appoint approve arrange ask assemble assign attach
  attend avoid bake be bear beat become begin bill bind block boil book borrow bring brush build burn buy call cc cancel carry cast
  catch change charge chase check choose chuck circulate claim clarify clean clear close coat collect combine come compare complete
  confirm connect consider consult contact continue cook copy correct count cover create cross cut deal decide decorate deduct
  defrost delay delete deliver describe design destroy dig dip direct discuss dispatch display distribute divide do draft draw
  drill drive drop dry dust edit email empty enclose end enlarge enquire ensure enter equip escort estimate examine exchange
  excuse explain export extend feed fetch file fill filter finalise finalize find finish fit fix fold follow forward frame free
  freeze gather get give go grease grind guard hand handle hang have heat help hide hire hold host ignore include increase inform insert
  inspect install insure invite invoice iron issue join keep kick label lay lead learn leave lend let level lift light limit link
  list listen load lock look lower mail maintain make mark match measure meet mend mention merge mix modify monitor mount move
  name note notify number offer oil open order organise organize pack paint park pass patch pause pay peel phone photograph pick
  place plan plant play plug point polish post pour practise prepare present press price print proceed process produce promise
  protect provide publish pull pump purchase push put query quote raise reach read rearrange rebook recalculate receive recheck
  record recover recycle reduce refer refill refrain refund refuse register regard reject release remember remind remove rename
  rent reorder repair repeat replace reply report request rerun reschedule reserve reset resend respond restart restore resubmit
  return reverse review revise rewrite ring rinse roll rotate round run save scan schedule screw scrub seal search seat secure see
  select sell send separate serve set settle sew shake share sharpen shift ship shorten show shut sign sit skip sort speak specify
  spend split spray spread stack stamp stand start state stay stick stir stitch stock stop store strip study submit subtract sum
  supply support swap sweep switch take talk tape taste text throw toss ping pop dump ditch bin grab nudge shove scrap mop tell test thin think tick tidy tie tighten tip top touch trace train
  transfer translate transport treat trim trust try tune turn type unload unpack update upgrade upload use verify visit wait wake
  walk warm warn wash watch water weigh weld widen wipe withdraw wrap write`
    .split(/\s+/)
    .filter(Boolean),
);

const STATEMENT_START =
  /^(?:i|we|he|she|it|they|there|this|that|these|those|the|a|an|my|our|your|his|her|their|if|when|as|since|because|although|while|yes|no|not|thank|thanks|sorry|welcome|nothing|everything|all|both)\b/i;

/** Verbs that are more often adjectives and nouns where nothing stands between them and a noun. */
const ALSO_ADJECTIVES = new Set(
  "water oil paint sand salt tape dust frame boil bill warm clear light dry thin open free empty clean level number cross guard point place plan stock lead limit name pump train treat trim tip top place post press price process produce purchase record report request return review rinse show stack stamp stand start state stick stock store strip study support surface switch".split(
    " ",
  ),
);

/** "Say you have two", "Don't know much", "Check out …", "Test dishes done": orders in form alone. */
const NO_ORDER =
  /^(?:\w+ \w+ (?:done|ready|finished|sent|attached|booked|fixed|below)\b|look at .*!$|(?:don['’]t|do not) (?:lose sleep|thank|mention|ask me|worry|panic|be (?:shy|sad|cross)|bother|you\b)|say (?:you|we|that|it)|suppose|imagine|assume|consider (?:yourself|it done)|guess|think (?:of|about) (?:it|me|us) as|read on|see (?:also|you|the (?:attached|list|below)|attached|below|enclosed|my|our)|check (?:it )?out|look at (?:that|this)|notice|take a look|(?:put|throw|do|did) my (?:back|knee|shoulder|foot|neck|hip|wrist|ankle)|go figure|fancy|mind you|trust me|believe me|(?:don['’]t|do not|didn['’]t) (?:know|care|think|get me|suppose|see|understand|believe|mind)|just (?:got|had|saw|heard|to|that|because|in|a|an|as|wanted|wondering)|let['’]s|never (?:mind|heard|seen|had|been|thought)|speaking|talking|sounds|looks|seems|works|be (?:that|it) as|(?:talk|speak) to you (?:soon|later|then|on|tomorrow|next)|have a (?:good|nice|great|lovely|safe|wonderful)|have fun|come (?:to think|what may)|find (?:attached|enclosed|below)|enjoy)\b/i;

/** Words after which the first word was an order: what is acted on, or where. */
const OBJECT =
  /^(?:the|a|an|your|our|my|his|her|their|its|this|that|these|those|me|us|him|them|it|all|both|each|every|some|any|no|one|two|three|whatever|whoever|everything|everyone|everybody|nothing|in|on|to|at|with|between|among|against|along|near|under|across|around|by|up|down|out|off|back|over|by|about|round|away|through|into|together|only|also|not|as|if|what|which|who|how|when|where|whether|sure|and|or|[\p{Lu}\d].*)$/u;

/** A verb that says how something is: then the first word was its subject. */
const FINITE =
  /^(?:[^\s,]+ ){1,4}(?:is|are|was|were|has|have|had|will|would|can|could|may|might|should|must|did|does|do|looks?|comes?|came|went|goes|works?|['’]s)\b/i;

/** "Have Marco measure the doorway", "get somebody to look at it". */
const HAVE_SOMEBODY =
  /^(?:[Hh]ave (?:\p{Lu}\p{L}+|someone|somebody|(?:the|your|our) \p{L}+) (?!been|had|seen|gone|made|said)\p{Ll}+(?<!ed|ing)\b|[Gg]et (?:\p{Lu}\p{L}+|someone|somebody|(?:the|your|our) \p{L}+) to \p{L}+)/u;

/** Characters after the first word that the tagger needs. */
const TAGGED = 40;

/** Words that begin many clauses and are no orders. */
const NO_VERB =
  /^(?:and|but|or|so|for|from|with|without|in|on|at|by|to|of|about|after|before|until|under|over|between|during|through|despite|however|also|then|now|here|today|tomorrow|yesterday|maybe|perhaps|well|very|most|more|some|any|no|none|each|every|many|much|few|one|two|three|what|who|which|where|how|why|whose|only|even|still|yet|again|too|mr|mrs|ms|dr|dear|hi|hello|please|can|could|would|will|shall|should|may|might|must|is|are|was|were|am|has|have|had|do|does|did|than|because|though|although|while|whereas|once|unless|people|folks|guys|things|fun|nice|great|cool|weird|wow|horrors?|good|bad|same|first|last|next)$/i;

/** Whether a word can be a verb after "please"; letters use the same words again and again, and the tagger is slow. */
const verbs = new Map<string, boolean>();
const MOST_VERBS = 20_000;

function canBeVerb(word: string): boolean {
  const known = verbs.get(word);
  if (known !== undefined) return known;
  const [, tagged] = taggedWords(`Please ${word} it`);
  const can = tagged?.tag === "VERB" && tagged.lemma === word;
  if (verbs.size < MOST_VERBS) verbs.set(word, can);
  return can;
}

/**
 * Whether a clause gives an order: it begins with the plain form of a verb and goes on with what is acted on.
 * @param isAddressed whether a name was called right before it ("Emeka, label the boxes"): then less is needed
 */
export function isImperative(text: string, isAddressed = false): boolean {
  if (STATEMENT_START.test(text) || NO_ORDER.test(text)) return false;
  // "Leave it with me" is a promise in an order's clothes; "keep it as long as you like" allows.
  if (
    /^leave .{2,40} (?:with|to) (?:me|us)\b|^let me (?!know|have|see)|^give me (?:until|till|a (?:day|moment|week|minute|few)|an hour|two|three)\b|^(?:hope|count me|consider it|expect (?:my|our|a|an|me|us))\b/i.test(
      text,
    )
  )
    return false;
  if (
    /\b(?:as|if|when(?:ever)?|whatever) (?:long as )?you (?:like|want|wish|please|feel like|fancy|care)\b/i.test(text)
  )
    return false;
  const better = /^(?:[Bb]etter|[Bb]est) (?:not )?(?:to )?(?=\p{Ll})/u.exec(text);
  if (better) return VERBS.has(/^\p{L}+/u.exec(text.slice(better[0].length))?.[0] ?? "");
  if (HAVE_SOMEBODY.test(text)) return true;
  if (text.endsWith("?")) return false;
  if (/^(?:do not|don['’]?t|kindly)\s+\w+/i.test(text)) return true;
  const soft = /^(?:just|simply|always|never)\s+([\p{L}-]+)/iu.exec(text);
  if (soft) return VERBS.has(soft[1]!.toLowerCase());
  const [first = "", second = ""] = text.split(/\s+/);
  if (second === "") return false;
  if (
    /^(?:be so (?:kind|good)|be sure to|do (?!(?:you|we|i|they)\b|\w+ (?:not )?(?:think|know|mind))\w+)\b/i.test(text)
  )
    return true;
  const verb = first.toLowerCase().replace(/[^\p{L}-]/gu, "");
  if (VERBS.has(verb) && /^\p{L}+(?:-\p{L}+)?$/u.test(first)) {
    if (verb === "do" && /^(?:you|we|i|they|he|she)$/i.test(second)) return false;
    if (verb === "be") return /^(?:at|in|on|there|here|ready|back|outside|sure|careful|prepared)$/i.test(second);
    if (verb === "have" && !/\b(?:ready|sent|done|\w+ed|\w+en|made|put|cut|brought)\b/i.test(text)) return isAddressed;
    // "Sort by shelf is more than I hoped for."
    if (/^\S+ (?:by|in|on|at|with|to) \S+ (?:is|are|was|were|has|have)\b/i.test(text)) return false;
    if (OBJECT.test(second.toLowerCase()) || /^\p{Lu}/u.test(second))
      return !(verb === "number" || (verb === "clear" && /^about$/i.test(second)));
    if (FINITE.test(text)) return false;
    return isAddressed || (!/^(?:of|for|from|about)$/i.test(second) && !ALSO_ADJECTIVES.has(verb));
  }
  if (!/^[\p{L}-]+$/u.test(first) || /^(?:love|regards|greetings|best|kind|cheers|bye|ps)$/i.test(first)) return false;
  // The tagger is slow: it is asked only where everything else fits.
  const fits = isAddressed || OBJECT.test(second.toLowerCase());
  if (
    !fits ||
    FINITE.test(text) ||
    /^(?:and|or)$/i.test(second) ||
    NO_VERB.test(verb) ||
    /(?:ed|ing|s)$/i.test(verb) ||
    !canBeVerb(verb)
  )
    return false;
  // A word that is no usual order is one where it can be nothing else after "please".
  const [, tagged, next] = taggedWords(`Please ${verb} ${text.slice(first.length).trim().slice(0, TAGGED)}`);
  return tagged?.tag === "VERB" && tagged.lemma === verb && next !== undefined;
}
