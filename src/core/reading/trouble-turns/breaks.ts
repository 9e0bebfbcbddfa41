/** Things break, wear out, leak and spoil: "the pipe burst", "it is on its last legs". Turns as `phrases` takes them. */
export const BREAKS = `
  (?:has|have|had) (?:stripped|blown|lost|thrown|shed|cracked|split|broken|burst|bent|snapped|worn|chewed) (?:its|their|a|an|the|his|her|our|all)
  (?:is|are|was|were|keeps?|keep|started|starting) (?:smudging|smearing|creaking|squeaking|scouring|jamming|bleeding|limping|blistering|curling|foaming|smelling|stinking|sticking|freezing|flickering)
  makes? (?:a|an) (?:\\p{L}+ )?(?:sound|rattle|racket|clunk|knock)
  (?:'s|is|are|was|were|looks?|feels?)(?: \\p{L}+)? (?:knackered|buggered|shot|bust|busted|dodgy|iffy|ropey|shoddy|sloppy|appalling|disgraceful|dreadful|terrible|awful|horrible|very bad|very poor|a (?:mess|shambles|disaster|nightmare|catastrophe|scandal|disgrace|hazard|health hazard|fire hazard|death trap|eyesore|bottleneck|showstopper|dead end|problem|worry)|chaos|at rock bottom|broke)
  (?:lets?|letting|let) in (?:water|rain|the rain|draughts?)
  (?:wheezing|rattling|grinding|squealing|clanking|knocking|spluttering|limping|gasping)
  (?:is|are|was|were|looks?|seems?|feels?|became|has become|have become|went|gone|got|turned|'s|been)(?: (?:so|very|too|quite|all|totally|completely|already|still|rather|really|simply|a bit|slightly|badly|now|just|again|no longer|not))* (?:damp|wet through|uneven|wobbly|dying|illegal|invalid|expired|false|incorrect|inaccurate|unreadable|unrealistic|impossible|hopeless|slippery|filthy|stained|smelly|bitter|rancid|infested|overgrown|overrun|overcrowded|unpaid|unfinished|unavailable|unreachable|unreliable|forbidden|undrinkable|inedible|unhygienic|untenable|overloaded|misaligned|misprinted|misspelt|out of tune|out of date|out of control|full of (?:mistakes|errors|typos|holes|water|mould|mice|sand|dust))
  (?:has|have|had) (?:been )?(?:forced|thawed|defrosted|melted|perished|wilted|shrunk|shrivelled|rusted|rotted|set|hardened|gone (?:hard|soft|off|flat|dead|black|green))
  (?:cracked|warped|shrank|snapped|seized up|rusted|rotted|perished|wilted|flooded|thawed|defrosted|melted|collapsed|toppled|overheated|blew up|boiled over)(?! (?:into|the (?:whip|code)|down))
  (?:water|rain|smoke|sewage|oil|gas|snow|sand|wind|damp|fumes)(?: is| was| has| has been| keeps| kept)? (?:coming|came|pouring|poured|dripping|getting|got|seeping|leaking|running|runs|everywhere|gushing) ?(?:in|through|out|under|down|over|up|everywhere|from)?
  (?:stone cold|ice[- ]cold|lukewarm|half[- ]raw|undercooked|overcooked|burnt to)
  (?:has|have|had|with|there's|there is|got) no (?:pressure|power|sound|signal|heating|water|electricity|hot water|light|grip|brakes|reception)
  (?:gives?|shows?|getting|see|displays?) (?:us |me )?(?:a |an )?(?:blank|empty|black|white) (?:page|screen|sheet)
  (?:is|are|'s|was|were) (?:out|down|off|dead|dark|broken|stuck|blocked) again
  (?:gave|given|giving|gives) (?:up the ghost|up the will to live|up on (?:us|me)|up altogether|out|way)
  (?:has |have |had )?(?:packed (?:up|in)|conked out|blown up|seized up|jammed up|cut out|tripped|shorted|run aground|capsized|sunk|derailed|curdled|congealed)
  (?:on the blink|out of order|on (?:its|their|his|her) last legs|beyond repair|past saving|not fit for|a write-off|write it off|written off|up in smoke)
  (?:is|are|was|were|has been|have been|started|keeps?|keep|been)(?: \\p{L}+)? (?:peeling|flaking|crumbling|sagging|rusting|leaking|dripping|fraying|fading|cracking|splitting|warping|bubbling|rotting|wilting|shrinking|slipping|stalling|lagging|overheating|smoking|sparking|misfiring|buckling|subsiding|seizing|swelling)
  (?:is|are|was|were|has been|have been|keeps?|keep|came|comes?|come|gone|went|started)(?: \\p{L}+)? (?:coming|falling|wearing|breaking|dropping|blowing|washing|rubbing|tearing|flying) (?:off|loose|away|apart|undone|out|through|down|over|in|to pieces|to bits)
  (?:comes?|came|rubs?|rubbed|flakes?|fell|falls?|broke|breaks?|snapped|sheared|dropped|drops?|blew|washed|tore|chipped) (?:off|loose|apart|to pieces|to bits|in half|in two)
  (?:both|two|three|all|our|the|one|front|rear|back|tyres?|tires?|battery|batteries) (?:\\p{L}+ )?(?:is|are|was|were|went|has gone|have gone) (?:flat|blunt|bent|crooked|stiff|unsafe|mouldy|moldy|sour|stale|cloudy|dead|empty|bone dry|loose|wobbly|filthy|infested|unusable|waterlogged|overgrown|illegible|bust|buckled|charred|scorched|soggy|wrecked)
  on (?:its|their|the) way out\\b
  (?:food|soup|meals?|lunch|dinner|radiators?|water|coffee|tea|flat|chips)(?: in \\p{L}+ \\p{L}+)? (?:is|are|was|were) (?:stone |ice |too |almost )?(?:cold|brown|cloudy|off|sour)(?=[.,;!]|$| (?:again|when|on most|every|by the time))
  (?:fish|milk|meat|cellar|drain|fridge|chicken|eggs?|tank|room) (?:smelt|smells|smelled|stinks|stank)
  (?:closes|stops|switches off|shuts down|goes off|turns off|starts) by itself
  (?:does|did) nothing\\b(?= when| at all|[.,;!]|$)
  (?:stops?|stopped|hangs|sticks) (?:halfway|half way|in the middle|after (?:a few|ten|five|two|an?) )
  (?:been )?standing still (?:since|for)
  (?:out of service|gone out again|went out again)
  (?:has|have|had|with|there is|there's) (?:a|an) (?:deep |big |long |nasty |bad |huge |small |ugly )?(?:scratch|dent|crack|hole|stain|tear|chip|burn mark|leak|kink)
  looks? (?:all )?wrong\\b
`;
