/** What beasts, weather, sickness and others do to us: "mice got at the flour", "a van is parked across the drive". Turns as `phrases` takes them. */
export const BEFALLS = `
  left (?:out |standing |lying )?in the (?:rain|sun|cold|snow|wet|frost|open)
  (?:tested|test|tests) positive
  (?:hit|hits|struck|run into|ran into|met with) (?:rock|water|a (?:snag|problem|wall|pipe|cable|bump|brick wall)|trouble|problems|difficulties|resistance)
  (?:seeing|getting|having|had|have|got|reporting|with|give|gives|giving|throws?|throwing) (?:some |a lot of |many |constant |terrible |no end of )?(?:errors|problems|trouble|issues|complaints|failures|difficulties|timeouts|crashes)
  (?:dogs?|goats?|mouse|mice|rats?|moths?|cats?|birds|pigeons?|slugs|deer|fox|foxes|squirrels?|crows|caterpillars|beetles|horses?|sheep|pigs?) (?:has |have )?(?:ate|eaten|eat|chewed|got (?:at|into|out|loose)|gnawed|nibbled|taken|trampled|dug|escaped)
  (?:wasps|hornets|ants|fleas|ticks|snakes|pigeons|a nest|squatters|intruders) (?:in|under|behind|on|all over) (?:the|our|my)
  (?:parked|standing|lying|left) (?:across|in front of|right across|on top of) (?:the|our|my) \\p{L}+
  (?:is|are|was|were|has been|have been|got) cut (?:off|by|through|short)
  (?:backed|drove|driven|crashed|ploughed|rolled|skidded|smashed|bumped|reversed|run|ran) into (?:the|our|a|my|somebody|someone|one)
  (?:came|come|coming|blown|brought) (?:down|off) (?:in|during|with|after|because of) (?:the|last|a|that|yesterday's) \\p{L}+
  off (?:her|his|its|their) (?:food|feed)
  (?:there (?:is|are|was|were)|there's|has|have|had|found|shows?|full of|several|some|with|contains?|got|riddled with|noticed|see|seen) (?:a |an |some |many |several |more |two |three |four |bad |big |fresh |new |serious |hairline |deep |lots of |a lot of |plenty of )*(?:mistakes?|errors?|typos?|faults?|defects?|flaws?|cracks?|leaks?|scratches|dents?|stains?|discrepanc(?:y|ies)|delays?|shortages?|puddles?|vermin|burn marks?|mould|rust|damage|losses|bruises|break-ins?|gaps?|holes?|outages?|power cuts?)
  (?:mould|mold|dry rot|wet rot|rising damp|woodworm|mice|rats|moths|cockroaches|bedbugs|head lice|lice|vermin|weevils|blight|mildew|fungus|an infestation|an infection|an outbreak|asbestos|legionella|salmonella)(?= |[.,;!]|$)(?! (?:trap|resistant|proof|free|control|treatment))
  (?:found|discovered|bit on|came across) (?:a |an |some |bits of |pieces of |splinters of |traces of )?(?:metal|glass|plastic|dead|rusty|mouldy|foreign|broken|sharp|blood|hair)
  (?:wasps?'?|wasps' |hornets?'?|ants?'?|rats?'?|mouse|bees'?) nests?
  (?:got|was|were|been|is|are) (?:stung|bitten|injured|hurt|scalded|attacked|robbed|mugged)
  had to (?:be )?(?:throw|thrown|scrap|scrapped|bin|binned|redo|redone|repeat|repeated|cancel|cancelled|destroy|destroyed|abandon|abandoned|turn (?:people|guests|them)|send (?:people|guests|them|it) (?:home|back)|close|shut|evacuate|stop|be (?:towed|rescued|withdrawn|recalled|put down))
  (?:i|we) (?:do not|don't) like the (?:look|sound|smell|feel) of
  left (?:the|our|my|a) (?:\\p{L}+ ){1,4}?(?:open|unlocked|running|unattended|switched on)\\b
  left (?:it|them|him|her|us|me|(?:the|our|my|your) \\p{L}+) (?:out |standing |lying )?in the (?:rain|sun|cold|snow|wet|frost)
  (?:frost|storm|wind|hail|rain|heat|drought|flood|snow|fire|lightning|fox|gale)(?: has| have)? (?:killed|ruined|spoilt|spoiled|destroyed|flattened|broke|broken|tore|torn|took|taken|burnt|got (?:in|into|at))
  there (?:was|has been|'s been) (?:a |an |another )(?:fire|flood|burglary|break-in|accident|theft|explosion|power cut|leak|fight)
  (?:guests?|child|children|boy|girl|man|woman|someone|somebody|people|pupils?|visitors?|workers?|customers?)(?: \\p{L}+)? (?:was|were|felt|fell|got|became|has been|have been) (?:sick|ill|unwell|dizzy)
  (?:dog|horse|cat|goose|snake|wasp|tick)s? (?:has |have )?(?:bit|bitten|stung|kicked|scratched) (?:the|a|an|our|my|his|her|him|somebody|someone|one|two)
  (?:car|van|lorry|truck|bike|gate|fence|wall|sign) (?:was|were|got|has been) hit
  parked (?:on|in|across) (?:the|our|my) (?:lawn|grass|drive|entrance|exit|flower|bed|bay|gate|pavement)
  (?:wound|stitches|tooth|knee|back|cut|leg|arm|ankle) (?:has |have )?(?:opened again|came open|still hurts?|hurts|is swollen|is infected|throbs)
`;
