import { databaseSettings, type OpenDatabase, openDatabase } from "./database";

// Pages, route handlers and the server itself are separate bundles of one process: the database lives on the process.
const shared = globalThis as typeof globalThis & { jamDatabase?: Promise<OpenDatabase> };

/** The database of this process, opened at the first call. */
export function sharedDatabase(what = "a server"): Promise<OpenDatabase> {
  shared.jamDatabase ??= openDatabase(databaseSettings(what, false));
  return shared.jamDatabase;
}

/** Closes the database of this process, if it is open. */
export async function closeSharedDatabase(): Promise<void> {
  const open = shared.jamDatabase;
  shared.jamDatabase = undefined;
  await (await open?.catch(() => null))?.close();
}
