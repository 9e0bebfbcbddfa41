import { namedIn } from "../reading/kind-rule";
import type { People, Person } from "../reading/slip";

const TAKES_OVER =
  /^(?:['’]s\b.{0,40}\b(?:he|she|they)(?:['’]ll| will)|['’]s (?:\w+ )?(?:business|desk|department|job|thing|area|field)\b)|^,?\s*(?:(?:in copy|cc['’]?d|our \w+|my \w+)[,)]?\s*)?(?:will|['’]ll|can|could|does|do|is going|is (?:writing|preparing|doing|working on|looking|taking|making|drawing|handling|seeing)|has (?:to|taken|already)|takes?|handles?|decides|deals|keeps|runs|covers|manages|orders|drives|plans|works out|works on|prepares|makes|collects|checks|arranges|sees to|looks into|looks? after|sends?|brings?|writes?|knows?|business|desk|department|please|has it)\b|^ [^.;!?]{2,50}? and (?:will |then )?(?:sends?|tells?|writes?|rings?|calls?|lets?|brings?|answers?|reports?|gets? back|comes? back)\s+(?:to )?(?:you|it|them|the|your)\b/i;
const GIVEN_TO =
  /\b(?:from|by|to|over to|with|(?:is|['’]s|are) (?:something |a matter |a question |one )?for|ask|asked|give|gave|given|hand|handed|pass|passed|leave|left|lives? with|let|have)\s+(?:my colleague\s+|our \w+\s+)?$/i;
/** "For the report ask the garage", "the passes are not mine": somebody else is named for it, if only by what they are. */
const ELSEWHERE =
  /^(?:(?:for|about|as to) (?:the|that|this|those|these) .{1,40}|please|better|best|there)?[\s,]*(?:ask|contact|try|turn to|write to|speak to|talk to|get in touch with|take (?:this|it|that) up with|refer (?:this|it|that) to) (?:the|our|their|mr|mrs|ms|dr)\b|\b(?:goes|has to go|must go) (?:through|via|over) (?:our|my|the)\b|\b(?:is|are)(?: not|n['’]t) (?:mine|ours|my|our)\b/i;
/** "I have passed this on to our accounts department." */
const FORWARDED =
  /\b(?:passed|forwarded|handed|given|sent) (?:it|this|that|them|your \w+)(?: on| over)? to (?:our|the|my|mr|mrs|ms|dr)\b/i;
/** "As to the banner I have to ask our people": it stays with whoever asks them. */
const ASKS_FIRST =
  /\b(?:i|we)(?:['’]ll| will| shall| have to| must| need to| am going to| will have to) (?:just |first )?(?:ask|check with|speak to|talk to|consult)\b/i;
const COLLEAGUE = /\b(?:my|our|a) (?:colleague|boss|bookkeeper|partner|office|workshop|\w+ department)\b/i;

/** Whether a thing was given on to somebody who is named by what they are. */
export function isHandedOn(text: string): boolean {
  return FORWARDED.test(text);
}

/** Whether an ask only says who else is to be asked: it passes on what was asked, and opens nothing. */
export function isSentElsewhere(text: string): boolean {
  return ELSEWHERE.test(text) && /\b(?:it|this|that|them|these|those|for|about)\b/i.test(text);
}

/**
 * Who takes a thing over by the words of a segment: somebody named who is neither the writer nor the one who asked; `person`
 * is null where it is "my colleague" without a name. Null where nobody takes it over.
 */
export function passedTo(
  text: string,
  people: People,
  writer: string,
  askers: ReadonlySet<string>,
): { person: Person | null } | null {
  const named = namedIn(text, [...people.team, ...people.outside]).filter(
    ({ person }) => person.address !== writer && !askers.has(person.address),
  );
  for (const { person, at, end } of named)
    if (TAKES_OVER.test(text.slice(end)) || GIVEN_TO.test(text.slice(0, at))) return { person };
  if (named.length === 0 && ASKS_FIRST.test(text)) return null;
  if (named.length === 0 && COLLEAGUE.test(text) && /\b(?:will|['’]ll|knows?|does|takes?|has)\b/i.test(text))
    return { person: null };
  if (named.length === 0 && (ELSEWHERE.test(text) || FORWARDED.test(text))) return { person: null };
  return null;
}
