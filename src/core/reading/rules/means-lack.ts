import type { KindRule } from "../kind-rule";
import { toldIn } from "../not-trouble";
import { phrases } from "../phrases";

/** Turns for money, time, permission and help that are not there. */
const TURNS = phrases(`
  (?:don't|do not|can't|cannot|didn't|couldn't) see (?:how|any way|a way|where (?:we|i))
  (?:there(?:'s| is| are)|we(?:'ve| have)|i(?:'ve| have)|has|have|got) (?:hardly|barely|scarcely) any
  (?:no way|hardly possible|not possible|impossible|out of the question) (?:to|that|we|of)
  (?:is|are|was|were|has been|have been|had to be|has|have|got|getting) (?:\\p{L}+ )?(?:cancelled|canceled|called off|scrapped|shelved|suspended|postponed|discontinued|cancelled on us|axed|grounded|closed down|shut down)
  (?:has|have)(?:n't| not)(?: yet| even| still)? (?:paid|signed|answered|replied|returned|delivered|started|begun|moved|responded|turned up|shown up|come back|arrived|left|been (?:paid|delivered|signed|returned|sent|fixed|repaired|collected|picked up|cleaned|approved|answered|updated|told|informed))
  (?:won't|will not|wouldn't|doesn't|does not|refuses to|refused to) (?:let|allow|accept|sign|release|pay|honour|approve|insure|deliver|serve|take|admit|touch) (?:us|me|our|the|it|them|my|any|that|anything|anybody|anyone)
  (?:do|does|did)(?:n't| not) have (?:a |an |any |the )?(?:valid|working|proper|enough|sufficient|single|left|money|budget|capacity|right)
  (?<!so that |so |that )(?:nobody|no one|none of us|not a soul) (?:knows|can|could|has|wants|understands|will|is able|saw|noticed|thought|seems)
  (?:frozen|blocked|closed|suspended|cancelled|locked) (?:the|our|my|his|her|us|me)(?: \\p{L}+)? (?:account|card|permit|contract|access|order|funds|budget|subscription|delivery|line|credit)
  (?:not|never) going to (?:get|have|make|be|finish|see|reach|hold|last|work|happen)
  (?:going to|will|would|about to|likely to|bound to|might|may|could) (?:miss|lose|overrun|run (?:late|out|over|short)|be (?:late|delayed|overdue|short|too late|fined|sued|stranded|behind)|slip|fail|go under|cost us)
  (?:have|has|had|'ve|'s) (?:overspent|overrun|double-booked|underestimated|miscounted|miscalculated|undercharged|overlooked|run (?:out|short|low|aground))
  (?:costs?|prices?|rents?|fees?|fares?|rates?|premiums?)(?: \\p{L}+){0,3} (?:have |has |had )?(?:gone|shot|went|going|goes|go|rise|rises|rising|jump|risen|rose|doubled|tripled|climbed|jumped)
  (?:sales|takings|bookings|orders|numbers|attendance|visitors|revenue|turnover|income|applications|ticket sales|entries)(?: \\p{L}+){0,4} (?:fell|dropped|collapsed|lag|lagging|halved|(?:are|is|have|has|were|was) (?:well |far |way |much |badly |still )?(?:below|down|poor|behind|low|lower|fallen|dropped|halved|collapsed|disappointing|weak|dried))
  (?:in the red|in arrears|over budget|over the budget|short of (?:cash|funds|money|staff|hands|time)|out of (?:pocket|funds|cash|money)|can't afford|cannot afford|eats? into|blows? the budget|won't stretch)
  (?:refused|denied|withheld|withdrawn|revoked|turned down|thrown out|rejected|declined|blocked|vetoed) (?:us |our |the |my |his |her |their |a |planning )?(?:permission|permit|licence|license|application|loan|claim|visa|request|appeal|grant|entry|access|bid|offer|plans?|drawings?|payment|card|cheque)
  (?:permission|the permit|the licence|the license|the application|our application|the loan|the claim|the grant|the bid|our bid|the visa|the plans?)(?: \\p{L}+){0,3} (?:was|were|has been|have been|is|got) (?:refused|denied|withdrawn|revoked|turned down|thrown out|rejected|blocked|lost|declined|frozen|suspended)
  (?:impounded|seized|confiscated|quarantined|embargoed|stranded|marooned|stuck (?:at|in|on|behind|with)|held (?:at|by|up|back) |holding (?:up |back )?(?:the|our|all|it|them)|sitting (?:at|in) customs)
  (?:nobody|no one|none of (?:them|us|the \\p{L}+)|hardly (?:anyone|anybody)|not one|only (?:two|three|four|five|six|half|a handful)(?: of \\p{L}+)?)(?: \\p{L}+)? (?:turned up|came|answers|answered|showed|shows|replied|responded|signed up|applied|bought|bid|registered|told (?:us|me)|picks? up)
  (?:cut off|without (?:power|water|heating|electricity|gas|a (?:driver|cook|venue|room|speaker|sponsor|teacher|permit))|no (?:power|water|heating|electricity|signal|reception))
  (?:shut up shop|closed its doors|closed their doors|ceased trading|out of business)
  (?:at risk|in danger|in jeopardy|under threat|hangs? (?:by a thread|in the balance)|touch and go|on the brink|a matter of days|cutting it fine|too tight|against the clock)
  (?:clash|clashes|clashed|collides?) with
  (?:does not|doesn't|do not|don't|did not|didn't) (?:comply|conform|meet (?:the|our|your)|match (?:the|our|your)|pass)
  not (?:selling|sold|delivered|paid|covered|insured|licensed|approved|signed|cleared|ready) (?:yet|after|despite|and|in time)
  (?:is|are|was|were|will be) (?:\\p{L}+ )?(?:late|overdue|delayed|behindhand)(?: again| with| by|[.,;!]|$)
`);

/** "Nobody turned up", "we are over budget": means that are lacking. */
export const meansLack: KindRule = {
  name: "money, time, help or permission is lacking",
  confidence: 0.75,
  says: "trouble",
  find: ({ text }) => (TURNS.test(toldIn(text)) ? "trouble" : null),
};
