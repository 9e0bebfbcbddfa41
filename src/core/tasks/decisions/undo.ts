import { type Change, invalid, type Outcome, type RowValues, refused, type Write } from "../outcome";

/** An entry of the history and what has become of its rows, as undoing it is decided on. */
export interface UndoFacts {
  readonly entry: {
    readonly seq: number;
    readonly isUndone: boolean;
    readonly changes: readonly Change[];
    readonly about: readonly string[];
  } | null;
  /** The rows of the entry as they are now, by id; a missing row is gone. */
  readonly rows: ReadonlyMap<string, RowValues>;
  /** Ids of rows that a later act of somebody touched, with who that was; acts that were undone do not count. */
  readonly touchedLater: ReadonlyMap<string, string>;
}

/**
 * Takes an act back: every row gets the values it had before. Refused with the name of whoever built on it since, so that
 * nothing of theirs is lost. Undoing an undo does the act again.
 */
export function undo(facts: UndoFacts): Outcome {
  if (!facts.entry) return refused({ code: "nothing to undo" });
  if (facts.entry.isUndone) return refused({ code: "already undone" });
  const writes: Write[] = [];
  for (const change of [...facts.entry.changes].reverse()) {
    const row = facts.rows.get(change.id);
    const later = facts.touchedLater.get(change.id);
    if (change.row === "outgoing" && row && (row.state !== "waiting" || row.tries !== 0))
      return invalid("The letter has gone out; it cannot be taken back. Nothing was changed.");
    if (change.before === null) {
      if (later) return refused({ code: "built upon", by: later });
      if (row) writes.push({ row: change.row, id: change.id, isNew: false, values: null });
    } else if (change.after === null) {
      writes.push({ row: change.row, id: change.id, isNew: true, values: change.before });
    } else {
      if (!row) return refused({ code: "not found" });
      const fields = Object.keys(change.after).filter((key) => key !== "changedAt");
      const isAsLeft = fields.every(
        (key) => JSON.stringify(row[key] ?? null) === JSON.stringify(change.after?.[key] ?? null),
      );
      if (!isAsLeft) return refused({ code: "built upon", by: later ?? "Somebody" });
      writes.push({ row: change.row, id: change.id, isNew: false, values: change.before });
    }
  }
  return { ok: true, writes, about: facts.entry.about, undoes: facts.entry.seq };
}
