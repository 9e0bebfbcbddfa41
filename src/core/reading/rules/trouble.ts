import type { KindRule } from "../kind-rule";

/** States of harm: they count where something is said to be in them. */
const HARMED =
  "broken|cracked|bent|damaged|smashed|torn|ripped|snapped|shattered|chipped|dented|stained|faulty|defective|jammed|corrupt(?:ed)?|rotten|mould(?:y)?|moldy|rusted|rusty|warped|scratched|burst|flooded|soaked|rained on|stolen|vandalised|vandalized|ruined|spoil(?:ed|t)|contaminated|injured|unsafe|dangerous|burnt|burned (?:down|out|through)|blown|fused|frayed|furry|clogged|blocked|frozen|unreadable|illegible|blurred|blurry|unusable|useless|worthless|void|dead|missing|crashed|leaking|dripping";
/** What things do that go wrong. */
const FAILING =
  /\b(?:broke(?: down)?|tore|leaks?|leaked|drips?|jams|crashes|crashed|burst|flooded|collapsed|overheats?|flickers?|squeaks?|rattles?|wobbles?|sags?|peels?|hums|stinks|smells of|spoils|died|(?:had|was in|caused|an?) (?:an )?accident)\b/i;
const DAMAGE = new RegExp(
  `\\b(?:is|are|was|were|been|be|being|got|gets|came|come|arrived?|has|have|had|went|looks?|turned|found|left|stands?|\\w+['’]s)\\s+(?:(?!not\\b|no\\b|never\\b)[\\w-]+\\s+){0,3}?(?:${HARMED})\\b|\\b(?:has|have|had|is|are)\\s+(?:\\w+\\s+)?(?:rotted|rusted|cracked|broken|burst|torn|collapsed|leaked|failed|gone)\\b|\\b(?:${HARMED})[.!]*$|^(?:the |our |one |two |three |both |all )?\\w+ (?:${HARMED}) (?:in|by|on|after|since|again|this)\\b`,
  "i",
);
const WRONG =
  /\b(?:(?:is|are|was|were|came|arrived|went|goes|going|something|delivered|got) (?:\w+ )?(?:wrong|missing|short|late|lost|incomplete|invalid|expired|blocked|waste|gone|down again|out of (?:order|sync|tune|focus|stock|action|date))|(?:the|a|last year['’]s) wrong \w+|(?:do|does|did)(?:n['’]t| not) (?:work|fit|match|start|open|arrive|add up|agree|close|turn up|come|hold|reach|show up|tally|charge|load|print|respond|answer|line up)|(?:has|have)(?:n['’]t| not) (?:arrived|come|turned up|been (?:paid|delivered)|heard|reached)|never (?:arrived|came|turned up|showed up|reached)|stopped (?:working|at)|no longer (?:works?|fits?|holds?|starts?)|won['’]t (?:start|open|close|fit|make it|be ready|arrive|work|print|hold|load|charge|reach)|will not (?:be ready|make it|arrive|fit|hold)|can(?:['’]t|not) (?:find|deliver|open|get|make|use|finish|start|supply|work|print|log in|go on|be (?!sure|helped|beaten|too|faulted|denied|said|stressed|expected|certain|long|far)\w+ed|be (?:read|sold|paid|used|built|found|sent|held|met|kept|done))|could(?:n['’]t| not) be \w+(?:ed|t|n)|(?:un)?able to (?:deliver|supply|finish)|failed|fails|failing|refuse[sd]?|rejected|turned down|bounced|mixed up|swapped|upside down|the wrong way round|forgotten|forgot|(?:we|i)(?:['’]ve| have) lost|(?:lost|lose|loses|losing|missed|misses|spilled|deleted|overwrote|overwritten|withdrew|withdrawn) (?:the|our|his|her|their|its|a|an|every|all|his|two|three|half|one|by|from|in)|waste paper|a waste of)\b/i;
/** "two frames off", "40 mm too short", "has no sound", "no voice at all". */
const AMISS =
  /\b(?:(?:\d+|a|an|two|three|four|five|six|ten|several|some|half an?) (?:\w+ )?\w+s? (?:off|short|out|over|too (?:short|long|late|small|big|large|wide|narrow|heavy|low|high|few|many))\b|(?:is|are|was|were|came|comes|came out|turned out) (?:far |much |a bit |rather |way )?too (?:short|late|small|big|large|wide|narrow|heavy|weak|loud|dark|thick|thin|hot|cold|tight|loose|soft|hard|wet|dry|salty|expensive|few|slow)|(?:has|have|had|with|there (?:is|are|was|were)|there['’]s) no (?!need|time (?:for|to)|objections?|problem|idea|doubts?|plans?|preference|wish|reason|questions?|rush|hurry|harm|one|more|such|longer|other|charge|obligation|limit|news|way to know|pressure|point)\w+|no \w+ at all|(?:has|have) (?:had )?(?:a|an|its|lost|got) (?:\w+ )?(?:holes?|cracks?|leak|dent|fault|tear|gap|stain|split|bug|virus|error|puncture|flat|fever|flu)|came out (?:blue|green|purple|pink|red|grey|gray|yellow|brown|black|white|crooked|blurred|upside|wrong|too|flat|burnt)|turn(?:s|ed) up (?:with|without|late|drunk)|(?:have|has|got|received|sent|delivered|came|printed|brought) .{2,40} instead of|run(?:s|ning)? (?:ahead of|behind|away|dry|hot)|at a standstill|stands? (?:still|idle)|went (?:cold|dead|blank|dark|flat|silent|off|black|up in)|makes? (?:an? )?(?:\w+ )?(?:noise|smell)|\w+s? short (?:for|of|on)|(?:has|have|did)(?: not|n['’]t) passe?d?|worn (?:through|out|down)|no \w+ (?:is|are|was|were) (?:coming|going|getting|arriving|working)|(?:is|are|was|were|['’]s|been) down\b(?! to)|(?:show|shows|says?|has|have|got) the (?:old|wrong)|sent (?:it|them|theirs|hers|his|that|the \w+) back|cut (?:through|into)|(?:ankle|knee|waist|inches) deep|under water|off the air|in pieces|(?:is|are) (?:waste|scrap|ruined)|gone (?:off|bad|mouldy|missing|furry|soft)|(?:refuses?|refused) to)\b/i;
const BEHIND =
  /\b(?:\w+ (?:minutes?|days?|weeks?|hours?|months?) (?:behind|late)|behind (?:schedule|plan|time)|running late|over(?:run|spent| budget)|delay(?:s|ed)?|held up|stuck|postponed|slipp(?:ed|ing)|slips? (?:a|by|to|on)|run(?:ning)? out of|ran out of|out of stock|sold out|double[- ]booked|short[- ]staffed|understaffed|off sick|called in sick|in hospital|broke down|fallen? (?:behind|through|ill)|falls? through|no-?show|pulled out|backed out|(?:has|have) (?:withdrawn|quit|resigned|walked off|gone under|died|let us down)|in the ditch|(?:is|are) (?:bad|worse|ill|sick|down)(?: again| today| with)|gone bankrupt|insolven\w+|on strike|walked out|handed in (?:his|her|their) notice|overbooked)\b/i;
const UNHAPPY =
  /\b(?:complain(?:s|ed|ing|ts?)?|unhappy|not (?:at all |very |too |exactly )?(?:happy|pleased|amused|acceptable|satisfied|impressed)|displeased|dissatisfied|angry|furious|livid|fuming|upset|cross|annoyed|disappoint(?:ed|ing)|lost patience|(?:is|are|getting|grows?|growing) (?:very |rather |quite )?(?:impatient|restless)|losing patience|had enough|threaten(?:s|ed|ing)?|cancel(?:led|ling) (?:the|their|our)|wants? (?:his|her|their|its) money back|legal action|su(?:e|ing) us|solicitor|penalt(?:y|ies)|a fine of)\b/i;
const PROBLEM =
  /\b(?:(?:have|has|had|is|there['’]s|got|another|made|found|shows?|showed) (?:a|an|one|another|some|serious|big|real|slight)(?: \w+)? (?:problems?|trouble|faults?|mistakes?|errors?|snags?|hitch|emergency)|(?:the|our|one|a|big|serious) (?:problem|trouble|snag|trouble is)[:,]|(?:the|one) (?:problem|trouble|snag) is|problems? with|in trouble|trouble with|goes wrong|went wrong|gone wrong|bad news|we have a situation)\b/i;

const SETTLED =
  /\b(?:(?:no|nobody|no one|none|never|hardly|not a) (?:\w+ ){0,3}(?:complain\w*|complaints?|damaged?|broken|missing|wrong|late|lost)|no (?:problem|trouble|damage|delay|complaints?)|not a problem|nothing (?:is )?wrong|sorted(?: now| out)?|fixed(?: now)?|solved|resolved|all (?:fine|good|well) (?:now|again)|works again|mended|replaced already|in case|to avoid|avoid|prevent|would have|might have|luckily|fortunately|without (?:delay|trouble|damage)|(?:is|are) (?:back|up) (?:again|and running))\b/i;

/** Trouble: work, money, time or goodwill at risk. Stands last: a clause that asks or promises is that first. */
export const trouble: KindRule = {
  name: "trouble",
  find(clause) {
    const { text } = clause;
    if (/\?$/.test(text) || /^["“>]/.test(text) || /^(?:if|should|unless|when|whether|in case) /i.test(text))
      return null;
    if (SETTLED.test(text)) return null;
    return [DAMAGE, FAILING, WRONG, AMISS, BEHIND, UNHAPPY, PROBLEM].some((pattern) => pattern.test(text))
      ? "trouble"
      : null;
  },
};
