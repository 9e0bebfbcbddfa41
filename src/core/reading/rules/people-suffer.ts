import type { KindRule } from "../kind-rule";
import { toldIn } from "../not-trouble";
import { phrases } from "../phrases";

/** Turns for people who are hurt, ill, gone or angry. */
const TURNS = phrases(`
  (?:taken to (?:his|her|their) bed|on crutches|in plaster|in a wheelchair|at death's door|in a bad way|in a coma)
  (?:pushing back|pushes back|digging (?:in|his|her|their)|dragging (?:its|his|her|their) feet|playing for time|wavering|getting cold feet|got cold feet|having second thoughts|withholding|withheld|stonewalling|refusing)
  (?:was|were|been|got|being|feels?|felt) (?:bullied|harassed|threatened|abused|misled|cheated|overcharged|ignored|insulted|humiliated|misinformed|tricked|conned)
  (?:not|aren't|isn't|no longer) (?:on speaking terms|talking to|speaking to|getting on)
  (?:threw|throws|thrown) out (?:our|the|my|his|her|their)
  (?:has|have|had|got|with|caught|catching|suffers? from|suffering from|diagnosed with|out with) (?:the |a |an |some )?(?:bad |nasty |severe |high |mild )?(?:colic|flu|fever|measles|mumps|mastitis|foot rot|ringworm|rash|allergy|asthma attack|pneumonia|bronchitis|cancer|infection|food poisoning|concussion|migraine|sciatica|shingles|burnout|norovirus|stomach bug|hernia|slipped disc|broken \\p{L}+|sprained \\p{L}+|torn \\p{L}+)
  (?:food poisoning|an ambulance|stitches|first aid|the fire brigade|casualty|(?:go|went|gone|taken|rushed|admitted) (?:to|into) (?:the )?hospital)
  (?:was|were|got|been) (?:stung|bitten|scalded|electrocuted|knocked (?:down|over|out)|run over|poisoned|crushed|attacked|assaulted|insulted|sacked|fired|arrested|evicted|fined|sued)
  (?:has|have|had) lost (?:his|her|their|its|our|a|an|two|three|half|the) \\p{L}+
  (?:sprained|fractured|twisted|broken|broke|hurt|injured|cut|bruised|burned|burnt|dislocated|pulled|torn|strained|crushed) (?:his|her|their|its|my|a|an|the|himself|herself|themselves|both|two)(?: \\p{L}+)?
  (?:down|gone down|came down|come down|in bed|off|laid up|sick) with (?:a |an |the )?(?:\\p{L}+ )?(?:flu|fever|cold|bug|virus|infection|pneumonia|migraine|back|stomach|covid|measles|chickenpox|food poisoning|bronchitis|leg|knee|cough|injury|colic)
  (?:is|are|was|were|'s|been|fell|fallen|taken|got)(?: \\p{L}+)? (?:ill|unwell|poorly|lame|concussed|unconscious|hospitalised|signed off|off work|off sick|off (?:his|her|its|their) (?:feed|food|feet|legs)|homesick|stranded|hurt|injured|in hospital|in intensive care|in quarantine)
  (?:slipped|tripped|fell|fallen|collapsed|fainted|passed out) (?:on|over|off|down|from|in|at|and|during)
  (?:threatens?|threatened|threatening) (?:to|us|with|legal)
  (?:wants?|wanted|wishes|decided|intends?|plans?|going) (?:to )?(?:cancel|leave us|pull (?:out|the plug)|terminate|back out|walk (?:away|out)|quit|resign|take (?:his|her|their|its) (?:business|custom)|withdraw|drop (?:us|the)|sue|complain|go elsewhere|end the contract|call it off|stop payment)
  (?:up in arms|beside (?:himself|herself|themselves)|at (?:his|her|their|my|our) wits' end|fed up|had enough|sick of|lost (?:patience|faith|confidence|heart)|losing (?:patience|faith|confidence|interest|heart)|running out of patience|out of patience|hopping mad|in tears|in uproar|not (?:amused|pleased|happy|impressed|best pleased)|spitting feathers|seething|appalled|outraged|irate|indignant|disgusted|dismayed|alarmed|frustrated|frantic|desperate|distraught|disgruntled)
  (?:concerns) (?:me|us|him|her|them|everyone)
  (?:worries|worry|troubles|bothers|alarms|frightens|frustrates|upsets|annoys|puzzles) (?:me|us|him|her|them|the|our|everyone|my)
  (?:i|we)(?:'m| am|'re| are)(?: \\p{L}+)? (?:worried|concerned|alarmed|uneasy|afraid|at a loss|stuck|desperate|disappointed|anxious|nervous|short-handed|snowed under|swamped|overwhelmed|drowning)(?! (?:to say|not to be))
  (?:put|puts|putting) (?:us|me|it|them|everyone) off(?! the)
  (?:resigned|quit|given notice|handed in|walked out|walked off|(?:has|have) left us|leaving us|let (?:us|me|him|her|them|everyone) down|pulled out|dropped out|bailed|cried off|stood us up|gone sick|gone bust|defected|jumped ship|called in sick|reported sick|stopped answering|gone quiet|gone to ground)
  (?:has|have|had|was|were|in) (?:an accident|a fall|a stroke|a heart attack|a breakdown|a crash|a row|an argument|a collision|a puncture|a nasty)
  (?:quarrel|row|dispute|feud|stand-off|deadlock|walkout|strike|protest|petition|boycott|uproar|backlash|mutiny) (?:with|between|over|about|among|at)
  (?:the queen|the dog|the cat|the mare|the cow|the calf|our \\p{L}+) (?:is|has|was) (?:missing|dead|lame|escaped|ill|loose|sick|run away)
  (?:stolen|burgled|robbed|broken into|hacked|scammed|defrauded|mugged|vandalised|graffitied)
`);

/** "She slipped and hurt her back", "the client wants to pull out": trouble with people. */
export const peopleSuffer: KindRule = {
  name: "somebody is hurt, ill, gone or angry",
  confidence: 0.75,
  says: "trouble",
  find: ({ text }) => (TURNS.test(toldIn(text)) ? "trouble" : null),
};
