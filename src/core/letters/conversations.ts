import { baseSubject, isReplySubject } from "./base-subject";
import type { Correspondent } from "./letter";

/** What joining letters into conversations looks at. `key` names the letter for the caller. */
export interface JoinableLetter {
  readonly key: string;
  readonly messageId: string | null;
  readonly references: readonly string[];
  readonly subject: string;
  readonly sentAt: number | null;
  readonly from: Correspondent | null;
  readonly to: readonly Correspondent[];
  readonly cc: readonly Correspondent[];
  /** Letters of machines are joined by their references alone. */
  readonly automatic: string | null;
}

/** What is known of a conversation that a letter without references may belong to. */
export interface JoinableConversation {
  readonly baseSubject: string;
  readonly lastAt: number;
  /** Addresses of everybody who wrote in it or was written to. */
  readonly people: ReadonlySet<string>;
}

/** Days after the last letter of a conversation within which an answer without references may still belong to it. */
export const LONGEST_PAUSE_DAYS = 30;
export const DAY_MS = 86_400_000;

/** Addresses of everybody in a letter's headers. */
export function peopleIn(letter: Pick<JoinableLetter, "from" | "to" | "cc">): string[] {
  return [...(letter.from ? [letter.from] : []), ...letter.to, ...letter.cc]
    .map((who) => who.address)
    .filter((address) => address !== "");
}

/** An answer by its subject that refers to nothing: its mail program has dropped the references. */
export function isDroppedAnswer(letter: JoinableLetter): boolean {
  return letter.references.length === 0 && !letter.automatic && letter.from !== null && isReplySubject(letter.subject);
}

/**
 * Whether a letter whose mail program dropped the references answers in a conversation: its subject is marked as an answer
 * to the conversation's (RFC 5256 section 2.1), its writer took part before, one of those it goes to did too, and no more
 * than 30 days have passed. A stranger who uses the same subject is never joined.
 */
export function mayContinue(letter: JoinableLetter, conversation: JoinableConversation): boolean {
  if (!isDroppedAnswer(letter) || !letter.from) return false;
  const subject = baseSubject(letter.subject).toLowerCase();
  if (subject === "" || subject !== conversation.baseSubject.toLowerCase()) return false;
  const pause = (letter.sentAt ?? conversation.lastAt) - conversation.lastAt;
  if (Math.abs(pause) > LONGEST_PAUSE_DAYS * DAY_MS) return false;
  const { address } = letter.from;
  return (
    conversation.people.has(address) &&
    [...letter.to, ...letter.cc].some((who) => who.address !== address && conversation.people.has(who.address))
  );
}

/** The forest of RFC 5256, REFS, step 1: every Message-ID has at most one parent, and no loop is ever made. */
class Forest {
  private readonly parents = new Map<string, string>();

  rootOf(id: string): string {
    let root = id;
    for (let up = this.parents.get(root); up !== undefined; up = this.parents.get(root)) root = up;
    return root;
  }

  /** Hangs a letter that is only referred to under the one before it, unless it hangs somewhere already. */
  hangFree(child: string, parent: string): void {
    if (!this.parents.has(child)) this.hang(child, parent);
  }

  /** Hangs a letter under the one it answers; what was only guessed for it before gives way. */
  hang(child: string, parent: string): void {
    if (child === parent || this.rootOf(parent) === child) return;
    const before = this.parents.get(child);
    this.parents.delete(child);
    if (this.rootOf(parent) === child) {
      if (before !== undefined) this.parents.set(child, before);
    } else this.parents.set(child, parent);
  }
}

/**
 * Joins letters into conversations by References, or where there are none by In-Reply-To (RFC 5256, REFS: letters that
 * refer to the same missing letter belong together too; the letter itself knows best what it answers), then those whose program dropped both, by `mayContinue`. Two
 * letters that claim one Message-ID stay in one conversation. Gives the keys of each conversation, its letters by date,
 * the conversations in the order of their first letters.
 */
export function conversationsOf(letters: readonly JoinableLetter[]): string[][] {
  const forest = new Forest();
  const own = new Map(letters.map((letter, i) => [letter.key, letter.messageId ?? `\u0000${i}`]));
  const byDate = letters
    .map((letter, i) => ({ letter, i }))
    .sort((a, b) => (a.letter.sentAt ?? 0) - (b.letter.sentAt ?? 0) || a.i - b.i)
    .map(({ letter }) => letter);
  for (const letter of byDate) {
    const { references } = letter;
    for (let i = 1; i < references.length; i += 1) forest.hangFree(references[i]!, references[i - 1]!);
    if (references.length > 0) forest.hang(own.get(letter.key)!, references.at(-1)!);
  }
  joinBySubject(byDate, (letter) => own.get(letter.key)!, forest);
  const conversations = new Map<string, string[]>();
  for (const letter of byDate) {
    const root = forest.rootOf(own.get(letter.key)!);
    const keys = conversations.get(root);
    if (keys) keys.push(letter.key);
    else conversations.set(root, [letter.key]);
  }
  return [...conversations.values()];
}

function joinBySubject(
  byDate: readonly JoinableLetter[],
  idOf: (letter: JoinableLetter) => string,
  forest: Forest,
): void {
  // Conversations met so far, by base subject: only those are looked at.
  const met = new Map<string, Map<string, { lastAt: number; people: Set<string> }>>();
  for (const letter of byDate) {
    const subject = baseSubject(letter.subject).toLowerCase();
    const candidates = met.get(subject) ?? new Map<string, { lastAt: number; people: Set<string> }>();
    met.set(subject, candidates);
    const alone = forest.rootOf(idOf(letter));
    if (isDroppedAnswer(letter)) {
      const fitting = [...candidates].findLast(
        ([root, one]) => root !== alone && mayContinue(letter, { ...one, baseSubject: subject }),
      );
      if (fitting) {
        forest.hang(alone, fitting[0]);
        for (const address of candidates.get(alone)?.people ?? []) fitting[1].people.add(address);
        candidates.delete(alone);
      }
    }
    const root = forest.rootOf(idOf(letter));
    const here = candidates.get(root);
    if (here) {
      here.lastAt = Math.max(here.lastAt, letter.sentAt ?? here.lastAt);
      for (const address of peopleIn(letter)) here.people.add(address);
    } else candidates.set(root, { lastAt: letter.sentAt ?? 0, people: new Set(peopleIn(letter)) });
  }
}
