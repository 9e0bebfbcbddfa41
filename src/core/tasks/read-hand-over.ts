import { namedIn, namesOf } from "../reading/kind-rule";
import type { Person } from "../reading/slip";
import { findDates } from "../time/dates-in-words";
import type { Day, WorkingCalendar } from "../time/day";
import type { Moment } from "../time/moment";

/** A piece of the line as it was understood; `start` and `end` are its characters. */
export interface LinePiece {
  readonly start: number;
  readonly end: number;
}

/** How a line that hands something over was understood: "suki wednesday noon. Only sheet 3 changed." */
export interface ReadHandOver {
  /** Whom to; several are given a task each. */
  readonly to: readonly (LinePiece & { readonly personId: string })[];
  /** Members who bear the name that was typed, where it is more than one. */
  readonly unsure: readonly string[];
  readonly due: (LinePiece & { readonly day: Day; readonly time: string | null }) | null;
  readonly note: (LinePiece & { readonly text: string }) | null;
}

/** What may stand between two names, before the day, and before the note. */
const AND = /^\s*(?:,|&|\+|and\b)\s*/i;
const BY = /^[\s,:;.–-]*(?:(?:due|by|until|on|for|before)\s+)?/i;

function beginsWithName(text: string, team: readonly Person[]): boolean {
  const word = /^[\p{L}-]+/u.exec(text)?.[0].toLowerCase() ?? "";
  return word !== "" && team.some((person) => namesOf(person).includes(word) || person.name.toLowerCase() === word);
}

/**
 * Reads a line that hands a task over, with the reader of letters: who at its beginning, then perhaps a day, and the rest is a
 * note. A day that is not near the beginning belongs to the note.
 */
export function readHandOver(
  line: string,
  team: readonly Person[],
  from: Moment,
  calendar: WorkingCalendar,
  order: "dmy" | "mdy",
): ReadHandOver {
  const to: (LinePiece & { personId: string })[] = [];
  let at = /^\s*(?:(?:to|for)\s+)?/i.exec(line)![0].length;
  let unsure: string[] = [];
  for (;;) {
    const rest = line.slice(at);
    const named = namedIn(rest, team).find((one) => one.at === 0);
    if (!named) {
      const word = /^[\p{L}-]+/u.exec(rest)?.[0].toLowerCase() ?? "";
      unsure = team.filter((person) => namesOf(person).includes(word)).map((person) => person.id);
      break;
    }
    to.push({ personId: named.person.id, start: at, end: at + named.end });
    at += named.end;
    const and = AND.exec(line.slice(at));
    const isMore = and && beginsWithName(line.slice(at + and[0].length), team);
    if (!isMore) break;
    at += and[0].length;
  }
  if (to.length === 0) return { to, unsure, due: null, note: null };
  const before = BY.exec(line.slice(at))![0].length;
  const date = findDates(line.slice(at), from, calendar, order).find((one) => one.start <= before);
  const due = date ? { day: date.day, time: date.time, start: at + date.start, end: at + date.end } : null;
  if (due) at = due.end;
  const lead = /^[\s,:;.–-]*/.exec(line.slice(at))![0].length;
  const text = line.slice(at + lead).trimEnd();
  const note = text === "" ? null : { text, start: at + lead, end: at + lead + text.length };
  return { to, unsure, due, note };
}
