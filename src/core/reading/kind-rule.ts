import { firstNameOf, isHouseName } from "../letters/first-name";
import type { Clause } from "./clauses";
import type { People, Person, SlipKind } from "./slip";

/** What a rule may look at beside the clause itself. */
export interface LetterGround {
  readonly writer: Person | null;
  readonly to: readonly Person[];
  /** Whom the letter greets by name, where it is one person: "you" is theirs, whoever else it goes to. */
  readonly greeted?: Person | null;
  readonly people: People;
  /** Whether the letter reads like notes of a meeting. */
  readonly isNotes?: boolean;
}

/** A rule that says what kind of passage a clause is; the first that answers wins. */
export interface KindRule {
  /** What it goes by, in words that people are shown: "because: a polite request". */
  readonly name: string;
  /** How sure it is, from 0 to 1: an estimate, held below what it reaches on labelled letters, which are not strangers'. */
  readonly confidence: number;
  /**
   * What it counts for against the wording, in the logarithm of odds, where that is less than its confidence says: of two
   * signs of the same thing the second says less. Found by leaving out one set of labelled letters after the other.
   */
  readonly counts?: number;
  /** The one thing that it can say: where the wording is too plainly something else for that, it is not asked. */
  readonly says?: SlipKind | "nothing";
  /** What it says holds, whatever the wording is like: people said so, or it knows who is meant. */
  readonly isCertain?: boolean;
  find(clause: Clause, ground: LetterGround): SlipKind | "nothing" | null;
}

/** Names by which somebody may be called, whole words, lower case: whole, first and formal ones, and nicknames. Houses have no first name. */
export function namesOf(person: Person): string[] {
  if (isHouseName(person.name))
    return [person.name, person.name.replace(/^the\s+/i, ""), ...(person.nicknames ?? [])].map((name) =>
      name.toLowerCase(),
    );
  const first = firstNameOf(person.name);
  const last = person.name.split(/\s+/).slice(1).at(-1);
  const formal = last ? ["mr", "mrs", "ms", "dr", "mr.", "mrs.", "ms.", "dr."].map((title) => `${title} ${last}`) : [];
  return [person.name, first, ...formal, ...(person.nicknames ?? [])]
    .filter((name) => name.length > 1)
    .map((name) => name.toLowerCase());
}

/** The names of a person, made once for each, since every clause of a letter is held against them. */
const namesKnown = new WeakMap<Person, readonly string[]>();

function knownNamesOf(person: Person): readonly string[] {
  const names = namesKnown.get(person) ?? namesOf(person);
  namesKnown.set(person, names);
  return names;
}

/** Words before which somebody is meant, though the name has no capital: "ask poppy", "and rhys". */
const BEFORE_A_NAME =
  /(?:^|[^\p{L}\s]\s*|\b(?:hi|hello|hey|dear|morning|and|or|but|so|then|ask|asks|asked|tell|told|with|to|from|for|by|of|let|get|have|can|could|would|will|shall|should|is|are|was|has|does|did|if|that|than|see|saw|ring|call|called|rang|give|gave|send|sent|like|says?|said|when|where|what|how|until|because|as|about|via|at|not|only|also|maybe|perhaps|thanks|thank you|please|pls)\s+)$/iu;

/** Whether a name without its capital stands where a common word would: "the new line" names no Line. */
function isCommonWord(text: string, at: number, end: number): boolean {
  if (!/\p{Ll}/u.test(text.charAt(at)) || /^['’]s\b/.test(text.slice(end, end + 3))) return false;
  return !BEFORE_A_NAME.test(text.slice(Math.max(0, at - 24), at));
}

/** Everybody named in a text, in the order of the text. A first name that two people share names neither. */
export function namedIn(text: string, people: readonly Person[]): { person: Person; at: number; end: number }[] {
  const lower = text.toLowerCase();
  const found: { person: Person; at: number; end: number }[] = [];
  for (const person of people) {
    for (const name of knownNamesOf(person)) {
      // Most names are in no clause: only one that is there is looked at as a whole word.
      const at = lower.includes(name)
        ? (new RegExp(`(?<![\\p{L}.-]|[^\\s(]@)${asPattern(name)}(?![\\p{L}@-])`, "u").exec(lower)?.index ?? -1)
        : -1;
      // "The board can decide" is not somebody whose name begins so.
      if (at > 0 && at !== -1 && name !== person.name.toLowerCase() && /\b(?:the|an?) $/.test(lower.slice(0, at)))
        continue;
      if (at > 0 && isCommonWord(text, at, at + name.length)) continue;
      if (at === -1 || found.some((other) => other.person.id === person.id && other.at === at)) continue;
      found.push({ person, at, end: at + name.length });
    }
  }
  const longest = found.filter(
    (one) => !found.some((other) => other !== one && other.at === one.at && other.end > one.end),
  );
  return longest
    .filter(
      (one) =>
        !longest.some((other) => other.person.id !== one.person.id && other.at === one.at && other.end === one.end),
    )
    .sort((a, b) => a.at - b.at || b.end - a.end);
}

/** A text as a pattern that finds just that. */
export function asPattern(text: string): string {
  return text.replace(/[.*+?^${}()|[\]\\]/g, "\\$&");
}
