import { historyWords, lastLink } from "../tasks/history-words";
import type { Change } from "../tasks/outcome";
import type { Happening } from "./heard";

/** Characters of a note or letter that a notice shows. */
const LONGEST = 160;

function quoted(text: string): string {
  const tidy = text.replace(/\s+/g, " ").trim();
  return `“${tidy.length > LONGEST ? `${tidy.slice(0, LONGEST).trimEnd()} …` : tidy}”`;
}

/** The history's entry that a notice tells of. */
export interface ToldEntry {
  readonly act: string;
  readonly changes: readonly Change[];
  readonly personId: string;
}

/**
 * What a notice says of an act, after the name of who did it: to its new owner that it is theirs now, with the note that goes
 * along. `whom` names who is away, where it goes to who covers for them.
 */
export function noticeWords(
  what: Happening,
  entry: ToldEntry,
  taskId: string,
  nameOf: (id: string) => string | null,
  whom = "you",
): string {
  const note = entry.changes.find((change) => change.row === "comment" && change.before === null)?.after?.text;
  if (typeof note === "string" && (what === "noted" || what === "named")) return `wrote: ${quoted(note)}`;
  if (typeof note === "string" && what === "answered") return `answered: ${quoted(note)}`;
  if (what === "given") {
    const after = entry.changes.find((change) => change.row === "task" && change.id === taskId)?.after;
    const along = after ? (lastLink(after)?.note ?? "") : "";
    return `gave it to ${whom}${along === "" ? "" : `: ${quoted(along)}`}`;
  }
  if (what === "taken away")
    return `took it from ${whom}: ${historyWords(entry.act, entry.changes, taskId, nameOf, entry.personId)}`;
  return historyWords(entry.act, entry.changes, taskId, nameOf, entry.personId);
}

/** What a notice says of a letter that came, after the name of who wrote it. */
export function letterWords(begins: string): string {
  return `wrote again: ${quoted(begins)}`;
}
