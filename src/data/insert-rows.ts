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
 * Inserts many rows with one JSON parameter: the engines take that several times as fast as a parameter for every value.
 * Every row names the same columns; bytes cannot be among them.
 */
export async function insertRows<T extends PgTable>(
  db: Database,
  table: T,
  rows: readonly T["$inferInsert"][],
  onConflict: SQL = sql``,
): Promise<void> {
  const [first] = rows;
  if (!first) return;
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
  await db.execute(
    sql`insert into ${sql.identifier(getTableName(table))} (${names}) select ${names} from jsonb_to_recordset(${json}::jsonb) as r(${typed}) ${onConflict}`,
  );
}
