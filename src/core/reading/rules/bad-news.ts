import type { KindRule } from "../kind-rule";
import { toldIn } from "../not-trouble";
import { phrases } from "../phrases";

/** Words that announce bad news, whatever it is. */
const ANNOUNCED = phrases(`
  i(?:'m| am) (?:afraid|sorry to (?:say|report|tell you|inform|have to))
  we(?:'re| are) (?:afraid|sorry to (?:say|report|tell|inform|have to))
  (?:unfortunately|regrettably|alas|sadly|worse still|even worse|to make matters worse|to my (?:horror|dismay|alarm)|to our (?:horror|dismay|alarm))
  (?:i|we) regret (?:to|that)
  (?:it|things?|this|that) (?:looks?|is looking|is getting|are getting|got|gets|went) (?:bad|grim|worse|serious|tight|bleak|ugly|out of hand)
`);

/** "Unfortunately …", "I am afraid …": what follows is trouble, unless it is settled. */
export const badNews: KindRule = {
  name: "it is told as bad news",
  confidence: 0.85,
  counts: 0.8,
  says: "trouble",
  find: ({ text }) => (ANNOUNCED.test(toldIn(text)) ? "trouble" : null),
};
