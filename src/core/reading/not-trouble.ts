/** What is settled, or was only feared. */
const SETTLED =
  /\b(?:(?:no|nobody|no one|none|never|hardly|not a) (?:\w+ ){0,3}(?:complain\w*|complaints?|damaged?|broken|missing|wrong|late|lost)|no (?:problem|trouble|damage|delay|complaints?|leaks?|faults?|cracks?|injur\w+|harm|errors?|mistakes?|accidents?|losses)|never (?:(?:had|have|has|gave|given|caused|been) )?(?:\w+ )?(?:a|any|one|an) (?:\S+ )?(?:trouble|problems?|complaints?|accident|reason to)|nothing (?:was |is )?(?:at all )?the matter|without (?:a|any|one) (?:scratch|hitch|hiccup|word|problem|mistake|accident|complaint|(?:further |any )?questions?|(?:further |any )?(?:comment|objections?|reservations?|changes))|(?:above|ahead of|better than) (?:the |our )?(?:plan|schedule|target|expect\w+|last year)|(?:nobody|no one|nothing|none) (?:will|would|is going to) (?:lose|be|suffer|miss|go)|nothing (?:was |is )?(?:broken|damaged|lost|stolen|spoilt|missing)|not a problem|nothing (?:is )?wrong|(?:do|does|did|will) not affect|(?:doesn|didn|don|won)['’]t affect|(?:strike|storm|dispute|worst|crisis|emergency|trouble|shortage) (?:is|was) over|(?:was|were|has been|have been|is|are) (?:now |all |since |already |soon |quickly )?(?:repaired|mended|cured|put right|paid back|refunded|found again|recovered|lifted|made up)|can(?:['’]t|not) complain|sorted(?: now| out)?|fixed(?: now)?|solved|resolved|all (?:fine|good|well) (?:now|again|today|here|so far|on my side)|works again|mended|replaced already|may be (?:fined|charged|refused|rejected|liable|removed)|as (?:you know|agreed|planned|requested|ordered|usual|expected|you asked|discussed)|in case|to avoid|avoid|prevent|would have|might have|luckily|fortunately|without (?:delay|trouble|damage)|(?:is|are) (?:back|up) (?:again|and running)|not (?:a|the) (?:catastrophe|disaster|tragedy|drama|end of the world)|(?:missing|beside) the point|a problem only (?:if|when)|only a problem (?:if|when)|(?:they|you|he|she|we|people) (?:is|are|was|were) smoking|shouldn['’]t be (?:a|any|too|such)|but (?:(?:very|quite|otherwise|all|is|was|in) )*(?:happy|cheerful|content|unhurt|safe and|worth it|in one piece|none the worse))\b/i;

/** What somebody did not think, know or want is no fault of a thing, and nothing that was not heard either. */
const NOT_MEANT =
  /(?:^|\b(?:i|we|you|he|she|they|people|one)\b[^.;]{0,20})\b(?:didn['’]t|did not|haven['’]t|hasn['’]t|wasn['’]t|weren['’]t) (?:think(?:ing)?|want|wanted|know|known|reali[sz]e|mean|meant|say|said|hear|heard|see|seen|notice|aware|sure|remember|expect|expecting|understand|ask|asked)\b/i;

/** "My apologies for the delay": what it is about is over, or told elsewhere. */
const APOLOGY = /^(?:(?:my|our|many|sincere) )*(?:apologies|apologi[sz]ing)\b|^(?:i|we) (?:do )?apologi[sz]e\b/i;

/** Whether a clause reports no trouble, whatever words it has: it asks, supposes, cites, or says that all is well. */
function isNoTrouble(text: string): boolean {
  return (
    /\?$/.test(text) ||
    /^["“>]/.test(text) ||
    /^(?:if|should|unless|when|whether|in case|failing|otherwise|or else) /i.test(text) ||
    SETTLED.test(text) ||
    NOT_MEANT.test(text) ||
    APOLOGY.test(text)
  );
}

/** What a clause tells, without what it only supposes: "we pay for a new lock if it does not turn up". Empty where it tells of no trouble. */
export function toldIn(text: string): string {
  // Every rule asks the same of one clause, one after the other.
  if (text !== last.text)
    last = {
      text,
      told: isNoTrouble(text)
        ? ""
        : text.replace(
            /,?\s\b(?:if|unless|in case|until|before) (?:it|they|he|she|you|we|i|the|there|nothing|anything|that|this|our|your)\b.*$/i,
            "",
          ),
    };
  return last.told;
}

let last = { text: "", told: "" };
