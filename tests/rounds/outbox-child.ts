// A process of its own for the rounds that kill it: sends what is due until it is ended.
import { sql } from "drizzle-orm";
import { openDatabase } from "../../src/data/engine/database";
import { smtpCarrier } from "../../src/post/carrier";
import { startOutbox } from "../../src/post/worker";

const [folder, url] = process.argv.slice(2) as [string, string];
const { db } = await openDatabase({ url: null, folder, what: "outbox rounds", mayShare: false });
// Pauses between tries are minutes; the rounds do not wait for them.
await db.execute(sql`update outgoing set next_try = ${new Date(Date.now() - 60_000)} where state = 'waiting'`);
await startOutbox(db, smtpCarrier(url), () => Date.now(), true);
process.stdout.write("sending\n");
