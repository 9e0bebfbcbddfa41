import { sql } from "drizzle-orm";
import { z } from "zod";
import { type UndoFacts, undo } from "../../core/tasks/decisions/undo";
import type { Change } from "../../core/tasks/outcome";
import type { Database } from "../../data/engine/database";
import { rowsOf } from "../../data/rows";
import { type Actor, define } from "../act";
import { id } from "../inputs";
import { rowAsValues } from "../write-rows";

interface Entry {
  seq: string;
  id: string;
  personId: string;
  changes: Change[];
  about: string[];
  isUndone: boolean;
}

async function entryToUndo(db: Database, actor: Actor, entryId: string | null): Promise<Entry | null> {
  const select = sql`select h.seq, h.id, h.person_id as "personId", h.changes, h.about, jam_is_undone(h.seq) as "isUndone" from history h`;
  const [entry] = entryId
    ? await rowsOf<Entry>(db, sql`${select} where h.id = ${entryId} and h.person_id = ${actor.personId}`)
    : await rowsOf<Entry>(
        db,
        sql`${select} where h.person_id = ${actor.personId} and h.undoes is null and not jam_is_undone(h.seq) order by h.seq desc limit 1`,
      );
  return entry ?? null;
}

/** Conversations that the entry made and that other letters have come into since. */
async function conversationsWrittenInSince(db: Database, changes: readonly Change[]): Promise<string[]> {
  const made = changes.filter((change) => change.row === "conversation" && change.before === null);
  if (made.length === 0) return [];
  const moved = changes.filter((change) => change.row === "letter").map((change) => change.id);
  const rows = await rowsOf<{ id: string }>(
    db,
    sql`select distinct conversation_id as id from letter where conversation_id in ${made.map((change) => change.id)} and not (id = any(select jsonb_array_elements_text(${JSON.stringify(moved)}::jsonb)::uuid))`,
  );
  return rows.map((row) => row.id);
}

/** Undoes the entry named, or the actor's latest act. Only one's own acts: what another did is changed, not undone. */
export const undoAct = define<{ entryId: string | null }, UndoFacts>({
  name: "undo",
  input: z.object({ entryId: id.nullable() }),
  async load(db, actor, input) {
    const entry = await entryToUndo(db, actor, input.entryId);
    if (!entry) return { entry: null, rows: new Map(), touchedLater: new Map() };
    const rows = new Map();
    for (const change of entry.changes) {
      const row = await rowAsValues(db, change.row, change.id);
      if (row) rows.set(change.id, row);
    }
    const later = await rowsOf<{ name: string; changes: Change[]; about: string[] }>(
      db,
      sql`select p.name, h.changes, h.about from history h join person p on p.id = h.person_id where h.seq > ${entry.seq} and h.undoes is null
        and not jam_is_undone(h.seq) and h.about ?| array(select jsonb_array_elements_text(${JSON.stringify([...entry.about, ...entry.changes.map((c) => c.id)])}::jsonb)) order by h.seq`,
    );
    const touchedLater = new Map<string, string>();
    // A task that was made is built upon by anything about it (a note as well), another row by a change of its own.
    for (const { name, changes, about } of later)
      for (const touched of [...changes.map((change) => change.id), ...about]) touchedLater.set(touched, name);
    for (const id of await conversationsWrittenInSince(db, entry.changes)) touchedLater.set(id, "A later letter");
    return {
      entry: { seq: Number(entry.seq), isUndone: entry.isUndone, changes: entry.changes, about: entry.about },
      rows,
      touchedLater,
    };
  },
  decide: (facts) => undo(facts),
});
