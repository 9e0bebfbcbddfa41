import type { KindRule } from "../kind-rule";
import { toldIn } from "../not-trouble";

/** Those on whose goodwill a house lives. */
const THOSE =
  "(?:clients?|customers?|council|board|owners?|landlord|tenants?|residents?|neighbours?|neighbors?|parents|patients?|guests?|buyers?|trustees|committee|members|funders?|donors?|sponsors?|bank|insurers?|authorit(?:y|ies)|management|head ?(?:teacher|mistress|master)|director|dealers?|retailers?|suppliers?|union|staff|crew)";

const NOT_PLEASED =
  "(?:not (?:at all |very |too |exactly |so |one bit )?(?:happy|pleased|amused|satisfied|impressed)|far from (?:happy|pleased|satisfied)|less than (?:happy|pleased)|unhappy|displeased|dissatisfied|angry|furious|livid|fuming|cross|upset|annoyed|up in arms|losing patience|threatening|beside (?:him|her|them)sel(?:f|ves))";

const UNHAPPY = new RegExp(
  `\\b(?:the|our|your|their|my|some|several|two|three|both|most) (?:[\\p{L}-]+ )?${THOSE}(?: [\\p{L}-]+){0,4}? (?:is|are|was|were|has become|have become|got|gets?|seems?|sounds?|sounded)(?: (?:already|now|still|also|all|really|rather|quite|very|more than a little))* ${NOT_PLEASED}\\b`,
  "iu",
);

/** "The client is not happy", "two of the tenants are furious": goodwill is at risk. */
export const goodwill: KindRule = {
  name: "a client, or another who counts, is unhappy",
  confidence: 0.95,
  says: "trouble",
  find: ({ text }) => (UNHAPPY.test(toldIn(text)) ? "trouble" : null),
};
