/** Things do not do what they should, or not any more: "the door won't shut", "nothing works", "we have run out of glue". Turns as `phrases` takes them. */
export const DOES_NOT = `
  (?:didn't|did not|hasn't|haven't|wasn't|weren't)(?<!\\b(?:i|we|you|one)(?: (?:still|really|also|just|simply))? (?:didn't|did not|hasn't|haven't|wasn't|weren't)) (?!mine\\b|ours\\b|his\\b|hers\\b|there\\b|cost|mind|matter|hurt|need|include|charge|have to|take long|too|that|so|very|bad|any|a\\b|an\\b|the\\b|even|expensive)\\p{L}+
  (?:goes|go|going|went) off (?:every|all|for no|again|at night)
  nothing (?:is |'s )?(?:moving|moves|happens|happening|works|working|doing|gets done|being done)
  (?:can't|cannot|won't)(?<!\\b(?:i|we|you|one)(?: (?:still|really|also|just|simply|certainly|definitely))? (?:can't|cannot|won't)) (?!for|always|stand|wait|hurt|believe|help|mind|say|be (?:long|needed|required|necessary|there|at|in|back|away)|thank|imagine|bite|need|regret|matter|complain|do any|have to|know)\\p{L}+
  no longer (?:realistic|valid|available|possible|safe|working|straight|watertight|with us|open|sold|made|covered|tenable|credible|affordable|an option|hold|holds)
  (?:ran|runs|run|running|has run|have run) (?:out|dry|aground)(?! of the (?:door|house|room|building|gate)| (?:at the end|on the|in) )
  remains? (?:outstanding|unpaid|unanswered|unresolved|unsolved|broken|closed|dark|missing)
  (?:has|have|had) (?:\\p{L}+ ){1,3}not (?:arrived|come|appeared|turned up|reached|been paid|been sent)
  (?:has|have|'s|'ve|had) run out of
  (?:queue|orders?|work|mail|letters|complaints|tickets)(?: \\p{L}+)? (?:is |are |'s )?(?:backing|piling) up
  not (?:emptied|cleaned|delivered|signed|paid|fitted|labelled|packed|returned|finished|included)(?=[.!]?$)
  nothing (?:left )?to (?:wear|eat|drink|sell|serve)
  (?:expired|lapsed)
  (?:is|are|was|were)(?: still| now| just| simply)? not (?:selling|working|responding|answering|moving|heating|cooling|closing|opening|draining|charging|printing|growing|eating|coming|holding|matching|running|starting|going well|going to (?:be|make|work|happen|fit|finish|last|plan|get)|getting (?:through|paid|better)|paying|reaching|delivering|enough|good enough|up to|safe|sterile|level|straight|watertight|as (?:ordered|agreed|described)|what (?:we|i|was)|usable|legible)
  (?:isn't|aren't|wasn't|weren't) (?:selling|working|responding|answering|moving|heating|cooling|closing|opening|draining|charging|printing|growing|eating|coming|holding|running|starting|going (?:well|to)|enough|good enough|up to|safe|what (?:we|i|was)|as (?:ordered|agreed))
  (?:won't|will not|wouldn't|would not) (?:start|stretch|last|be enough|hold|shut|close|open|turn|budge|charge|cover|cope|manage|dry|stick|set|go (?:away|in|through|on|off)|stop|take|pay|accept|sign|play|make (?:it|the)|meet|keep|be (?:able|ready|finished|done|back|there|in time|enough|delivered|possible)|arrive|work|fit|finish)
  (?:doesn't|does not|don't|do not|didn't|did not) (?:work|hold|fit|stick|close|shut|lock|start|add up|match|arrive|dry|stretch|reach|cover|stop|respond|react|heat|cool|drain|cut|ring|switch|run|show up|look right|taste right|pay|turn up|get here|go in|seal|balance)
  (?:left|went|drove|came back|gone|leaving|departed)(?: \\p{L}+){0,4} without (?:having )?(?:\\p{L}+ing (?:anything|a thing|it\\b|them|the \\p{L}+|a word)|so much as)
  (?:doesn't|does not) (?:last|get (?:hot|warm|cold|any|us)|go (?:on|off|in|through|up|down)|come (?:on|off|up|out)|let|take (?:it|the|our|my)|print|open(?! (?:until|till|before|on))|answer|agree|match|show|save|send|load|charge|hold|grip|burn|rise|set)
  (?:couldn't|could not|can't|cannot|unable to|didn't|did not)(?<!\\b(?:i|we|you|one)(?: \\p{L}+)? (?:couldn't|could not|can't|cannot|unable to|didn't|did not)) find (?:the|our|your|my|it|us|me|any)
  no longer (?:produces?|makes?|sells?|supplies|supply|delivers?|answers?|prints?|opens?|fits?|made by|answered|starts?)
  there (?:is|are|'s) no more (?!questions?|worries|news|doubts?|changes|complaints?|objections?|need|than|to\\b|hurry)\\p{L}+
  only half (?:of )?(?:it|them|the|our|what)\\b
  (?:door|gate|entrance|office|shop|gates|doors) (?:was|were) (?:locked|shut|closed) (?:and|when|again|so)
  (?:stood|stand|standing|waited) (?:in front of|before|outside|at) (?:a|the) (?:locked|closed|shut)
  (?:road|bridge|line|lane|motorway|crossing|pass|tunnel|only entrance) (?:is|are|has been|was) (?:blocked|washed away|closed (?:until|till|for|because|again))
`;
