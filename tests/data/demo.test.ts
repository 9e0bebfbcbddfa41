import fs from "node:fs";
import os from "node:os";
import path from "node:path";
import { sql } from "drizzle-orm";
import { afterAll, beforeAll, expect, test } from "vitest";
import { type OpenDatabase, openDatabase } from "@/data/engine/database";
import { rowsOf } from "@/data/rows";
import { loadDemo } from "@/postroom/load-demo";
import { NOW } from "./test-house";

const folder = fs.mkdtempSync(path.join(os.tmpdir(), "jam-demo-"));
let open: OpenDatabase;
const said: string[] = [];

beforeAll(async () => {
  open = await openDatabase({ url: null, folder, what: "a test", mayShare: false });
  await loadDemo(open.db, NOW, (text) => said.push(text));
});
afterAll(async () => {
  await open.close();
  fs.rmSync(folder, { recursive: true, force: true });
});

async function count(query: ReturnType<typeof sql>): Promise<number> {
  return (await rowsOf<{ n: number }>(open.db, query))[0]!.n;
}

test("the demo is as large as it promises, and says how far it is while it loads", async () => {
  const within = async (what: string, query: ReturnType<typeof sql>, least: number, most: number) => {
    const n = await count(query);
    expect([what, n >= least && n <= most, n]).toEqual([what, true, n]);
  };
  await within("letters", sql`select count(*)::int n from letter`, 235, 265);
  await within("conversations", sql`select count(*)::int n from conversation`, 90, 115);
  await within("tasks", sql`select count(*)::int n from task`, 115, 126);
  await within("waiting in Sort", sql`select count(*)::int n from conversation where place = 'sort'`, 20, 35);
  await within(
    "late",
    sql`select count(*)::int n from task where side = 'ours' and state in ('to begin', 'under way') and due_day < '2026-11-24'`,
    4,
    12,
  );
  for (const state of ["to begin", "under way", "done", "called off"])
    expect([state, (await count(sql`select count(*)::int n from task where state = ${state}`)) > 0]).toEqual([
      state,
      true,
    ]);
  expect(said.length).toBeGreaterThan(10);
});

test("no task is due on another day than its passage says", async () => {
  const rows = await rowsOf<{ title: string; task: string; slip: string; read: string[] }>(
    open.db,
    sql`select t.title, t.due_day::text as task, s.due_day::text as slip, s.other_days as read from task t join slip s on s.task_id = t.id where s.due_day is not null`,
  );
  expect(rows.length).toBeGreaterThan(60);
  for (const row of rows) expect([row.title, row.task]).toEqual([row.title, row.slip]);
  // What the reader found in the words themselves was never overruled when the task was kept.
  const changed = await count(
    sql`select count(*)::int n from history h, jsonb_array_elements(h.changes) c where h.act = 'change slip' and c->'before'->>'dueDay' is not null and c->'after' ? 'dueDay'`,
  );
  expect(changed).toBe(0);
});

test("nothing of the demo lies in the future, and what came by a machine made no task", async () => {
  expect(
    await count(
      sql`select count(*)::int n from letter where sent_at > ${new Date(NOW)} or received_at > ${new Date(NOW)}`,
    ),
  ).toBe(0);
  expect(await count(sql`select count(*)::int n from history where at > ${new Date(NOW)}`)).toBe(0);
  expect(
    await count(
      sql`select count(*)::int n from task t join letter l on l.id = t.letter_id where l.automatic is not null`,
    ),
  ).toBe(0);
});
