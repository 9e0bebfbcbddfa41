import { isImperative } from "../imperative";
import type { KindRule } from "../kind-rule";

/** "A few questions:", "My questions are:". */
const QUESTIONS = /\b(?:some|few|two|three|four|five|following|my|our|these) (?:\w+ )?questions?\b/i;

/** What asks for something to be done stays an ask under whatever heading. */
const ASKS = /^(?:could|can|would|will) (?:you|someone|somebody)\b|\bplease\b/i;

/** The points of a list that is announced as questions; on a phone the marks are left out. */
export const questionPoint: KindRule = {
  name: "a point among questions",
  confidence: 0.9,
  isCertain: true,
  says: "question",
  find({ text, lead }) {
    if (!lead || !QUESTIONS.test(lead)) return null;
    return ASKS.test(text) || (isImperative(text) && !text.endsWith("?")) ? null : "question";
  },
};
