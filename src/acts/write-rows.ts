import { eq, getTableColumns } from "drizzle-orm";
import type { PgTable } from "drizzle-orm/pg-core";
import type { Change, Changeable, RowValues, Write } from "../core/tasks/outcome";
import type { Database } from "../data/engine/database";
import { conversation, letter, slip, task, thread, workstream } from "../data/schema";
import { away } from "../data/schema-days";
import { posted, postedAt, reminder } from "../data/schema-hearing";
import { comment } from "../data/schema-history";
import { outgoing } from "../data/schema-post";

const TABLES = {
  task,
  slip,
  conversation,
  comment,
  outgoing,
  letter,
  thread,
  workstream,
  posted,
  reminder,
  postedAt,
  away,
} as const satisfies Record<Changeable, PgTable>;

/** Columns that no act writes: kept by the database, or too large and never changed. */
const DERIVED = new Set(["search", "text", "parts", "files", "to", "cc"]);

/** Kept by the house itself as words come in, for any row. */
const KEPT = new Set(["search", "heardAt"]);

/** The column by which a row is known. */
function keyOf(row: Changeable) {
  return row === "thread" ? thread.messageId : TABLES[row].id;
}

function columnsOf(row: Changeable) {
  return getTableColumns(TABLES[row]) as Record<string, { dataType: string }>;
}

/** Values as the database takes them: ISO text becomes an instant where the column holds one. */
function toColumns(row: Changeable, values: RowValues): Record<string, unknown> {
  const columns = columnsOf(row);
  const entries = Object.entries(values).map(([name, value]) => {
    const column = columns[name];
    if (!column) throw new Error(`An act wants to write “${name}”, which a ${row} does not have.`);
    return [name, column.dataType === "date" && typeof value === "string" ? new Date(value) : value];
  });
  return Object.fromEntries(entries);
}

/** A row as acts and the history know it, or null where it is not there. */
export async function rowAsValues(db: Database, row: Changeable, id: string): Promise<RowValues | null> {
  const table = TABLES[row];
  const [found] = await db
    .select()
    .from(table as typeof task)
    .where(eq(keyOf(row), id))
    .for("update");
  if (!found) return null;
  const isDerived = (name: string) => KEPT.has(name) || (row === "letter" && DERIVED.has(name));
  const entries = Object.entries(found).filter(([name]) => name !== "id" && !isDerived(name));
  return Object.fromEntries(
    entries.map(([name, value]) => [name, value instanceof Date ? value.toISOString() : (value as RowValues[string])]),
  );
}

/** Writes what an act decided and gives back what changed, before and after. */
export async function writeRows(db: Database, writes: readonly Write[]): Promise<Change[]> {
  const changes: Change[] = [];
  for (const write of writes) {
    const table = TABLES[write.row];
    if (write.values === null) {
      const before = await rowAsValues(db, write.row, write.id);
      await db.delete(table).where(eq(keyOf(write.row), write.id));
      changes.push({ row: write.row, id: write.id, before, after: null });
    } else if (write.isNew) {
      await db.insert(table).values({ id: write.id, ...toColumns(write.row, write.values) } as never);
      changes.push({ row: write.row, id: write.id, before: null, after: write.values });
    } else {
      const row = await rowAsValues(db, write.row, write.id);
      if (!row) throw new Error(`A ${write.row} that an act changes is not there.`);
      const before = Object.fromEntries(Object.keys(write.values).map((name) => [name, row[name] ?? null]));
      await db
        .update(table)
        .set(toColumns(write.row, write.values) as never)
        .where(eq(keyOf(write.row), write.id));
      changes.push({ row: write.row, id: write.id, before, after: write.values });
    }
  }
  return changes;
}
