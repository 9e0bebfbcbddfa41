import { HARMED } from "../harmed";
import type { KindRule } from "../kind-rule";
import { toldIn } from "../not-trouble";

/** What things do that go wrong. */
const FAILING =
  /\b(?:broke(?: down)?|tore|leaks?|leaked|drips?|jams|crashes|crashed|burst|flooded|collapsed|overheats?|flickers?|squeaks?|rattles?|wobbles?|shakes|judders?|vibrates?|squeals?|stutters?|pulls to (?:the|one) (?:left|right|side)|sags?|peels?|hums|stinks|smells of|spoils|(?<!\b(?:wind|noise|storm|rain|applause|laughter) )died|(?:had|was in|caused|an?) (?:an )?accident)\b/i;
const DAMAGE = new RegExp(
  `\\b(?:is|are|was|were|been|be|being|got|gets|came|come|arrived?|has|have|had|went|looks?|turned|found|left|stands?|\\w+['’]s)\\s+(?:(?!not\\b|no\\b|never\\b)[\\w-]+\\s+){0,3}?(?:${HARMED})\\b|\\b(?:has|have|had|is|are)\\s+(?:\\w+\\s+)?(?:rotted|rusted|cracked|broken|burst|torn|collapsed|leaked|failed|gone(?! (?:up|down|well|to|on|home|into|through|ahead|out|for|by|very|so|live|smoothly|according)\\b))\\b|\\b(?:${HARMED})[.!]*$|^(?:the |our |one |two |three |both |all )?\\w+ (?:${HARMED}) (?:in|by|on|after|since|again|this)\\b`,
  "i",
);
const PATTERNS = [DAMAGE, FAILING];

/** Harm to things and people: "the slabs came cracked", "the pump leaks". */
export const damage: KindRule = {
  name: "something is damaged or fails",
  confidence: 0.8,
  counts: 1.7,
  says: "trouble",
  find: ({ text }) => (PATTERNS.some((pattern) => pattern.test(toldIn(text))) ? "trouble" : null),
};
