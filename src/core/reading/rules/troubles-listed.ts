import type { KindRule } from "../kind-rule";

/** "Problems:", "Defects in flat 7:": what is below goes wrong. */
const TROUBLE_LEAD =
  /^(?:(?:open|current|new|our|the|my|other|further|main|some) )*(?:problems?|issues?|troubles?|snags?|defects?|faults?|complaints?|what (?:went|goes|is) wrong|damages?|breakdowns?)(?: (?:(?:this|last) week|today|so far|(?:with|at|in|on|from) .{2,40}))?:?$/i;

/** The points of a list that is led into as what goes wrong. */
export const troublesListed: KindRule = {
  name: "a point of a list of troubles",
  confidence: 0.9,
  says: "trouble",
  find: ({ lead, text }) => (lead && TROUBLE_LEAD.test(lead) && !text.endsWith("?") ? "trouble" : null),
};
