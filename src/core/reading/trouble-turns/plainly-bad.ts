/** What is bad is said plainly: "the line is very bad", "it has happened again", "nobody told us". Turns as `phrases` takes them. */
export const PLAINLY_BAD = `
  (?:lights?|power|electricity|heating|internet|phones?|alarm|gas|sound|screens?) (?:went|has gone|have gone) (?:out|off|down)
  ^again (?:nobody|no one|nothing|no|the)
  (?:it's|it has|this has|that has|the same(?: thing)? has) (?:happened|gone wrong|occurred|broken down) (?:again|twice|three times|before)
  (?:keeps? happening|same thing (?:happened|has happened))
  (?:it|this|that|things|business|the \\p{L}+) (?:doesn't|does not|don't|didn't) look (?:good|right|well|promising)
  (?:isn't|is not|'s not|wasn't|was not|aren't|are not|not) (?:nearly |really )?(?:good enough|going (?:well|to plan))
  there (?:must|seems to|appears to|has to) (?:be|have been) (?:a|an|some) (?:mistake|error|misunderstanding|mix-up|problem|leak|fault)
  (?:doesn't|does not|don't) make (?:any )?sense|makes? no sense
  (?:i|we) (?:don't|do not|can't|cannot) understand (?:the|this|your) (?:bill|invoice|instructions|figures|letter|plan|drawings?|statement|contract)
  (?:i|we) (?:don't|do not) know (?:what to do|how to go on|how to cope|where to turn)|at (?:a loss|our wits' end|my wits' end)
  (?:i|we|they|people) (?:have|'ve) no idea (?:where|what to|how to|what has)
  (?:wasn't|weren't|was not|were not|was never|were never|(?:not|n't|never) been) (?:informed|asked|consulted|warned|notified)(?! (?:to|that|by|about|of|for|if|whether))
  (?:i|we) only (?:heard|learnt|learned|found out) (?:of it|about it|of this|today|yesterday|this morning|by chance)
  kept (?:us |me |them )?waiting|waited (?:in vain|for nothing)
  hung up on (?:me|us|him|her)
  (?:was|were|is|are|got) (?:very |quite |so |rather |extremely |terribly )?(?:rude|unfriendly|drunk|impolite|abusive|violent|careless|unhelpful|arrogant|aggressive)
  (?:is|are|am|'m|'re|was|were) (?:\\p{L}+ )?(?:exhausted|overworked|burnt out|at (?:the|our|my|their) limit|at breaking point|afraid of (?:him|her|it|them|the)|scared of|in despair|in tears|desperate)
  (?:parents|neighbours|tenants|residents|clients?|customers?|staff|pupils|board|council|mother|father|guests|mayor|members|owners?|villagers|workers|patients|teachers?)(?: \\p{L}+)? (?:is|are|was|were|gets?|got|is getting|are getting)(?: \\p{L}+)? (?:worried|afraid|scared|frightened|uneasy|alarmed|concerned|impatient|annoyed|in tears|disappointed)
  (?:can't|cannot|can not) cope
  too much (?:for (?:one|me|us|him|her|two)|on (?:my|our|her|his|their) plates?)
  (?:one|two|three|four|five|six|\\d+) (?:\\p{L}+ )?too (?:few|many|little)
  there (?:isn't|is not|aren't|are not) any(?: \\p{L}+)? left
  (?:not one|none|neither|only one|only two|hardly any) of (?:the|them|our|your|my|these|those)(?: \\p{L}+){0,3}? (?:works?|fits?|is working|are working|opens?|runs?|turned up|came|have come|arrived|closes?|sells?)
  (?:the|our|my|its|that|new|old|front|back) \\p{L}+ (?:rocks|creaks?|squeaks?|wobbles?|rattles?|drips?|smokes?|stinks?|sticks?|jams?|leaks?|flickers?|hums|buzzes|sags|smells?|clatters?)(?=[.!,;]|$| (?:again|badly|terribly|all|when|whenever|every|so|of|at|like))
  keeps? (?:going off|going out|ringing|coming off|coming loose|slipping|blowing|dripping|tripping|cutting out|jamming|refusing|disappearing)
  (?:computers?|network|internet|connection|line|server|website|system|app|service|reception|quality|print|lighting|signal|workmanship|acoustics|food|ventilation|air|view)(?: \\p{L}+)? (?:is|are|was|were|has become|have become|has been|gets)(?: \\p{L}+)? (?:slow|bad|poor|weak|terrible|awful|patchy|unstable|unbearable|dreadful|disappointing|too (?:quiet|loud|weak|faint|slow|dark|dry))
  (?:sheets|towels|toilets?|rooms?|floors?|kitchen|plates|glasses|cups|windows|beds?|carpets?|walls?) (?:is|are|was|were)(?: \\p{L}+)? (?:dirty|filthy|damp|unmade|sticky|wet|stained|mouldy|sooty)
  (?:hasn't|haven't|hadn't|has not|have not|had not) been (?!decided|announced|fixed|confirmed|settled|invited|agreed|set|needed|necessary|told|so|that|in|to|there|able|easy|any)(?:\\p{L}+ed|done|cut|swept|sent|paid|made|put|built|begun|written|dealt with|seen to)(?! (?:yet\\?|by us))
  nothing (?:has|had)(?: really)? (?:been done|happened|moved|changed|come of it)
  (?:has|have|had) been no (?:progress|movement|improvement|answer|reply|change)|no (?:further|nearer) than (?:in|at|before|last|a)
  (?:'ll|will|going to|bound to) miss (?:the|our|that|this|its|their) (?:deadline|date|train|flight|ferry|boat|slot|delivery|target|connection|opening)
  will cost (?:us |me |you )?(?:more|twice|double|another|extra|far|the (?:contract|client|order))
  cost(?:s)? (?:us|me|them) (?:a (?:whole|full)|two|three|four|days|weeks|\\d|£|\\$|€|dear)
  (?:lost|losing|lose) (?:£|€|\\$)?\\d[\\d.,]*(?= (?:on|in|by|with|a)\\b|[.!,;]|$)
  (?:is|are|went|has gone|have gone|gone) (?:bankrupt|out of business|into administration)
  (?:shop|factory|firm|branch|pub|school|supplier|dealer|mill|plant|depot|company|line|service|station) (?:is|are|has|have)(?: been)? (?:closing|closed|shut|shutting|folding)(?: down)?(?: for good|(?= in |[.!,;]|$))
  (?:has|have|'ve) (?:stopped|given up|ceased|discontinued) (?:making|selling|producing|delivering|printing|offering|stocking)
  (?:don't|doesn't|do not|does not) (?:make|sell|stock|produce|print|do|offer) (?:it|them|those|this|that|these)(?: \\p{L}+)? any ?more
  (?:no longer in use|not in use any more)|(?:number|address|account|link|page|street|firm|company) (?:doesn't|does not|don't) exist
  (?:mail|letters?|cheques?|parcels?|cards?|e-mails?|checks?|invoices?|forms?|boxes|box|flyers|invitations?) (?:came|has come|have come|was sent|were sent|went) back
  (?:customs|police|officials?|inspectors?|bailiffs?)(?: officers?)? (?:has |have )?(?:kept|took|taken|seized|towed|stopped|confiscated|impounded|held|sealed|closed)
  (?:was|were|been|got)(?: \\p{L}+)? (?:towed(?: away)?|seized|confiscated|sprayed|slashed|smashed|ripped|vandali[sz]ed|broken into|knocked (?:over|down)|run over|dug up|chewed|flooded out|hacked|burgled)
  about to (?:collapse|break|burst|fall|fail|give way|run out|die|explode|go under|come down)
  (?:water|river|level|floodwater|damp|lake|tide) (?:is|are) (?:still )?(?:rising|spreading|coming)|(?:fire|damp|rot|infection|virus|mould) (?:has |is )?spread(?:s|ing)?
`;
