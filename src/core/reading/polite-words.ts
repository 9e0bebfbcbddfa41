/** "Could you", "would you mind", "it would help if": words that ask politely for something to be done. */
const POLITE =
  /^(?:so |and |but )?should(?:n['’]t| not) (?:we|somebody|someone|you|one of us)\b(?! (?:be|have)\b)|\b(?:won['’]t you|will you not) (?:please )?(?:help|come|join|tell|give|send|take|let|show)\b|^(?:how|what) about (?:asking|sending|calling|ringing|writing|telling|giving|getting|putting|using|moving|inviting|printing|ordering|booking|adding)\b|\b(?:are|is|would) (?:you|somebody|someone|anybody|anyone|one of you) (?:be )?able to (?!be\b|tell me (?:if|when|how|what|which|where|who|whether|why)\b)|\bis there (?:anyone|anybody|someone|somebody) (?:there |here )?who (?:could|can|would|might)\b|\b(?:might|would|will|is) it be possible (?:for you )?to (?:have|get|send|bring|move|come|deliver|change|borrow)\b|\bis it possible for you to\b|^(?:can|could|would|will) (?:anybody|all of you|each of you|one of us)\b|^(?:could|would|will) (?:everybody|everyone)\b|\bwould \w+ (?:\S+ ){0,6}if (?:you|somebody|someone|one of you) (?:could|would)\b|\ban? (?:\w+ )?(?:word|line|call|note|answer|reply|sign|yes or (?:a )?no) from you\b.{0,40}\b(?:would|will)\b|\bit(?:['’]d| would) be (?:\w+est|wiser|prudent|proper|polite|wise|good|best|better|useful|helpful|advisable|kind|nice|great|sensible) (?:to|if)\b|^you (?:might|could) (?:also |perhaps )?(?:tell|ask|remind|warn) (?!yourself|me (?:if|when))\w+|^(?:(?:and|so|but|also)[, ]+)?(?:could|can|would|will) (?:\w+ ){0,3}your (?!office|shop|house)\w+(?= (?!be\b|ever\b)\w+)|\bit would [\w ]{2,40} to (?:have|get|receive|see|know|hear)\b|\b(?<!\bif (?:it|that|this) )would (?:really |greatly |certainly |much )?help\b(?! (?:you|him|her|them|nobody))|\b(?:i|we)?(?:['’]d| would) be (?:very |most |so )?(?:grateful|thankful|obliged|glad|happy) for\b|\b(?:could|can|would|will|might) (?:you|someone|somebody|anyone|one of you|we(?= (?:have|get|please|also have|meet|move|change|agree|settle|fix|arrange|book|make|put|swap|postpone|bring|keep|do|add|start|speak|talk|sit down|circle back|come back|return to|decide|clarify|touch base|set|catch up|go (?:through|over)|discuss|look at|agree)\b)|(?:he|she)(?= (?:come|ring|call|send|bring|let|look|write|give|take|sign|drop|phone|mail|email)\b)|they)\b(?! (?:accept [^?]*\bor\b|(?:want|need|take|keep|choose) [^?]*\bor (?:do|would|shall|should) (?:you|we|i)\b|believe|imagine|say\b(?! (?:a few|a word|something|hello|goodbye|yes|no\b|when|whether|thank))|recommend\b|charge\b|happen\b|know\b|be (?:there|away|coming|at|free|interested|around|available|open|persuaded|home|in\b)|have (?:heard|seen)|like\b|prefer\b|rather\b|want (?:to|me|us)\b))|\b(?:would|do) you mind\b(?= (?:if(?! (?:i|we)\b)|\w+ing))|\bwould it be (?:possible|too much|asking too much|a (?:bother|nuisance|lot to ask))|\bis there (?:any|a) way (?:that )?(?:you|for you|someone|somebody)\b|\b(?:any|is there (?:any|a)) chance (?:of|you(?! (?:do|sell|stock|still|have|had|know|offer|are|were)\b)|that|to)|\bdo you think you could|\bdo you think (?:we|i) (?:could|can|might) (?:borrow|have|get|use|see|hire|keep)\b|\b(?:wonder(?:ing|ed)?|see) (?:if|whether) you (?:could|can|would|might)|\b(?:grateful|great|good|nice|lovely|helpful|help(?: \w+){0,3}|kind|appreciate(?: it)?|obliged|glad) if (?:you|someone|somebody|we|the|it|they|[A-Z]\w+)\b|\bmay i (?:ask|trouble|remind) you (?:to|of|about|that)|\bcan i (?:also |just |please )*(?:have(?! (?:until|till|a (?:day|week|moment|minute)|another (?:day|week)|one more)\b)|get|ask you)|\bcould (?:i|we) (?:have|get)|\b(?:i|we)(?:['’]d)? ?(?:must|would like to|would|need to|have to|like to)?(?: also| further| kindly)? ?ask (?:you|that|for)\b|\b(?:are|is) (?:kindly |hereby |therefore |also |further )*(?:requested|asked|instructed|reminded|required) to\b/i;

/** "Can the van be washed before noon?", but not "Can it be repaired at all?". */
const DONE_TO_THING =
  /^(?:(?:and|but|so|also|then)[, ]+)*(?:can|could|may|should) (?!be\b|it be (?:that|because)|i\b|we\b|you\b|there\b)(?:the |that |this |these |those |it\b|they\b|all |my |our |your |his |her |their |an? |[a-zß-ÿ]+ )?(?:[a-zß-ÿ’'-]+ ){0,5}be (?!(?:right|true|the|a|an|that|enough|in|at)\b)(?:[a-zß-ÿ-]+ )?[a-zß-ÿ]{2,}(?:ed|en|wn|pt|nt|ld|ut|ung|ought|aught|ne|t|one|ready|clean|free|back|there)\b(?!.*\bat all\b)/i;

/** "Can it have fewer legs?" */
const THING_TO_HAVE =
  /^(?:(?:and|but|so|also|then)[, ]+)*(?:can|could) (?:it|they|the [a-zß-ÿ]+) (?:have|get) (?!been|come|gone|had)/i;

/** "Could the invoice go to the other office?" */
const THING_TO_GO =
  /^(?:(?:and|but|so|also|then)[, ]+)*(?:can|could) (?:the|that|this|these|those|all|our|your|his|her|their)\b(?: [a-zß-ÿ’'-]+){0,4} (?:go|come|stay|wait|start|begin|leave|arrive|move|take place)\b/i;

/** "Can u try him": as people write on phones. */
const SHORT_YOU = /\bu\b(?!\.)/gi;

/** "Can you live with that?" asks whether somebody can, not that they do. */
export function asksWhetherTheyCan(text: string): boolean {
  return text.endsWith("?") && /\b(?:can|could) you (?:live with|do without|cope|manage)\b[^.;]*$/i.test(text);
}

/** Whether somebody is politely asked to do something. */
export function isPolite(words: string): boolean {
  const text = words.replace(SHORT_YOU, "you");
  return (
    POLITE.test(text) ||
    DONE_TO_THING.test(text.replace(/^as (?:discussed|agreed), /i, "")) ||
    THING_TO_GO.test(text) ||
    THING_TO_HAVE.test(text)
  );
}
