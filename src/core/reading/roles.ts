import { stems } from "../finding/telling-words";
import { asPattern } from "./kind-rule";
import type { Person } from "./slip";

/** Work that is done by whom nobody knows the name of: "whoever does the drawings", "whoever is in charge of the invoices". */
const WHOEVER_DOES =
  /\bwhoever(?: it is(?: that| who)?)? (?:does|handles|keeps|makes|runs|sees to|looks after|deals with|has charge of|is (?:in charge of|responsible for|doing|handling|looking after|dealing with|on)) (?:(?:all|the|our|your|my|these|those) )*(?<work>[\p{L}\p{N}' -]{3,40}?)(?=[,?.:;]|\s(?:can|could|would|should|must|ought|needs?|has|have|will|shall|please|to)\b|$)/giu;

/** What stands behind somebody who is to act. */
const ACTS_AFTER =
  /^[,:]?\s*(?:please\b|(?:will|shall|can|could|would|should|must|ought to|ha(?:s|ve) to|needs? to)\s(?!be\b)|to\s+\p{L})/iu;
const ASKED_BEFORE = /(?:^|[\s,])(?:can|could|would|will|should|must)$/i;

/** The pieces of somebody's work that may stand for them: "Workshop and installation" is the workshop, and installation. */
function piecesOf(role: string): string[] {
  return role
    .toLowerCase()
    .split(/\s*(?:,|;|&|\/|\band\b)\s*/)
    .map((piece) => piece.replace(/^(?:the|our|senior|junior|deputy|assistant)\s+/, "").trim())
    .filter((piece) => piece.length > 3);
}

/** The one of a team whose work shares most words with what is said of it; null where nobody's does, or two people's alike. */
function whoDoes(work: string, team: readonly Person[]): Person | null {
  const wanted = stems(work);
  const shared = team
    .map((person) => ({ person, n: [...stems(person.role ?? "")].filter((stem) => wanted.has(stem)).length }))
    .sort((a, b) => b.n - a.n);
  const [best, next] = shared;
  return best && best.n > 0 && best.n > (next?.n ?? 0) ? best.person : null;
}

/** The place in a text at which somebody is called by their work: "the site manager", "accounts". Null where they are not. */
function calledBy(piece: string, text: string): { at: number; end: number } | null {
  // "Accounts should check it" is said of people, "the accounts should be checked" of a thing.
  const article = /s$/.test(piece) ? "(?<!\\b(?:the|our|your|my|these|those) )" : "(?:(?:the|our|your) )?";
  const pattern = new RegExp(`(?<![\\p{L}'’-])${article}${asPattern(piece)}(?![\\p{L}'’-])`, "iu");
  const found = pattern.exec(text);
  return found && { at: found.index, end: found.index + found[0].length };
}

/**
 * Who of a team is to act in a clause that names nobody but says whose work it is: "whoever does the drawings should send
 * them", "could accounts check the sum", "the site manager has to sign". Null where no one's work is meant, or that of two.
 */
export function calledByRole(text: string, team: readonly Person[]): Person | null {
  for (const found of text.matchAll(WHOEVER_DOES)) {
    const one = whoDoes(found.groups?.work ?? "", team);
    if (one) return one;
  }
  const called = new Set<Person>();
  for (const person of team)
    for (const piece of piecesOf(person.role ?? "")) {
      const place = calledBy(piece, text);
      if (!place) continue;
      const isAsked = ASKED_BEFORE.test(text.slice(0, place.at).trim()) || ACTS_AFTER.test(text.slice(place.end));
      // "Talk to the site manager to settle it" is asked of somebody else.
      const isObject = /\b(?:to|with|for|from|of|by|in|at|ring|call|see|meet)\s+$/i.test(text.slice(0, place.at));
      if (isAsked && !isObject) called.add(person);
    }
  return called.size === 1 ? [...called][0]! : null;
}
