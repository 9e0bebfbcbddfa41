import type { KindRule } from "../kind-rule";
import { toldIn } from "../not-trouble";
import { phrases } from "../phrases";

/** Turns by which people say that something is not what was agreed, ordered or expected, or was not done. */
const TURNS = phrases(`
  (?:is|are|was|were|comes? to|came to) (?:more than |almost |nearly |about |exactly )?(?:twice|double|half|three times|much more than|much less than|far more than|far less than) (?:the (?:price|amount|sum|size|number) )?(?:of )?(?:what|that) (?:was |is |had been )?(?!it|we need|you need)\\p{L}+
  (?:is|are|was|were)(?:n't| not) (?:at all )?(?:what|the (?:one|ones|size|colour|model|version|amount|price)) (?:that )?(?:i|we|was|were|they|you|he|she) (?:\\p{L}+ )?(?:ordered|agreed|asked|wanted|expected|quoted|promised|booked|chose|chosen|signed)
  (?:was|were|has been|have been)(?:n't| not) (?:collected|picked up|fetched|delivered|installed|fitted|cleaned|credited|passed on|carried out|put right|switched on|connected)(?! (?:yet\\?|until|before|for|because|since))
  (?:can't|cannot|can not|won't|will not)(?<!\\b(?:i|we|you|they|he|she|who|that|it)(?: (?:still|really|also|just|simply))? (?:can't|cannot|can not|won't|will not)) (?:sail|run|fly|open|start|go ahead|take place|leave|be used|operate|depart|be delivered|be finished|be opened)
  never (?:quite |really )?\\p{L}+ (?:properly|right|correctly|fully)
  found the (?:gates?|doors?|office|shop|yard|building|entrance|school|hall) (?:locked|closed|shut|in darkness)
  (?:(?:this|that|these|the|your|our)(?: \\p{L}+)?|it|which|something) (?:must|can only) be (?:wrong|a mistake|an error)
`);

/** "The bill is twice what was agreed", "the boxes were not collected": what is plainly otherwise than it was to be. */
export const notAsAgreed: KindRule = {
  name: "it is not as agreed",
  confidence: 0.9,
  says: "trouble",
  find: ({ text }) => (TURNS.test(toldIn(text)) ? "trouble" : null),
};
