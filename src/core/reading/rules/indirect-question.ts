import { bareClause } from "../bare-clause";
import type { KindRule } from "../kind-rule";

const INDIRECT =
  /\b(?:i|we)(?:['’]m| am| was| were|['’]re| are|['’]d| would| should)?(?: just| also| still| only)? ?(?:wonder(?:ing|ed)?|like to know(?: now| already| soon)?|love to know|keen to know|curious|not sure) (?:if|whether|what|when|which|who|where|how|why)\b|\b(?:i|we)['’]d (?:like|love) to (?:know|hear)\b|^any (?:news|word|idea|update|progress)\b/i;
/** "I would be interested to hear what you paid", "it isn't clear to me who pays". */
const WOULD_HEAR =
  /^(?:(?:and|but|so|also) )?(?:i|we)(?:['’]d| would) be (?:very |quite |really )?(?:interested|curious|keen|glad) to (?:know|hear|learn|see) (?:if|whether|what|when|which|who|where|how|why)\b|^(?:(?:and|but|so) )?it(?:['’]s| is)(?: still)?(?: not|n['’]t) (?:quite |really |entirely |yet )?clear(?: to (?:me|us))? (?:if|whether|what|when|which|who|where|how|why)\b/i;
/** "The head also wants to know how loud it will be": somebody else's question. */
const OF_OTHERS =
  /^(?:(?:and|but|also) )?(?:the |my |our |your )?[\p{L} ]{2,30}? (?:also |still )?(?:wants?|would like|needs?|is keen|are keen) to know (?:if|whether|what|when|which|who|where|how|why)\b|^(?:(?:and|but|also) )?(?:the |my |our )?[\p{L} ]{2,30}? (?:also |is |are )?(?:asks?|asking|wonders?|wondering) (?:if|whether|what|when|which|where|how|why)\b|^(?:(?:and|but|also|now),? )?(?:he|she|they)(?:['’]s| is|['’]re| are)(?: now| also)? (?:asking|wondering) (?:if|whether|what|when|which|where|how|why)\b/iu;

/** "My question is how long the wood lasts." */
const NAMED_QUESTION =
  /^(?:(?:and|so|but|now),? )?(?:my|our|the|one|another|a last)(?: only| other| next| big| one)? question(?: now| then)?(?: is|:) (?:if|whether|what|when|which|who|where|how|why)\b/i;

/** "what did the hospital say": a question of somebody who leaves out the mark. */
const UNMARKED =
  /^(?:and |but |also |so )?(?:what|when|where|who|which \w+|how(?: many| much| long| far| soon)?(?: \w+)?|why)\s+(?:did|do|does|is|are|was|were|has|have|can|could|will|would|should|shall)\b/i;

/** "I wonder whether you have room", "what did the hospital say": questions without a question mark. */
export const indirectQuestion: KindRule = {
  name: "a question without its mark",
  confidence: 0.95,
  says: "question",
  find({ text }) {
    if (INDIRECT.test(text) || OF_OTHERS.test(text) || NAMED_QUESTION.test(text) || WOULD_HEAR.test(text))
      return "question";
    return UNMARKED.test(bareClause(text)) && !/[.!?]$/.test(text) ? "question" : null;
  },
};
