import type { TableRow } from "./action-table";
import { type Clause, greetingIn, isSalutation } from "./clauses";
import { type LetterGround, namedIn } from "./kind-rule";
import { doesAsNoted, goesOnToDo } from "./noted";
import { calledByRole } from "./roles";
import type { Person, SlipKind } from "./slip";

/** Characters at the head of a letter in which it greets. */
const GREETS_WITHIN = 120;

/** The one person whom a letter greets by name at its head: "Hello Ada,". Null where it greets several, or nobody who is known. */
export function greetedIn(text: string, people: readonly Person[]): Person | null {
  const first = text.slice(0, GREETS_WITHIN).trimStart().split("\n", 1)[0]!;
  const line = (greetingIn(first) ?? first).trim();
  if (!isSalutation(line)) return null;
  const named = namedIn(line, people);
  return named.length === 1 && !/\b(?:and|all|both|everyone|team)\b|&|,\s*\p{Lu}/u.test(line) ? named[0]!.person : null;
}

/** What may stand before the name that a clause begins with. */
const AT_HEAD = /^(?:and|also|action|todo|hi|dear|@|[\s:,–-])*$/i;

/** Whether a clause turns to several by name at its head: "Ada and Gus: by tonight", "Ada, Gus,". Then what follows is for neither alone. */
export function callsSeveral(text: string, people: readonly Person[]): boolean {
  const named = namedIn(text.slice(0, 80), people);
  const [first, ...others] = named;
  if (!first || !AT_HEAD.test(text.slice(0, first.at))) return false;
  let last = first;
  for (const next of others) {
    if (!/^\s*(?:,|,?\s*and|&)\s*$/i.test(text.slice(last.end, next.at))) break;
    last = next;
  }
  return last !== first && /^\s*(?:[:,.!–—-]|$)/.test(text.slice(last.end));
}

/** The person a clause turns to by name at its head, if any. */
export function calledAt(text: string, people: readonly Person[]): Person | null {
  const first = namedIn(text.slice(0, 60), people)[0];
  if (!first) return null;
  const before = text.slice(0, first.at);
  const after = text.slice(first.end);
  const isHead = AT_HEAD.test(before);
  return isHead && (/^\s*(?:\([^)]{1,20}\)\s*)?(?:[:,–—-]|(?:and|&)\s+\p{Lu})/u.test(after) || ADDRESSED_ON.test(after))
    ? first.person
    : null;
}

/** "Would she kindly do so": whoever was named last. */
const SHE_OR_HE = /^(?:(?:and|but|so|then|maybe|perhaps)[\s,]+)*(?:would|could|can|will) (?:she|he)\b/i;

/**
 * Whom "she" or "he" means at the head of a request: the one person named last before it.
 * @param before what stands before the clause in its paragraph
 */
export function meantBefore(text: string, before: string, people: readonly Person[]): Person | null {
  return SHE_OR_HE.test(text) ? (namedIn(before, people).at(-1)?.person ?? null) : null;
}

