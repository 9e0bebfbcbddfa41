import type { KindRule } from "../kind-rule";
import { toldIn } from "../not-trouble";

/** "I am sorry to say that …", "we regret to inform you": somebody has to bring bad news, and says so. */
const REGRETS =
  /\b(?:(?:am|are|['’]m|['’]re) (?:very |so |really |truly )?sorry to (?:say|report|tell|inform|have to (?:say|tell))|regret to (?:say|report|tell|inform|have to)|(?:bad|sad) news (?:is|about|from)|bear(?:er)? of bad news)\b/i;

/** What somebody is sorry to have to say. */
export const withRegret: KindRule = {
  name: "it is told with regret",
  confidence: 0.85,
  says: "trouble",
  find: ({ text }) => (REGRETS.test(toldIn(text)) ? "trouble" : null),
};
