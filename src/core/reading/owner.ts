import { type Clause, isSalutation } from "./clauses";
import { type LetterGround, namedIn } from "./kind-rule";
import { calledByRole } from "./roles";
import type { Person, SlipKind } from "./slip";

/** Characters at the head of a letter in which it greets. */
const GREETS_WITHIN = 120;

/** The one person whom a letter greets by name at its head: "Hello Ada,". Null where it greets several, or nobody who is known. */
export function greetedIn(text: string, people: readonly Person[]): Person | null {
  const line = text.slice(0, GREETS_WITHIN).trimStart().split("\n", 1)[0]!.trim();
  if (!isSalutation(line)) return null;
  const named = namedIn(line, people);
  return named.length === 1 && !/\b(?:and|all|both|everyone|team)\b|&|,\s*\p{Lu}/u.test(line) ? named[0]!.person : null;
}

/** The person a clause turns to by name at its head, if any. */
export function calledAt(text: string, people: readonly Person[]): Person | null {
  const first = namedIn(text.slice(0, 60), people)[0];
  if (!first) return null;
  const before = text.slice(0, first.at);
  const after = text.slice(first.end);
  const isHead = /^(?:(?:and|also|action|todo|hi|dear|@)?\s*[:,–-]?\s*)*$/i.test(before);
  return isHead && (/^\s*(?:[:,–—-]|\band\b)/.test(after) || ADDRESSED_ON.test(after)) ? first.person : null;
}

/** "Nadia we need a trailer", "Ruben can you look": people who write in haste leave the comma out. */
const ADDRESSED_ON =
  /^ (?:we|i) (?:need|want|must|have to)\b|^ (?:can|could|would|will) you\b|^ (?:please|pls|kindly)\b/i;

/** Said of whoever it may be, even where a name was called before. */
const ANYBODY =
  /(?:^(?:(?:and|but|so|then|also|please)[\s,]+)*|\b(?:could|can|would|will|should|has|is|does)\s+)(?:someone|somebody|anyone|anybody|whoever|everyone|everybody)\b|\b(?:one|any|all|each|both|who|which|how many|some|none) of you\b/i;

const TEAM_WIDE =
  /\b(?:someone|somebody|anyone|one of you|any of you|(?<!(?:whether|if|that|what|how|when|because|could|can|may|shall) )we (?:need(?! (?:the|an?|your|some|another|one|two|three|more|\d+)\b)|must|should(?! (?:like|appreciate|welcome|prefer|be (?:very |most )?(?:glad|grateful|pleased|obliged|happy|thankful)))|have)|the team|everyone|all of you|whoever)\b/i;

/** Who has to act on a clause: named, addressed, or, where the letter has one addressee, "you". Null where nobody is. */
export function ownerOf(kind: SlipKind, clause: Clause, addressee: Person | null, ground: LetterGround): Person | null {
  const everyone = [...ground.people.team, ...ground.people.outside];
  if (kind === "promise") return ground.writer;
  const named = namedIn(clause.text, everyone).filter(({ person }) => person.id !== ground.writer?.id);
  if (kind === "trouble") {
    const dealing = named.find(({ end }) =>
      /^\s+(?:will|has to|should|must|is dealing|is looking|deals)\b/i.test(clause.text.slice(end)),
    );
    return dealing?.person ?? null;
  }
  const acting = named.find(({ at, end }) => {
    const after = clause.text.slice(end);
    const before = clause.text.slice(0, at);
    return (
      // "Go easy with the yeast, Ruben."
      (/,\s*$/.test(before) && /^[.!?)]*$/.test(after)) ||
      /^[,:]?\s*(?:will|shall|can|could|would|should|must|has|is to|is going|needs|please|to\b|promised|was going|was supposed|said|owes|[:,–-])/i.test(
        after,
      ) ||
      /(?:^|\b(?:can|could|would|will|ask|get|have|let|need|for|from|by|tell|remind|action|if|that)\b[:,\s]*)$/i.test(
        before.trim(),
      )
    );
  });
  const isTo = /\b(?:to|with|for|tell|told|ask|asked|remind|reminded|ring|call|send|give|let|from)\s+$/i;
  if (
    acting &&
    !(isTo.test(clause.text.slice(0, acting.at)) && /\b(?:you|please)\b/i.test(clause.text.slice(0, acting.at)))
  ) {
    const isObject =
      /\b(?:to|with|tell|ask|ring|call|give|let)\s+$/i.test(clause.text.slice(0, acting.at)) &&
      !/^\s+(?:to|will|can|could|should|must)\b/i.test(clause.text.slice(acting.end));
    if (!isObject) return acting.person;
  }
  const byRole = calledByRole(clause.text, ground.people.team);
  if (byRole && byRole.id !== ground.writer?.id) return byRole;
  if (ANYBODY.test(clause.text) && !/\b(?:from you|please you)\b/i.test(clause.text)) return null;
  if (addressee) return addressee;
  const only = ground.to.length === 1 ? ground.to[0]! : (ground.greeted ?? null);
  if (TEAM_WIDE.test(clause.text) && !/\b(?:you|your|from you)\b/i.test(clause.text)) return null;
  return only && only.id !== ground.writer?.id ? only : null;
}
