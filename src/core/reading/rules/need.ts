import { bareClause } from "../bare-clause";
import type { KindRule } from "../kind-rule";
import { isNoAsk } from "../own-duty";
import { isPutToSomebody } from "../spoken-about";

/** "What I need from you is a clean copy." */
const WHAT_IS_NEEDED =
  /\b(?:what|all|the (?:only |one )?thing)(?: that)? (?:i|we)(?: still| now| really| urgently| do)* (?:need|want|expect|ask|require)(?: now| still)? (?:from you|of you|is\b|are\b|by\b|before\b)/i;
/** "The landlord wants a call from you": whoever it is for. */
const WORD_FROM_YOU =
  /\b(?:wants?|needs?|expects?|requires?|(?:is|are|['’]s|['’]re) (?:still )?waiting for|would (?:like|welcome)) (?:an? )?(?:\w+ )?(?:call|word|line|answer|reply|note|visit|sign|signature|decision|approval|confirmation) (?:back )?(?:from|by) you\b/i;

/** "I expect somebody here before noon", "we expect your payment by the 3rd". */
const EXPECTED =
  /^(?:(?:and|so|but) )?(?:i|we)(?: therefore| now| do| fully)* hope for (?:your|an?) (?:\w+ )?(?:answer|reply|decision|approval|ok)\b|^(?:(?:and|so|but) )?(?:i|we)(?: therefore| now| do| fully)* expect (?:(?:somebody|someone|one of you) (?:here|to|at|in)|you(?:r \w+)? to|your (?:answer|reply|payment|proposal|comments?|call|invoice|offer|decision|report)|(?:an?|the|full|my) (?:answer|reply|payment|refund|apology|explanation|call|date|visit|replacement|credit note|corrected)\b|to (?:hear|receive|be (?:paid|refunded|told|called|informed)))\b/i;

/** "need a pump urgently": of somebody who saves words. */
const NEED_ALONE =
  /^(?!(?:it|they|he|she|we|i|you|this|that)\b)(?:an? |new |\d+ )?[\w-]+(?: [\w-]+)? (?:needed|wanted|required)\b(?! (?:to|by (?:law|the)))|^(?:also |still |urgently )?need(?:ed)?:? (?:a|an|the|your|some|more|two|three|\d+|new|all|\w+s)\b/i;
/** "Your signature on the holiday form": what only the reader can give. */
const YOURS_ALONE =
  /^your (?:signature|approval|ok|okay|answer|reply|comments?|thoughts|decision|confirmation|consent|blessing|vote) (?:on|for|to|about|by|before)\b/i;
/** "He would, however, like one of the bottles": who writes asks for somebody else. */
const OTHERS_WOULD_LIKE =
  /^(?:(?:and|but|also) )?(?:he|she|they|the \p{L}+|my \p{L}+|our \p{L}+|\p{Lu}\p{L}+)(?: would|['’]d),?(?: however| though| also| very much| really),? like (?:an?|one|two|three|the|some|your|to have|to receive)\b|^(?:(?:and|but|also) )?(?:he|she|they|the \p{L}+|my \p{L}+|our \p{L}+|\p{Lu}\p{L}+)(?: would|['’]d) like (?:to have|to receive|one of|a copy|a list|a word|an answer|your) /iu;

const NEED =
  /\b(?:i|we)(?: still| now| yet| also)* await\b(?! (?:you|to see)\b)|\b(?:i|we)(?: still| also| now)* lack\b|\b(?:we|i)(?:['’]ll| will| still| also| really| do| would| urgently| just| now| both| all)* (?:need|require|want)\b(?! (?:neither|no|none|nothing|not)\b| to (?:say|thank|let you know|add|apologise|stress|mention|tell you)|(?<=\bi\b.{0,30}) to\b(?! (?:have|know|get|see|hear|receive)))|\b(?:i|we)(?:['’]d| would|['’]ll| will| shall| must) (?:have|need) to (?:hear|know|have|see|get)\b|\b(?:i|we) (?:should|ought to) know (?:when|where|how|what|whether|if|who|which)\b|\b(?:i|we) must have (?:your|the|it|them|a|an|all)\b|\b(?:i|we)(?:['’]d| would| should| shall)(?: also| still| really| just)? need\b|\b(?:i|we)(?:['’]d| would) be (?:glad|happy|grateful|pleased|delighted) to (?:have|get|see|receive|hear|know)\b|\b(?:i|we)(?:['’]d| would)(?: also| really)? (?:like|love|want|prefer|appreciate)\b(?! to (?:come|join|sing|visit|help|show|pick|know|thank|say|hear from|invite|add|apologise|point out|see how|congratulate|welcome|wish|remember))|\b(?:is|are) (?:still )?(?:needed|required|wanted|outstanding|due)\b|\b(?:still|now) (?:waiting|missing)\b|\bwe(?:['’]re| are)(?: still)? (?:waiting|missing|short of) (?:for|on|your|the)?|\bi(?:['’]m| am) (?:still )?(?:waiting|missing) |\bthere(?:['’]s| is| are) still .{3,60} (?:to do|to come|missing)\b/i;

/** "We need two more fenders by noon", "we are still waiting for the survey". */
export const need: KindRule = {
  name: "something is needed",
  confidence: 0.85,
  says: "ask",
  find({ text }) {
    const bare = bareClause(text);
    if (isNoAsk(text, bare)) return null;
    if (
      WHAT_IS_NEEDED.test(bare) ||
      EXPECTED.test(bare) ||
      NEED_ALONE.test(bare) ||
      YOURS_ALONE.test(bare) ||
      WORD_FROM_YOU.test(bare) ||
      OTHERS_WOULD_LIKE.test(bare)
    )
      return "ask";
    const found = NEED.exec(bare);
    return found && isPutToSomebody(bare, found.index) ? "ask" : null;
  },
};
