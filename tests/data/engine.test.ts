import { type ChildProcess, spawn } from "node:child_process";
import fs from "node:fs";
import os from "node:os";
import path from "node:path";
import { sql } from "drizzle-orm";
import pg from "pg";
import { afterAll, beforeAll, expect, test } from "vitest";
import { type OpenDatabase, openDatabase } from "@/data/engine/database";
import { rowsOf } from "@/data/rows";

const root = fs.mkdtempSync(path.join(os.tmpdir(), "jam-engine-"));
const folder = path.join(root, "data");
const settings = { url: null, folder, what: "the first server", mayShare: false };
let open: OpenDatabase;
beforeAll(async () => {
  open = await openDatabase(settings);
});
afterAll(async () => {
  await open.close();
  fs.rmSync(root, { recursive: true, force: true });
});

test("every commit is synced to the disk", async () => {
  const before = open.pglite!.syncs();
  for (let i = 0; i < 40; i += 1) await open.db.execute(sql`update intake set count = count + 1 where id = 1`);
  expect(open.pglite!.syncs() - before).toBeGreaterThanOrEqual(40);
  const reads = open.pglite!.syncs();
  for (let i = 0; i < 40; i += 1) await open.db.execute(sql`select 1`);
  expect(open.pglite!.syncs() - reads).toBeLessThan(5);
});

test("connections that speak at once never get into each other's statements", async () => {
  const clients = await Promise.all(
    Array.from({ length: 6 }, async () => {
      const client = new pg.Client({
        host: open.pglite!.socketFolder,
        port: 5432,
        user: "postgres",
        database: "postgres",
      });
      await client.connect();
      return client;
    }),
  );
  let answers = 0;
  await Promise.all(
    clients.map(async (client, c) => {
      for (let i = 0; i < 60; i += 1) {
        // Another number of parameters at every turn, and one statement in five that fails.
        const values = Array.from({ length: 1 + ((c + i) % 5) }, (_, n) => c * 1_000 + i + n);
        const { rows } = await client.query(
          `select ${values.map((_, n) => `$${n + 1}::int as v${n}`).join(", ")}`,
          values,
        );
        expect(Object.values(rows[0])).toEqual(values);
        if (i % 5 === 0) await expect(client.query("select $1::int / 0", [1])).rejects.toThrow(/division/);
        answers += 1;
      }
    }),
  );
  await Promise.all(clients.map((client) => client.end()));
  expect(answers).toBe(360);
});

test("interleaved transactions keep their sums, and one that is cut off is taken back", async () => {
  await open.db.execute(sql`create table jar (id int primary key, plums int not null)`);
  await open.db.execute(sql`insert into jar select g, 100 from generate_series(1, 4) g`);
  await Promise.all(
    Array.from({ length: 24 }, (_, i) =>
      open.db
        .transaction(async (tx) => {
          await tx.execute(sql`update jar set plums = plums - 1 where id = ${1 + (i % 4)}`);
          await tx.execute(sql`update jar set plums = plums + 1 where id = ${1 + ((i + 1) % 4)}`);
          if (i % 6 === 0) throw new Error("taken back");
        })
        .catch((error: Error) => expect(error.message).toBe("taken back")),
    ),
  );
  const client = new pg.Client({ host: open.pglite!.socketFolder, port: 5432, user: "postgres", database: "postgres" });
  client.on("error", () => {});
  await client.connect();
  await client.query("begin");
  await client.query("update jar set plums = 0");
  (client as unknown as { connection: { stream: { destroy(): void } } }).connection.stream.destroy();
  const [row] = await rowsOf<{ sum: string }>(open.db, sql`select sum(plums) as sum from jar`);
  expect(Number(row!.sum)).toBe(400);
});

test("a second server on the same folder is refused with a sentence that says who has it", async () => {
  await expect(openDatabase({ ...settings, what: "the second" })).rejects.toThrow(
    new RegExp(`in use by the first server \\(process ${process.pid}`),
  );
});

test("a command beside the server speaks through it", async () => {
  const beside = await openDatabase({ ...settings, what: "a command", mayShare: true });
  const [row] = await rowsOf<{ count: number }>(beside.db, sql`select count from intake where id = 1`);
  expect(row!.count).toBeGreaterThanOrEqual(40);
  expect(beside.pglite).toBeNull();
  await beside.close();
});

test("a data folder with a long path can be used", async () => {
  const long = await openDatabase({ ...settings, folder: path.join(root, "l".repeat(120)) });
  expect((await rowsOf(long.db, sql`select 1`)).length).toBe(1);
  await long.close();
});

/** A process that inserts rows and says each number once it is acknowledged. */
function inserter(into: string): ChildProcess {
  return spawn(process.execPath, ["--import", "tsx", path.join(import.meta.dirname, "inserter.ts"), into], {
    stdio: ["ignore", "pipe", "inherit"],
  });
}

test("after kill -9 the next start works without a hand, with everything that was acknowledged", async () => {
  const into = path.join(root, "killed");
  let acknowledged = 0;
  for (let round = 0; round < 3; round += 1) {
    const child = inserter(into);
    const before = acknowledged;
    child.stdout!.on("data", (chunk: Buffer) => {
      const numbers = chunk.toString().trim().split("\n").map(Number);
      acknowledged = Math.max(acknowledged, ...numbers);
      if (acknowledged > before + 60) child.kill("SIGKILL");
    });
    await new Promise((resolve) => child.once("exit", resolve));
    expect(acknowledged).toBeGreaterThan(before + 60);
  }
  const after = await openDatabase({ ...settings, folder: into });
  const [row] = await rowsOf<{ last: number; n: number }>(
    after.db,
    sql`select max(n)::int as last, count(*)::int as n from mark`,
  );
  await after.close();
  expect(row!.last).toBeGreaterThanOrEqual(acknowledged);
});