/** "Nadia we need a trailer", "Ruben can you look": people who write in haste leave the comma out. */
const ADDRESSED_ON =
  /^ (?:we|i) (?:need|want|must|have to)\b|^ (?:can|could|would|will) you\b|^ you (?:up for|free|ok|okay|able|about|around|there|still)\b|^ (?:please|pls|kindly)\b|^ (?:the|an?|my|our|your|there['’]?s|it['’]?s|i['’]?m|we['’]?re) |^ (?:what(?:['’]s)?|where(?:['’]s)?|when|who(?:['’]s)?|how|why|which|do you|did you|have you|are you)\b|^ (?:is|are|was|were|does|did|has|have|will|would|should|shall) (?:\p{Lu}|the |there |it |we |i |they |he |she |this |that )[^.!]*\?$/iu;

/** Said of whoever it may be, even where a name was called before. */
const ANYBODY =
  /(?:^(?:(?:and|but|so|then|also|please)[\s,]+)*|\b(?:could|can|would|will|should|has|is|does)\s+)(?:someone|somebody|anyone|anybody|whoever|everyone|everybody|the person)\b|\b(?:could|can|would|will|should) the one\b|\b(?:one|any|all|each|both|who|which|how many|some|none) of you\b|\b(?:everybody|everyone|all of you),? please\b|\bplease,? (?:everybody|everyone)\b/i;

/** "Gus wants a third up front, you'd have to approve that": he is not the one who acts. */
const WANTS =
  /^ (?:wants|asks|asked|says|said|tells|told|thinks|likes|would like|is (?:asking|waiting|hoping)|has asked|rang|called|wrote|suggests|insists)\b/i;

type Named = ReturnType<typeof namedIn>[number];

/** "Gus and Ada still have to": two of them, so that neither is meant alone. */
function sharesWithAnother(text: string, one: Named, named: readonly Named[]): boolean {
  const together = /^\s*(?:and|&)\s*$/i;
  return named.some(
    (other) =>
      other.person.id !== one.person.id &&
      together.test(text.slice(Math.min(one.end, other.end), Math.max(one.at, other.at))),
  );
}

/** Who is named behind what is to be done: "review copies to the papers (Ruben)", "export for Ada: Ruben, by Friday". */
function nameBehind(text: string, named: readonly Named[]): Named | undefined {
  return named.findLast(
    ({ at, end }) => /\S\s*(?:[(:]|\s[-–—])\s*$/.test(text.slice(0, at)) && /^\)?(?:[.,]|$)/.test(text.slice(end)),
  );
}

/** "Make sure that somebody is in." */
const SEE_TO_IT =
  /^(?:(?:and|so|but|then|also|just|please|kindly|do)[\s,]+)*(?:make (?:sure|certain)|ensure|see to it|take care|arrange|check|get|have|send|find)\b.*\b(?:someone|somebody|anyone|everyone|everybody)\b/i;

const TEAM_WIDE =
  /\b(?:(?<!\b(?:of|for|with|to|by|from|like|about|at|let|give|ask|tell|ring|call|see) )(?:someone|somebody)|anyone|one of you|any of you|(?<!(?:whether|if|that|what|how|when|because|could|can|may|shall|before|until|till|after|once|since|unless|where|which|than|as) )we (?:need(?! (?:the|an?|your|some|another|one|two|three|more|\d+)\b)|must|should(?! (?:like|appreciate|welcome|prefer|be (?:very |most )?(?:glad|grateful|pleased|obliged|happy|thankful)))|have)|the team|everyone|all of you|whoever)\b/i;

/** Who has to act on a clause: named, addressed, or, where the letter has one addressee, "you". Null where nobody is. */
export function ownerOf(kind: SlipKind, clause: Clause, addressee: Person | null, ground: LetterGround): Person | null {
  const everyone = [...ground.people.team, ...ground.people.outside];
  if (kind === "promise") return ground.writer;
  if (clause.row) return whoOf(clause.row, ground);
  const named = namedIn(clause.text, everyone).filter(({ person }) => person.id !== ground.writer?.id);
  if (kind === "trouble") {
    const dealing = named.find(({ end }) =>
      /^\s+(?:will|has to|should|must|is dealing|is looking|deals)\b/i.test(clause.text.slice(end)),
    );
    return dealing?.person ?? null;
  }
  const behind = clause.isListItem ? nameBehind(clause.text, named) : null;
  if (behind) return behind.person;
  const acting = named.find(({ at, end }) => {
    const after = clause.text.slice(end);
    const before = clause.text.slice(0, at);
    if (before === "" && goesOnToDo(after)) return true;
    // "Gus was brilliant, somebody should tell him."
    if (
      /^['’]s\b/.test(after) ||
      /^ (?:is(?! (?:kindly |hereby |also )?(?:to|asked|requested|reminded|required|expected|supposed)\b)|was(?! (?:going|supposed)\b)|has been(?! asked)|had|did|does|looks|seems|found|made|got)\b/i.test(
        after,
      )
    )
      return false;
    // "Vessel for Mrs Pascoe: Odile to order": it is for her, and another's to do.
    if (/\bfor\s+$/i.test(before) && /^:\s/.test(after) && named.some((other) => other.at > end)) return false;
    // "Will Gus still be there?" is about him; only a name that is called is asked.
    if (kind === "question" && !/^[^\p{L}]*$/u.test(before) && !/,\s*$/.test(before)) return false;
    return (
      // "Go easy with the yeast, Ruben."
      (/,\s*$/.test(before) && /^[.!?)]*$/.test(after)) ||
      /^[,:]?\s*(?:will|shall|can|could|would|should|must|has|is to|is (?:kindly |hereby |also )?(?:asked|requested|reminded|required|expected|supposed) to|is going|needs|please|to\b|promised|was going|was supposed|said|owes|[:,–-])/i.test(
        after,
      ) ||
      // "Flat 7: Ruben rings the tenant today".
      (kind === "ask" && /(?:^|:\s)$/.test(before) && doesAsNoted(after)) ||
      /(?:^|\b(?:can|could|would|will|ask|get|have|let|need|for|from|by|tell|remind|action|if|that)\b[:,\s]*)$/i.test(
        before.trim(),
      )
    );
  });
  const isTo = /\b(?:to|with|for|tell|told|ask|asked|remind|reminded|ring|call|send|give|let|from)\s+$/i;
  if (
    acting &&
    !sharesWithAnother(clause.text, acting, named) &&
    !(WANTS.test(clause.text.slice(acting.end)) && /\byou\b/i.test(clause.text.slice(acting.end))) &&
    !(isTo.test(clause.text.slice(0, acting.at)) && /\b(?:you|please)\b/i.test(clause.text.slice(0, acting.at)))
  ) {
    const isObject =
      /\b(?:to|with|tell|ask|ring|call|give|let)\s+$/i.test(clause.text.slice(0, acting.at)) &&
      !/^\s+(?:to|will|can|could|should|must)\b/i.test(clause.text.slice(acting.end));
    if (!isObject) return acting.person;
  }
  if (acting && sharesWithAnother(clause.text, acting, named)) return null;
  // "Make sure that somebody is in": whoever reads it has to see to it.
  if (SEE_TO_IT.test(clause.text)) return addressee ?? only(ground);
  const byRole = calledByRole(clause.text, ground.people.team);
  if (byRole && byRole.id !== ground.writer?.id) return byRole;
  if (ANYBODY.test(clause.text) && !/\b(?:from you|please you)\b/i.test(clause.text)) return null;
  if (addressee) return addressee;
  if (kind !== "question" && TEAM_WIDE.test(clause.text) && !/\b(?:you|your|from you)\b/i.test(clause.text))
    return null;
  return only(ground);
}

/** Who is to do a row of a table: by name, or one of the team by initials. Null where it is nobody, or several. */
function whoOf({ who }: TableRow, { people }: LetterGround): Person | null {
  const named = new Set(namedIn(who, [...people.team, ...people.outside]).map(({ person }) => person));
  const initials = people.team.filter(({ name }) => initialsOf(name) === who.replace(/[.\s]/g, ""));
  const all = named.size > 0 ? [...named] : initials;
  return all.length === 1 ? all[0]! : null;
}

function initialsOf(name: string): string {
  return name
    .split(/[\s-]+/)
    .map((word) => word.charAt(0).toUpperCase())
    .join("");
}

/** The one person whom a letter is to, or whom it greets. */
function only({ to, greeted, writer }: LetterGround): Person | null {
  const one = to.length === 1 ? to[0]! : (greeted ?? null);
  return one && one.id !== writer?.id ? one : null;
}
