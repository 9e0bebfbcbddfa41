/** What is mixed up, lost, late, wrongly charged or too much: "it went to somebody else", "we were charged twice". Turns as `phrases` takes them. */
export const GOES_ASTRAY = `
  (?:printed|sent|came|published|made|delivered|posted|labelled) with (?:last year's|the wrong|an old|the old|a wrong)
  (?:misread|misheard|mistook|misunderstood|misspelt|misspelled|misjudged|miscounted|misprinted|misplaced|misdirected)
  (?:gave|given|let|sold|promised) (?:our|your|my|the|their) \\p{L}+(?: \\p{L}+)? (?:away|to (?:somebody|someone|another|others))
  (?:has|have)(?<!\\b(?:nothing|nobody|none) (?:has|have)) been (?:revoked|withdrawn|refused|suspended|rejected|stopped|terminated|lost|stolen|delayed|damaged|leaked|forced)
  (?:came|come|arrived|turned up|delivered|received)(?: \\p{L}+)? (?:wet|twisted|late|empty|short|cold|warped|bent|unfinished|unlabelled|unpacked|damaged|in (?:a )?(?:damaged|bad|poor|terrible) (?:condition|state))
  (?:charged|billed|invoiced|debited) (?:twice|double|too much|again|for (?:things|something|work|goods|a))
  missed (?:another|a|the|its|their|his|her|our) (?:milestone|deadline|date|target|appointment|train|boat|slot|payment|delivery|ferry|connection)
  (?:conflict|clash|collision) with
  (?:far|much|way|altogether) too \\p{L}+
  (?:minutes?|seconds?|hours?|days?|weeks?|metres?|centimetres?|millimetres?|inches|feet) (?:slow|fast|short|too \\p{L}+|out|behind|overdue)
  (?:came|come|sent|returned) back (?:undelivered|empty|unsigned|unopened|unpaid|damaged|broken|with(?! (?:an? (?:answer|offer|price|figure|idea|proposal|date)|changes|questions|comments|ideas|figures|some))|to us|again)
  (?:is|are|was|were|falls?|fell)(?: (?:well|far|just|already|now|way))? (?:below|under|over|above|beyond|outside) the (?:legal |permitted |agreed |allowed )?(?:limits?|minimum|maximum|threshold|tolerance|norm)
  (?:left out|leaves out|skipped|omitted|swallowed|wiped|mangled|garbled|scrambled|messed up|botched|bungled|ruined|spoilt|spoiled|overwrote|wrecked) (?:the|our|my|a|an|all|two|three|half|every|one|some|his|her|their)
  (?:is|are|'s|'re|gone|went|go) through the roof
  (?:am|are|is|'m|'re|'s) losing money
  (?:owing|owes|owed) (?:us|me) .{2,40} (?:weeks|months|since|for)
  (?:been owing|still owing)
  (?:two|three|four|five|ten|several|many) times (?:what|the|as much|as high|more)
  (?:much |far |considerably |way )?(?:higher|dearer|more expensive|longer|worse|less|lower|smaller|heavier|poorer) than (?:quoted|agreed|ordered|planned|expected|promised|budgeted|what (?:was|we|you)|the (?:quote|estimate|drawing|plan|budget|offer|order))
  (?:went|gone|go|going) to (?:somebody|someone|the wrong|another (?:customer|address|house|client|shop|branch|firm|company|hotel|school))
  (?:was|were|been|is|are) (?:given|sold|let|promised|rented|shipped|sent|delivered|handed) to (?:somebody|someone|the wrong|another|other)
  (?:was|were|been) promised .{2,50} (?:but|and (?:it|now|nothing|there|still|we))
  (?:says|say|said|claims?|promised) .{2,60} (?:and|but) (?:it|they|he|she|that|there|this) (?:isn't|is not|aren't|are not|wasn't|doesn't|didn't|never|hasn't|haven't)
  (?:went|gone|goes|go) (?:astray|missing|wrong|haywire|to waste|up in flames|belly up|off the rails|pear-shaped|bust|under|bankrupt)
  (?:vanished|disappeared|nowhere to be found|unaccounted for|mislaid|misplaced|gone walkabout)
  (?:seem|seems|appear|appears|must) to have (?:lost|forgotten|mislaid|misplaced|missed|mixed|made a mistake|gone|sent|deleted|vanished)
  (?:got|get|gets|getting)(?: \\p{L}+)? (?:soaked|wet|lost|stuck|stolen|damaged|crushed|squashed|dented|burned|burnt|flooded|contaminated|mixed up|muddled|tangled|delayed|wrecked)
  (?:much |far |even |a lot |a good deal )?worse (?:than|off|again)\\b
  (?:drops|cuts) out\\b
  (?:has|have) put (?:the |its |their |his |her )?prices? up
  prices? (?:has|have) (?:gone up|doubled|risen|increased|trebled|tripled)
  constitutes? (?:a|an) (?:danger|risk|hazard|breach|obstruction|nuisance|offence)
  (?:soaked|drenched|flooded|swamped|ruined|wrecked|scorched|crushed|flattened|trampled|vandalised|smashed|destroyed|gutted|gnawed|eaten) (?:the|our|all|half|most|two|three|through|by|a|an|everything)
  (?:stops?|sticks?|jams?|fails?|trips?|freezes?|cuts? out|breaks? down|drops? out|crashes|seizes?|leaks?|floods?|stalls?) (?:\\p{L}+ ){0,6}?(?:once|twice|three times|several times|every few|every other) (?:(?:a|an|every) )?(?:minutes|hours|days|day|week|night|hour|shift|morning|run)
  (?:split|curdled|collapsed|capsized|overflowed|overran|exploded|caught fire|burst|snapped|melted|shattered|derailed|imploded)(?= |[.,;!]|$)(?! (?:into|between|the (?:bill|cost|work|order|difference)|it (?:between|into)))
  (?:sent|gave|given|delivered|brought|got) (?:me|us|him|her|them) (?:somebody|someone|another \\p{L}+) else's
  (?:although|though|but|while) (?:we|i)(?:'d| had)? (?:ordered|asked for|paid for|booked|hired|agreed on)
  (?:sent|delivered|brought|came with) .{2,30} (?:instead of|and not) 
  (?:lists?|versions?|figures|plans?|drawings?|statements?|accounts) (?:contradicts?|contradicted|differ|differs|disagree|clash)
  contradicts? (?:each other|itself|themselves|what|the|our|chapter|page)
  (?:nothing like|far from) (?:the (?:sample|drawing|picture|photo|plan|original)|what (?:we|i|you))
  (?:is|are|was|were|came|came out) (?:shorter|longer|smaller|bigger|larger|thinner|thicker|darker|lighter|narrower|wider) than (?:the|it|they) ?(?:others?|rest|sample|drawing|other|should|plan|picture|first)
  (?:found|noticed|counted|saw|shows|listed) (?:\\p{L}+|\\d+) (?:more )?(?:faults?|mistakes?|errors?|defects?|cracks?|leaks?|holes?|flaws?)
  (?:came|come|returned|sent|went) back (?:as|marked)
`;
