import type { KindRule } from "../kind-rule";

/** "If it crossed with my letter": a condition that was cut off from what follows from it. */
const CONDITION_ALONE =
  /^(?:if|unless|although|though|because|since|whereas) (?:it|he|she|they|this|that|these|those)\b(?! \S+ (?:just|then|please)\b)(?:[ ][^\s,;:.!?]+){2,8}$/i;
/** "No rush before Friday", "by the end of next week would do": when something said before is wanted. */
const ONLY_WHEN =
  /^(?:no (?:rush|hurry)\b[^,;]{0,40}|(?:by|before|on|at|until|any time) [^,;]{3,40} (?:would|will) (?:do|be (?:fine|soon enough|early enough|ok|okay|in time)))[.!]?$/i;
/** "I am asked by the residents to say", "I said I would ask": what somebody has to pass on. */
const PASSED_ON =
  /^i (?:am|was|have been) (?:asked|told) (?:by .{2,40} )?to (?:say|tell|pass on|let you know)\b|^(?:i|we) (?:said|told \p{L}+|promised) (?:that )?(?:i|we) would (?:ask|tell|say|mention|pass)\b/iu;

/** What says only half of something: nothing is asked by it, whatever it is worded like. */
export const halfSaid: KindRule = {
  name: "half of what is said",
  confidence: 0.95,
  says: "nothing",
  find: ({ text }) => (CONDITION_ALONE.test(text) || ONLY_WHEN.test(text) || PASSED_ON.test(text) ? "nothing" : null),
};
