import type { KindRule } from "../kind-rule";
import { toldIn } from "../not-trouble";

const UNHAPPY =
  /\b(?:(?<!your |to )complain(?:s|ed|ing|ts?)?|unhappy|not (?:at all |very |too |exactly )?(?:happy|pleased|amused|acceptable|satisfied|impressed)|displeased|dissatisfied|angry|furious|livid|fuming|upset|cross|annoyed|disappoint(?:ed|ing)|lost patience|(?:is|are|getting|grows?|growing) (?:very |rather |quite )?(?:impatient|restless)|losing patience|had enough|threaten(?:s|ed|ing)?|cancel(?:led|ling) (?:the|their|our)|wants? (?:his|her|their|its) money back|legal action|in a huff|(?:stormed|walked) (?:out|off)|slammed (?:the|down)|(?:i|we)(?:['’]ve| have)? made (?:a|an|the) (?:\w+ )?(?:mistake|blunder|error)|su(?:e|ing) us|solicitor|penalt(?:y|ies)|a fine of)\b/i;
const PROBLEM =
  /\b(?:(?:have|has|had|is|there['’]s|got|another|made|found|shows?|showed) (?:a|an|one|another|some|serious|big|real|slight)(?: \w+)? (?:problems?|trouble|faults?|mistakes?|errors?|snags?|hitch|emergency)|(?:the|our|one|a|big|serious) (?:problem|trouble|snag|trouble is)[:,]|(?:the|one) (?:problem|trouble|snag) is|problems? with|in trouble|trouble with|goes wrong|went wrong|gone wrong|bad news|we have a situation)\b/i;
/** "One snag: …": it is announced. */
const SNAG =
  /^(?:(?:one|a|the|another|only) (?:\w+ )?|(?:slight|small|little|minor|tiny|big) )(?:snag|hitch|problem|worry|catch|drawback|fly in the ointment|bad news)\b(?: is)?\s*[:,–-]/i;

const PATTERNS = [UNHAPPY, PROBLEM, SNAG];

/** Goodwill at risk: "the client is not happy", "we have a serious problem". */
export const unhappy: KindRule = {
  name: "somebody is unhappy, or there is a problem",
  confidence: 0.75,
  says: "trouble",
  find: ({ text }) => (PATTERNS.some((pattern) => pattern.test(toldIn(text))) ? "trouble" : null),
};
