import type { KindRule } from "../kind-rule";

const DAMAGE =
  /\b(?:broken|broke(?: down)?|cracked|bent|damaged|smashed|torn|faulty|defective|leak(?:s|ed|ing)?|jammed|crashed|corrupt(?:ed)?|rot(?:ted|ten|s)|mould(?:y)?|rusted|warped|scratched|burst|flooded|stolen|vandalis\w+|ruined|contaminated|injur\w+|accident|unsafe|dangerous|collapsed|burnt)\b/i;
const WRONG =
  /\b(?:(?:is|are|was|were|came|arrived|went|goes|going|something|delivered) (?:\w+ )?(?:wrong|missing|short|late|lost)|wrong (?:size|colour|order|file|version|address|one|part|drawing|length|date|amount)|(?:do|does|did)(?:n['’]t| not) (?:work|fit|match|start|open|arrive|add up|agree|close|turn up|come)|(?:has|have)(?:n['’]t| not) (?:arrived|come|turned up|been (?:paid|delivered)|heard)|never (?:arrived|came|turned up)|stopped working|no longer (?:works|fits)|won['’]t (?:start|open|close|fit|make it|be ready|arrive|work|print|hold)|will not (?:be ready|make it|arrive|fit|hold)|can(?:['’]t|not) (?:find|deliver|open|get|make|use|finish|start|supply|work|print|log in|go on)|(?:un)?able to (?:deliver|supply|finish)|failed|fails|failing|refused|rejected|turned down|bounced)\b/i;
const BEHIND =
  /\b(?:\w+ (?:days?|weeks?|hours?) (?:behind|late)|behind (?:schedule|plan|time)|running late|over(?:run|spent| budget)|delay(?:s|ed)?|held up|stuck|postponed|slipp(?:ed|ing)|run(?:ning)? out of|ran out of|out of stock|sold out|double[- ]booked|short[- ]staffed|off sick|called in sick|broke down|fallen? (?:behind|through))\b/i;
const UNHAPPY =
  /\b(?:complain(?:s|ed|ing|ts?)?|unhappy|not (?:at all |very |too )?(?:happy|pleased|amused|acceptable|satisfied)|angry|furious|upset|cross|annoyed|disappoint(?:ed|ing)|threaten(?:s|ed|ing)?|cancel(?:led|ling) (?:the|their|our)|legal action|solicitor|penalt(?:y|ies))\b/i;
const PROBLEM =
  /\b(?:(?:a|the|one|another|serious|big|real|slight) (?:problem|trouble|fault|mistake|error|snag|hitch|emergency)|problems? with|trouble with|goes wrong)\b/i;

const SETTLED =
  /\b(?:no (?:problem|trouble|damage|delay|complaints?)|not a problem|sorted(?: now| out)?|fixed(?: now)?|solved|resolved|all (?:fine|good|well) (?:now|again)|works again|mended|replaced already|in case|to avoid|avoid|prevent|would have|might have|luckily|fortunately|without (?:delay|trouble|damage))\b/i;

/** Trouble: work, money, time or goodwill at risk. Stands last: a clause that asks or promises is that first. */
export const trouble: KindRule = {
  name: "trouble",
  find(clause) {
    const { text } = clause;
    if (/\?$/.test(text) || /^(?:if|should|unless|when) /i.test(text)) return null;
    if (SETTLED.test(text)) return null;
    return DAMAGE.test(text) || WRONG.test(text) || BEHIND.test(text) || UNHAPPY.test(text) || PROBLEM.test(text)
      ? "trouble"
      : null;
  },
};
