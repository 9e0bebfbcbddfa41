import { bareClause } from "../bare-clause";
import type { KindRule } from "../kind-rule";
import { phrases } from "../phrases";

/** What the reader has said, and not done. */
const AS_SAID = phrases(`
  you (?:were|'re|are) (?:going|supposed|meant|to|due) (?:to )?(?:have )?(?:send|sent|bring|let|get|give|ring|call|check|write|find|ask|look|come|make|sort|book|order|arrange|confirm|tell|show|take|put|forward|pass|draw|prepare|mail|pay|return|do|fix|deliver|provide|talk|speak)
  you (?:promised|said you(?:'d| would)|offered|undertook|agreed) (?:to|me|us|it|them|that|the|a|\\p{L}+)
  (?:i|we)(?:'ve| have)?(?: still| yet)? (?:haven't|have not|hadn't|don't|do not|never)(?: yet| still| actually)? (?:have|had|got|get|received|seen|heard)(?: back)? (?:anything |a word |back )?(?:from you|your|any(?:thing)? from you)
  (?:i|we) (?:still |yet )?(?:haven't|have not|don't have|do not have|never got|never had|never received)(?: yet)? .{2,60} (?:from you|from your side)
  (?:we|i) (?:still )?(?:have|had) (?:nothing|no (?:reply|answer|word|news|response)) (?:yet )?(?:from you|to (?:our|my))
  your (?:\\p{L}+ ){1,4}(?:is|are)(?: still| now| also)? (?:missing|outstanding|lacking|awaited|overdue|wanting)
  (?:is|are) (?:now |still |long )?(?:overdue|payable|outstanding)(?: from you| for payment)?
  (?:i|we)(?: also)?(?: may| must)? (?:take the liberty of|allow (?:myself|ourselves) to) (?:remind|reminding|recall|recalling|ask|asking)
  (?:payment|the balance|the deposit|the fee|the rent|the rest|a deposit)(?: \\p{L}+){0,4} (?:is|are|falls|becomes) (?:now |then )?(?:due|payable)
`);

/** What the writer cannot do until the reader has done their part. */
const HELD_UNTIL = phrases(`
  (?:can't|cannot|can not|could not|couldn't|unable to|won't|will not|not able to|nothing|nobody|no one) .{2,60} (?:until|unless|before|without) (?:we|i) (?:have|get|hear|know|receive|see|'ve)
  (?:can't|cannot|can not|unable to|won't|will not|not able to|nothing) .{2,60} (?:until|unless|before) (?:you|your)
  (?:can't|cannot|can not|unable to|won't|will not|not able to|nothing) .{2,60} without (?:your|an? (?:written |signed )?(?:order|go-ahead|number|answer|decision|okay|copy|deposit|signature|permit|approval|confirmation))
  (?:waits?|waiting|held up|hangs|depends?) (?:only )?(?:on|for) your
`);

/** "You were going to send me the list", "we cannot print until we have your okay": what the reader still owes. */
export const reminder: KindRule = {
  name: "the reader still owes it",
  confidence: 0.8,
  says: "ask",
  find({ text }) {
    const bare = bareClause(text);
    if (/\?$/.test(text) || /^(?:if|whether|unless|when|because|since) /i.test(bare)) return null;
    return AS_SAID.test(bare) || HELD_UNTIL.test(bare) ? "ask" : null;
  },
};
