import path from "node:path";
import { drizzle, type NodePgDatabase } from "drizzle-orm/node-postgres";
import { migrate } from "drizzle-orm/node-postgres/migrator";
import pg from "pg";
import { FolderInUse } from "./folder-lock";
import { type OwnPglite, openPglite, productRoot, socketFolderOf } from "./open-pglite";

/** The database as queries see it: PGlite and PostgreSQL alike. Also a transaction of it. */
export type Database = NodePgDatabase<Record<string, never>>;

/** An open database and how to let go of it. */
export interface OpenDatabase {
  readonly db: Database;
  readonly pool: pg.Pool;
  /** The PGlite this process owns; null with PostgreSQL, or where another process has the folder. */
  readonly pglite: OwnPglite | null;
  close(): Promise<void>;
}

/** Where the data are and what is opening them, for the sentence that refuses a second server. */
export interface DatabaseSettings {
  readonly url: string | null;
  readonly folder: string;
  readonly what: string;
  /** Whether a folder that another process has may be used through that process (the command line beside a server). */
  readonly mayShare: boolean;
}

/** Connections of one process: enough for a few people at once; PGlite answers them one after the other. */
const MOST_CONNECTIONS = 8;

/** The settings that the environment gives: DATABASE_URL, else the folder JAM_DATA (`.jam`). */
export function databaseSettings(
  what: string,
  mayShare: boolean,
  env: NodeJS.ProcessEnv = process.env,
): DatabaseSettings {
  return {
    url: env.DATABASE_URL || null,
    folder: path.resolve(env.JAM_DATA || path.join(productRoot(), ".jam")),
    what,
    mayShare,
  };
}

/** Opens the database and brings its tables up to date. */
export async function openDatabase(settings: DatabaseSettings): Promise<OpenDatabase> {
  let pglite: OwnPglite | null = null;
  let connection: pg.PoolConfig;
  if (settings.url) connection = { connectionString: settings.url };
  else {
    try {
      pglite = await openPglite(settings.folder, settings.what);
    } catch (error) {
      if (!(error instanceof FolderInUse) || !settings.mayShare) throw error;
    }
    connection = {
      host: pglite?.socketFolder ?? socketFolderOf(settings.folder),
      port: 5432,
      user: "postgres",
      database: "postgres",
      ssl: false,
    };
  }
  const pool = new pg.Pool({ ...connection, max: MOST_CONNECTIONS, idleTimeoutMillis: 0 });
  // A connection that breaks while idle is replaced at the next query; without a listener it would end the process.
  pool.on("error", () => {});
  const db: Database = drizzle(pool);
  const close = async () => {
    await pool.end();
    await pglite?.close();
  };
  try {
    await migrateOnce(db, pool, settings.url !== null);
  } catch (error) {
    await close();
    throw error;
  }
  return { db, pool, pglite, close };
}

/** Number of the advisory lock under which one server of several migrates a PostgreSQL. */
const MIGRATION_LOCK = 7_041_903;

async function migrateOnce(db: Database, pool: pg.Pool, isPostgres: boolean): Promise<void> {
  const migrationsFolder = path.join(productRoot(), "src/data/migrations");
  if (!isPostgres) {
    await migrate(db, { migrationsFolder });
    return;
  }
  const client = await pool.connect();
  try {
    await client.query("select pg_advisory_lock($1)", [MIGRATION_LOCK]);
    await migrate(drizzle(client) as Database, { migrationsFolder });
  } finally {
    await client.query("select pg_advisory_unlock($1)", [MIGRATION_LOCK]).catch(() => {});
    client.release();
  }
}
