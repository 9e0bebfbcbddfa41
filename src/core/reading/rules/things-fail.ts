import type { KindRule } from "../kind-rule";
import { toldIn } from "../not-trouble";
import { phrases } from "../phrases";

/** Turns by which people say that a thing no longer does what it should. */
const TURNS = phrases(`
  (?:has|have|had) (?:stripped|blown|lost|thrown|shed|cracked|split|broken|burst|bent|snapped|worn|chewed) (?:its|their|a|an|the|his|her|our|all)
  (?:is|are|was|were|keeps?|keep|started|starting) (?:smudging|smearing|creaking|squeaking|scouring|jamming|bleeding|limping|blistering|curling|foaming|smelling|stinking|sticking|freezing|flickering)
  (?:printed|sent|came|published|made|delivered|posted|labelled) with (?:last year's|the wrong|an old|the old|a wrong)
  left (?:out |standing |lying )?in the (?:rain|sun|cold|snow|wet|frost|open)
  (?:tested|test|tests) positive
  (?:misread|misheard|mistook|misunderstood|misspelt|misspelled|misjudged|miscounted|misprinted|misplaced|misdirected)
  (?:gave|given|let|sold|promised) (?:our|your|my|the|their) \\p{L}+(?: \\p{L}+)? (?:away|to (?:somebody|someone|another|others))
  makes? (?:a|an) (?:\\p{L}+ )?(?:sound|rattle|racket|clunk|knock)
  (?:'s|is|are|was|were|looks?|feels?)(?: \\p{L}+)? (?:knackered|buggered|shot|bust|busted|dodgy|iffy|ropey|shoddy|sloppy|appalling|disgraceful|dreadful|terrible|awful|horrible|very bad|very poor|a (?:mess|shambles|disaster|nightmare|catastrophe|scandal|disgrace|hazard|health hazard|fire hazard|death trap|eyesore|bottleneck|showstopper|dead end|problem|worry)|chaos|at rock bottom|broke)
  (?:lets?|letting|let) in (?:water|rain|the rain|draughts?)
  (?:hit|hits|struck|run into|ran into|met with) (?:rock|water|a (?:snag|problem|wall|pipe|cable|bump|brick wall)|trouble|problems|difficulties|resistance)
  (?:wheezing|rattling|grinding|squealing|clanking|knocking|spluttering|limping|gasping)
  (?:seeing|getting|having|had|have|got|reporting|with|give|gives|giving|throws?|throwing) (?:some |a lot of |many |constant |terrible |no end of )?(?:errors|problems|trouble|issues|complaints|failures|difficulties|timeouts|crashes)
  (?:has|have)(?<!\\b(?:nothing|nobody|none) (?:has|have)) been (?:revoked|withdrawn|refused|suspended|rejected|stopped|terminated|lost|stolen|delayed|damaged|leaked|forced)
  (?:came|come|arrived|turned up|delivered|received)(?: \\p{L}+)? (?:wet|twisted|late|empty|short|cold|warped|bent|unfinished|unlabelled|unpacked|damaged|in (?:a )?(?:damaged|bad|poor|terrible) (?:condition|state))
  (?:dogs?|goats?|mouse|mice|rats?|moths?|cats?|birds|pigeons?|slugs|deer|fox|foxes|squirrels?|crows|caterpillars|beetles|horses?|sheep|pigs?) (?:has |have )?(?:ate|eaten|eat|chewed|got (?:at|into|out|loose)|gnawed|nibbled|taken|trampled|dug|escaped)
  (?:didn't|did not|hasn't|haven't|wasn't|weren't)(?<!\\b(?:i|we|you|one)(?: (?:still|really|also|just|simply))? (?:didn't|did not|hasn't|haven't|wasn't|weren't)) (?!mine\\b|ours\\b|his\\b|hers\\b|there\\b|cost|mind|matter|hurt|need|include|charge|have to|take long|too|that|so|very|bad|any|a\\b|an\\b|the\\b|even|expensive)\\p{L}+
  (?:goes|go|going|went) off (?:every|all|for no|again|at night)
  nothing (?:is |'s )?(?:moving|moves|happens|happening|works|working|doing|gets done|being done)
  (?:charged|billed|invoiced|debited) (?:twice|double|too much|again|for (?:things|something|work|goods|a))
  missed (?:another|a|the|its|their|his|her|our) (?:milestone|deadline|date|target|appointment|train|boat|slot|payment|delivery|ferry|connection)
  (?:conflict|clash|collision) with
  (?:can't|cannot|won't)(?<!\\b(?:i|we|you|one)(?: (?:still|really|also|just|simply|certainly|definitely))? (?:can't|cannot|won't)) (?!for|always|stand|wait|hurt|believe|help|mind|say|be (?:long|needed|required|necessary|there|at|in|back|away)|thank|imagine|bite|need|regret|matter|complain|do any|have to|know)\\p{L}+
  (?:far|much|way|altogether) too \\p{L}+
  (?:minutes?|seconds?|hours?|days?|weeks?|metres?|centimetres?|millimetres?|inches|feet) (?:slow|fast|short|too \\p{L}+|out|behind|overdue)
  (?:came|come|sent|returned) back (?:undelivered|empty|unsigned|unopened|unpaid|damaged|broken|with(?! (?:an? (?:answer|offer|price|figure|idea|proposal|date)|changes|questions|comments|ideas|figures|some))|to us|again)
  (?:is|are|was|were|falls?|fell)(?: (?:well|far|just|already|now|way))? (?:below|under|over|above|beyond|outside) the (?:legal |permitted |agreed |allowed )?(?:limits?|minimum|maximum|threshold|tolerance|norm)
  (?:wasps|hornets|ants|fleas|ticks|snakes|pigeons|a nest|squatters|intruders) (?:in|under|behind|on|all over) (?:the|our|my)
  (?:parked|standing|lying|left) (?:across|in front of|right across|on top of) (?:the|our|my) \\p{L}+
  (?:is|are|was|were|has been|have been|got) cut (?:off|by|through|short)
  (?:is|are|was|were|looks?|seems?|feels?|became|has become|have become|went|gone|got|turned|'s|been)(?: (?:so|very|too|quite|all|totally|completely|already|still|rather|really|simply|a bit|slightly|badly|now|just|again|no longer|not))* (?:damp|wet through|uneven|wobbly|dying|illegal|invalid|expired|false|incorrect|inaccurate|unreadable|unrealistic|impossible|hopeless|slippery|filthy|stained|smelly|bitter|rancid|infested|overgrown|overrun|overcrowded|unpaid|unfinished|unavailable|unreachable|unreliable|forbidden|undrinkable|inedible|unhygienic|untenable|overloaded|misaligned|misprinted|misspelt|out of tune|out of date|out of control|full of (?:mistakes|errors|typos|holes|water|mould|mice|sand|dust))
  no longer (?:realistic|valid|available|possible|safe|working|straight|watertight|with us|open|sold|made|covered|tenable|credible|affordable|an option|hold|holds)
  (?:left out|leaves out|skipped|omitted|swallowed|wiped|mangled|garbled|scrambled|messed up|botched|bungled|ruined|spoilt|spoiled|overwrote|wrecked) (?:the|our|my|a|an|all|two|three|half|every|one|some|his|her|their)
  (?:is|are|'s|'re|gone|went|go) through the roof
  (?:am|are|is|'m|'re|'s) losing money
  (?:backed|drove|driven|crashed|ploughed|rolled|skidded|smashed|bumped|reversed|run|ran) into (?:the|our|a|my|somebody|someone|one)
  (?:has|have|had) (?:been )?(?:forced|thawed|defrosted|melted|perished|wilted|shrunk|shrivelled|rusted|rotted|set|hardened|gone (?:hard|soft|off|flat|dead|black|green))
  (?:cracked|warped|shrank|snapped|seized up|rusted|rotted|perished|wilted|flooded|thawed|defrosted|melted|collapsed|toppled|overheated|blew up|boiled over)(?! (?:into|the (?:whip|code)|down))
  (?:water|rain|smoke|sewage|oil|gas|snow|sand|wind|damp|fumes)(?: is| was| has| has been| keeps| kept)? (?:coming|came|pouring|poured|dripping|getting|got|seeping|leaking|running|runs|everywhere|gushing) ?(?:in|through|out|under|down|over|up|everywhere|from)?
  (?:came|come|coming|blown|brought) (?:down|off) (?:in|during|with|after|because of) (?:the|last|a|that|yesterday's) \\p{L}+
  (?:ran|runs|run|running|has run|have run) (?:out|dry|aground)(?! of the (?:door|house|room|building|gate)| (?:at the end|on the|in) )
  (?:owing|owes|owed) (?:us|me) .{2,40} (?:weeks|months|since|for)
  (?:been owing|still owing)
  (?:stone cold|ice[- ]cold|lukewarm|half[- ]raw|undercooked|overcooked|burnt to)
  remains? (?:outstanding|unpaid|unanswered|unresolved|unsolved|broken|closed|dark|missing)
  (?:has|have|had) (?:\\p{L}+ ){1,3}not (?:arrived|come|appeared|turned up|reached|been paid|been sent)
  (?:has|have|'s|'ve|had) run out of
  (?:has|have|had|with|there's|there is|got) no (?:pressure|power|sound|signal|heating|water|electricity|hot water|light|grip|brakes|reception)
  (?:gives?|shows?|getting|see|displays?) (?:us |me )?(?:a |an )?(?:blank|empty|black|white) (?:page|screen|sheet)
  (?:is|are|'s|was|were) (?:out|down|off|dead|dark|broken|stuck|blocked) again
  (?:queue|orders?|work|mail|letters|complaints|tickets)(?: \\p{L}+)? (?:is |are |'s )?(?:backing|piling) up
  off (?:her|his|its|their) (?:food|feed)
  not (?:emptied|cleaned|delivered|signed|paid|fitted|labelled|packed|returned|finished|included)(?=[.!]?$)
  nothing (?:left )?to (?:wear|eat|drink|sell|serve)
  (?:expired|lapsed)
  (?:there (?:is|are|was|were)|there's|has|have|had|found|shows?|full of|several|some|with|contains?|got|riddled with|noticed|see|seen) (?:a |an |some |many |several |more |two |three |four |bad |big |fresh |new |serious |hairline |deep |lots of |a lot of |plenty of )*(?:mistakes?|errors?|typos?|faults?|defects?|flaws?|cracks?|leaks?|scratches|dents?|stains?|discrepanc(?:y|ies)|delays?|shortages?|puddles?|vermin|burn marks?|mould|rust|damage|losses|bruises|break-ins?|gaps?|holes?|outages?|power cuts?)
  (?:two|three|four|five|ten|several|many) times (?:what|the|as much|as high|more)
  (?:much |far |considerably |way )?(?:higher|dearer|more expensive|longer|worse|less|lower|smaller|heavier|poorer) than (?:quoted|agreed|ordered|planned|expected|promised|budgeted|what (?:was|we|you)|the (?:quote|estimate|drawing|plan|budget|offer|order))
  (?:went|gone|go|going) to (?:somebody|someone|the wrong|another (?:customer|address|house|client|shop|branch|firm|company|hotel|school))
  (?:was|were|been|is|are) (?:given|sold|let|promised|rented|shipped|sent|delivered|handed) to (?:somebody|someone|the wrong|another|other)
  (?:was|were|been) promised .{2,50} (?:but|and (?:it|now|nothing|there|still|we))
  (?:says|say|said|claims?|promised) .{2,60} (?:and|but) (?:it|they|he|she|that|there|this) (?:isn't|is not|aren't|are not|wasn't|doesn't|didn't|never|hasn't|haven't)
  (?:gave|given|giving|gives) (?:up the ghost|up the will to live|up on (?:us|me)|up altogether|out|way)
  (?:has |have |had )?(?:packed (?:up|in)|conked out|blown up|seized up|jammed up|cut out|tripped|shorted|run aground|capsized|sunk|derailed|curdled|congealed)
  (?:on the blink|out of order|on (?:its|their|his|her) last legs|beyond repair|past saving|not fit for|a write-off|write it off|written off|up in smoke)
  (?:is|are|was|were|has been|have been|started|keeps?|keep|been)(?: \\p{L}+)? (?:peeling|flaking|crumbling|sagging|rusting|leaking|dripping|fraying|fading|cracking|splitting|warping|bubbling|rotting|wilting|shrinking|slipping|stalling|lagging|overheating|smoking|sparking|misfiring|buckling|subsiding|seizing|swelling)
  (?:is|are|was|were|has been|have been|keeps?|keep|came|comes?|come|gone|went|started)(?: \\p{L}+)? (?:coming|falling|wearing|breaking|dropping|blowing|washing|rubbing|tearing|flying) (?:off|loose|away|apart|undone|out|through|down|over|in|to pieces|to bits)
  (?:comes?|came|rubs?|rubbed|flakes?|fell|falls?|broke|breaks?|snapped|sheared|dropped|drops?|blew|washed|tore|chipped) (?:off|loose|apart|to pieces|to bits|in half|in two)
  (?:is|are|was|were)(?: still| now| just| simply)? not (?:selling|working|responding|answering|moving|heating|cooling|closing|opening|draining|charging|printing|growing|eating|coming|holding|matching|running|starting|going well|going to (?:be|make|work|happen|fit|finish|last|plan|get)|getting (?:through|paid|better)|paying|reaching|delivering|enough|good enough|up to|safe|sterile|level|straight|watertight|as (?:ordered|agreed|described)|what (?:we|i|was)|usable|legible)
  (?:isn't|aren't|wasn't|weren't) (?:selling|working|responding|answering|moving|heating|cooling|closing|opening|draining|charging|printing|growing|eating|coming|holding|running|starting|going (?:well|to)|enough|good enough|up to|safe|what (?:we|i|was)|as (?:ordered|agreed))
  (?:won't|will not|wouldn't|would not) (?:start|stretch|last|be enough|hold|shut|close|open|turn|budge|charge|cover|cope|manage|dry|stick|set|go (?:away|in|through|on|off)|stop|take|pay|accept|sign|play|make (?:it|the)|meet|keep|be (?:able|ready|finished|done|back|there|in time|enough|delivered|possible)|arrive|work|fit|finish)
  (?:doesn't|does not|don't|do not|didn't|did not) (?:work|hold|fit|stick|close|shut|lock|start|add up|match|arrive|dry|stretch|reach|cover|stop|respond|react|heat|cool|drain|cut|ring|switch|run|show up|look right|taste right|pay|turn up|get here|go in|seal|balance)
  (?:both|two|three|all|our|the|one|front|rear|back|tyres?|tires?|battery|batteries) (?:\\p{L}+ )?(?:is|are|was|were|went|has gone|have gone) (?:flat|blunt|bent|crooked|stiff|unsafe|mouldy|moldy|sour|stale|cloudy|dead|empty|bone dry|loose|wobbly|filthy|infested|unusable|waterlogged|overgrown|illegible|bust|buckled|charred|scorched|soggy|wrecked)
  (?:mould|mold|dry rot|wet rot|rising damp|woodworm|mice|rats|moths|cockroaches|bedbugs|head lice|lice|vermin|weevils|blight|mildew|fungus|an infestation|an infection|an outbreak|asbestos|legionella|salmonella)(?= |[.,;!]|$)(?! (?:trap|resistant|proof|free|control|treatment))
  (?:found|discovered|bit on|came across) (?:a |an |some |bits of |pieces of |splinters of |traces of )?(?:metal|glass|plastic|dead|rusty|mouldy|foreign|broken|sharp|blood|hair)
  (?:wasps?'?|wasps' |hornets?'?|ants?'?|rats?'?|mouse|bees'?) nests?
  (?:got|was|were|been|is|are) (?:stung|bitten|injured|hurt|scalded|attacked|robbed|mugged)
  had to (?:be )?(?:throw|thrown|scrap|scrapped|bin|binned|redo|redone|repeat|repeated|cancel|cancelled|destroy|destroyed|abandon|abandoned|turn (?:people|guests|them)|send (?:people|guests|them|it) (?:home|back)|close|shut|evacuate|stop|be (?:towed|rescued|withdrawn|recalled|put down))
  (?:went|gone|goes|go) (?:astray|missing|wrong|haywire|to waste|up in flames|belly up|off the rails|pear-shaped|bust|under|bankrupt)
  (?:vanished|disappeared|nowhere to be found|unaccounted for|mislaid|misplaced|gone walkabout)
  (?:seem|seems|appear|appears|must) to have (?:lost|forgotten|mislaid|misplaced|missed|mixed|made a mistake|gone|sent|deleted|vanished)
  (?:got|get|gets|getting)(?: \\p{L}+)? (?:soaked|wet|lost|stuck|stolen|damaged|crushed|squashed|dented|burned|burnt|flooded|contaminated|mixed up|muddled|tangled|delayed|wrecked)
  on (?:its|their|the) way out\\b
  (?:i|we) (?:do not|don't) like the (?:look|sound|smell|feel) of
  left (?:the|our|my|a) (?:\\p{L}+ ){1,4}?(?:open|unlocked|running|unattended|switched on)\\b
  (?:much |far |even |a lot |a good deal )?worse (?:than|off|again)\\b
  (?:drops|cuts) out\\b
  (?:has|have) put (?:the |its |their |his |her )?prices? up
  prices? (?:has|have) (?:gone up|doubled|risen|increased|trebled|tripled)
  constitutes? (?:a|an) (?:danger|risk|hazard|breach|obstruction|nuisance|offence)
  (?:soaked|drenched|flooded|swamped|ruined|wrecked|scorched|crushed|flattened|trampled|vandalised|smashed|destroyed|gutted|gnawed|eaten) (?:the|our|all|half|most|two|three|through|by|a|an|everything)
  (?:stops?|sticks?|jams?|fails?|trips?|freezes?|cuts? out|breaks? down|drops? out|crashes|seizes?|leaks?|floods?|stalls?) (?:\\p{L}+ ){0,6}?(?:once|twice|three times|several times|every few|every other) (?:(?:a|an|every) )?(?:minutes|hours|days|day|week|night|hour|shift|morning|run)
  (?:split|curdled|collapsed|capsized|overflowed|overran|exploded|caught fire|burst|snapped|melted|shattered|derailed|imploded)(?= |[.,;!]|$)(?! (?:into|between|the (?:bill|cost|work|order|difference)|it (?:between|into)))
`);

/** "The oven gave up the ghost", "the door jams": trouble with things, in the turns people use for it. */
export const thingsFail: KindRule = {
  name: "a thing does not do what it should",
  confidence: 0.75,
  counts: 1.2,
  says: "trouble",
  find: ({ text }) => (TURNS.test(toldIn(text)) ? "trouble" : null),
};
