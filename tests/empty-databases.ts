import crypto from "node:crypto";
import fs from "node:fs";
import path from "node:path";
import pg from "pg";
import { openDatabase } from "../src/data/engine/database";

/** The PostgreSQL database that others are made after. */
export const EMPTY_POSTGRES = "jam_empty";

/** Puts a copy of the empty database into a data folder. Without the runner that makes one, the folder stays as it is. */
export function copyEmpty(folder: string): void {
  const empty = process.env.JAM_EMPTY_FOLDER;
  if (empty) fs.cpSync(path.join(empty, "db"), path.join(folder, "db"), { recursive: true });
}

/** A folder of this checkout for the empty database of just these tables and this engine. */
function emptyFolder(): string {
  const root = path.resolve(import.meta.dirname, "..");
  const migrations = path.join(root, "src/data/migrations");
  const sum = crypto.createHash("sha256");
  sum.update(fs.readFileSync(path.join(root, "node_modules/@electric-sql/pglite/package.json")));
  for (const name of fs.readdirSync(migrations).filter((one) => one.endsWith(".sql")))
    sum.update(name).update(fs.readFileSync(path.join(migrations, name)));
  return path.join(root, "node_modules/.cache/jam-kettle", `empty-${sum.digest("hex").slice(0, 16)}`);
}

/**
 * Makes an empty database of each engine once, with all its tables: every test that wants one of its own gets a copy. Making one
 * anew takes longer than most tests. Whether that works is for the tests of the engine and the command, which start from nothing.
 */
export default async function makeEmptyDatabases(): Promise<void> {
  const folder = emptyFolder();
  const settings = { folder, what: "the tests", mayShare: false };
  if (!fs.existsSync(path.join(folder, "complete"))) {
    fs.rmSync(folder, { recursive: true, force: true });
    await (await openDatabase({ ...settings, url: null })).close();
    fs.writeFileSync(path.join(folder, "complete"), "");
  }
  process.env.JAM_EMPTY_FOLDER = folder;
  const base = process.env.JAM_TEST_POSTGRES;
  if (!base) return;
  const client = new pg.Client({ connectionString: base });
  await client.connect();
  await client.query(`create database ${EMPTY_POSTGRES}`);
  await client.end();
  await (await openDatabase({ ...settings, url: base.replace("/postgres?", `/${EMPTY_POSTGRES}?`) })).close();
}
