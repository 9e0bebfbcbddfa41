// A process of its own for the test that kills it: inserts rows and says each number once it is acknowledged.
import { sql } from "drizzle-orm";
import { openDatabase } from "../../src/data/engine/database";
import { rowsOf } from "../../src/data/rows";

const { db } = await openDatabase({ url: null, folder: process.argv[2]!, what: "inserter", mayShare: false });
await db.execute(sql`create table if not exists mark (n serial primary key)`);
for (;;) {
  const [row] = await rowsOf<{ n: number }>(db, sql`insert into mark default values returning n`);
  process.stdout.write(`${row!.n}\n`);
}
