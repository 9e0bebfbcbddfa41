import type { KindRule } from "../kind-rule";
import { isPolite } from "../polite-words";

const ASKING_LEAD =
  /\b(?:please|kindly|furnish|provide|supply|submit|could|can|would|need|require|send|asks?|action|to do|(?:is|are) to be|requested|asked|lack|lacking|missing|wanted|outstanding|still)\b/i;

/** The points of a list that is led into by an ask: "Could you please:", "You are requested". */
export const listPoint: KindRule = {
  name: "a point of a list that asks",
  confidence: 0.95,
  find(clause) {
    if (!clause.lead || !ASKING_LEAD.test(clause.lead) || /\bwe (?:have|did|can offer)\b/i.test(clause.lead))
      return null;
    return clause.text.endsWith("?") && !isPolite(clause.text) ? "question" : "ask";
  },
};
