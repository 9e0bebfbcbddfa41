import { getTableColumns, getTableName, type SQL, sql } from "drizzle-orm";
import type { PgTable } from "drizzle-orm/pg-core";
import type { Database } from "./engine/database";

/** Half of a pair that stands alone is no text (RFC 8259 section 8.2): the database takes none in JSON. */
const LONE_SURROGATE = /\p{Surrogate}/gu;

function asJson(rows: readonly object[]): string {
  return JSON.stringify(rows, (_, value) =>
    typeof value === "string" ? value.replace(LONE_SURROGATE, "\ufffd") : value,
  );
}

/**
 * The statement that inserts many rows with one JSON parameter: the engines take that several times as fast as a parameter for
 * every value. Every row names the same columns; bytes cannot be among them. Null where there are no rows.
 */
export function insertion<T extends PgTable>(
  table: T,
  rows: readonly T["$inferInsert"][],
  onConflict: SQL = sql``,
): SQL | null {
  const [first] = rows;
  if (!first) return null;
  const columns = Object.entries(getTableColumns(table)).filter(([name]) => name in first);
  const json = asJson(
    rows.map((row) =>
      Object.fromEntries(columns.map(([name, column]) => [column.name, (row as Record<string, unknown>)[name]])),
    ),
  );
  const names = sql.join(
    columns.map(([, column]) => sql.identifier(column.name)),
    sql`, `,
  );
  const typed = sql.join(
    columns.map(([, column]) => sql`${sql.identifier(column.name)} ${sql.raw(column.getSQLType())}`),
    sql`, `,
  );
  return sql`insert into ${sql.identifier(getTableName(table))} (${names}) select ${names} from jsonb_to_recordset(${json}::jsonb) as r(${typed}) ${onConflict}`;
}

/** Inserts many rows at once. */
export async function insertRows<T extends PgTable>(
  db: Database,
  table: T,
  rows: readonly T["$inferInsert"][],
  onConflict?: SQL,
): Promise<void> {
  const statement = insertion(table, rows, onConflict);
  if (statement) await db.execute(statement);
}

/**
 * Runs statements that only insert as one: each by itself would be a way to the engine and back, and it would be idle
 * meanwhile. What they refer to of each other is looked at once all are done.
 */
export async function insertTogether(db: Database, statements: readonly (SQL | null)[]): Promise<void> {
  const parts = statements.flatMap((statement, i) =>
    statement ? [sql`${sql.identifier(`part_${i}`)} as (${statement})`] : [],
  );
  if (parts.length > 0) await db.execute(sql`with ${sql.join(parts, sql`, `)} select 1`);
}
