import type { KindRule } from "../kind-rule";
import { toldIn } from "../not-trouble";
import { phrases } from "../phrases";

/** What people say who are stuck themselves: "I get an error", "we can't seem to open it", "it crashes". */
const TURNS = phrases(`
  (?:i|we|i'm|we're|i've|we've|i am|we are|i have|we have)(?: also| still| now| just| always| often| both| all)*(?: keep| kept)? (?:have|having|had|got|get|getting|see|seeing|run into|running into|ran into|meet|hit|encounter|encountered|experience|experiencing)(?: also| still| now| the same| exactly the same)* (?:a |an |some |the same |this |lots of |a lot of |all kinds of |all sorts of |many |several |various |constant |great |real |serious |major |similar |these |the following )*(?:\\p{L}+ )?(?:errors?|problems?|trouble|difficulty|difficulties|issues?|failures?|crash(?:es)?|error messages?|timeouts?)\\b(?! (?:if|free))
  (?:having|had) (?:problems|trouble|difficulty|difficulties|issues)(?: \\p{L}+ing| with)
  (?:i|we)(?: still| also| now| just| simply| both)* (?:can't|cannot|can not|couldn't|could not)(?: even| now| get to)* (?:install|build|read|reach|load|connect|download|upload|save|access|play|hear|edit|enter|sign in|log on|get in|get through|figure out|work out|make sense of|make out|tell (?:whether|which|if|what)|run|mark|paste|see any|trace|locate|identify|reproduce|switch|turn off|turn on|unlock|lock)
  (?:i|we)(?: still| also| now| just| simply| both)* (?:can't seem to|cannot seem to|am unable to|are unable to|was unable to|were unable to|am not able to|are not able to|haven't been able to|have been unable to|have not been able to|can no longer) (?!attend|come|comment|accept|offer|make it)\\p{L}+
  hangs(?= (?:as soon|when|whenever|while|every|after|for (?:ever|minutes|hours|good)|forever|again|during|halfway|and)|[.;!]|$)
  (?:crashes|freezes|locks up|dumps core|times out|bombs out|seizes up|cuts out|conks out|shuts down by itself)(?= |[.,;!]|$)
  (?:is|are|was|were)(?:n't| not| no longer)(?: really| even| actually)? (?:working|responding|starting|charging|printing|loading|connecting|syncing|saving|ringing|heating|cooling|draining|closing|opening|getting through|being (?:read|sent|saved|delivered|marked|paid|picked up|answered|counted|scanned))
`);

/** Somebody is stuck: an error, a thing that cannot be done, a machine that stops. */
export const ownProblem: KindRule = {
  name: "somebody is stuck, or something stops",
  confidence: 0.75,
  says: "trouble",
  find: ({ text }) => (TURNS.test(toldIn(text)) ? "trouble" : null),
};
