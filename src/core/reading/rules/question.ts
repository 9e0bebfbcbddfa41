import { bareClause } from "../bare-clause";
import type { KindRule } from "../kind-rule";

const RHETORICAL =
  /^(?:how are you|how['’]s|how was|how did it (?:all )?go|who (?:am i|cares|knows|would have (?:thought|guessed|known|believed|expected)|doesn['’]t|needs)|what (?:can i say|a |could possibly|else is new|could go wrong)|isn['’]t (?:it|that)|don['’]t you (?:think|just)|why (?:not|is it always|bother|focus|care|on earth|would any(?:one|body))|(?:who|what|why|how|where) the (?:hell|heck|devil)|(?:now,? )?don['’]t you feel|got it|see what i mean|(?:gads|gosh|gee)|right|ok|okay|remember|all well|all good|you well|did you have a (?:good|nice)|guess|really)\b/i;

/** "Can't make it? Tell me": what follows is for whom it is so. */
const IF_SO =
  /^(?:can(?:['’]?t|not) (?:make it|come|attend|wait)|(?:any )?(?:questions|problems|queries|doubts)|(?:nobody|no one) (?:at home|in|there)|interested|unsure|not sure|stuck|too (?:early|late|expensive|much))\?$/i;

/** "Same price?", "by post?", "any allergies?" */
const IN_TWO_WORDS =
  /^(?!any (?:way|road)\b|all (?:well|good|right|set|clear)\b|same (?:here|again)\b)(?:any|same|by|with|without|for|enough|more|both|another|all|only|your|our|my|which|new|old)\s[\p{L}\d]{2,}\?$/iu;

/** "There might (must?)": a word is doubted, nothing is asked. */
const DOUBTED_WORD = /\([\p{L}’'-]+(?: [\p{L}’'-]+)?\?\)$/u;

/** Questions: an answer is wanted and nothing else. */
export const question: KindRule = {
  name: "a question",
  confidence: 0.9,
  find({ text }) {
    const bare = bareClause(text);
    if (!/\?["'”’)]*$/.test(text)) return null;
    if (RHETORICAL.test(bare) || IF_SO.test(bare) || DOUBTED_WORD.test(text)) return "nothing";
    // "Can you do without?" asks whether they can, not that they do.
    if (
      /^(?:can|could) you (?:do without|manage(?: without| so)?|cope|live with (?:it|that|\S+(?: \S+){0,6}))\W*$/i.test(
        bare,
      )
    )
      return "question";
    // "May we have the programme by Monday?" wants the thing, not a yes.
    if (
      /^(?:may|can|could|might) (?:i|we) (?:please )?(?:have(?! (?:until|till|another|one more|a (?:day|week|moment))\b)|get|borrow|see|receive)\b/i.test(
        bare,
      )
    )
      return "ask";
    return bare.split(/\s+/).length >= 3 ||
      IN_TWO_WORDS.test(bare) ||
      /^(?:and|or|so|but) (?:the|your|our|his|her|their|what|how|when|where|who) /i.test(text) ||
      /^(?:or |on |by )?(?:(?:mon|tues|wednes|thurs|fri|satur|sun)day|tomorrow|today)(?: (?:morning|afternoon|evening|noon))?\?$/i.test(
        bare,
      ) ||
      /^(?:when|where|who|what|which|why|how|may|can|could|should|shall|will|does?|did)\b/i.test(bare)
      ? "question"
      : null;
  },
};
