import { sql } from "drizzle-orm";
import { addMailbox } from "../../acts/mailboxes";
import type { Database } from "../../data/engine/database";
import { rowsOf } from "../../data/rows";
import { mailboxKey, seal } from "../../post/imap/secret";
import { DEMO_PASSWORD } from "../demo-password";
import { BOX_ADDRESS } from "./room";

const NAME = "Ines’s own mailbox";

/** Connects the demo's house to the post room's mailbox, as its owner would by hand; its port is another one at every start. */
export async function connectMailbox(db: Database, folder: string, port: number, now: number): Promise<void> {
  const [owner] = await rowsOf<{ id: string }>(db, sql`select id from person where address = ${BOX_ADDRESS}`);
  if (!owner) return;
  const secret = seal(DEMO_PASSWORD, mailboxKey(folder));
  const again = await rowsOf(
    db,
    sql`update mailbox set port = ${port}, secret = ${secret} where user_name = ${BOX_ADDRESS} and host = '127.0.0.1' and not is_revoked returning id`,
  );
  if (again.length > 0) return;
  const [was] = await rowsOf(db, sql`select id from mailbox where user_name = ${BOX_ADDRESS} and host = '127.0.0.1'`);
  // Whoever revoked it does not want it back at the next start.
  if (was) return;
  await addMailbox(
    db,
    { personId: owner.id },
    {
      name: NAME,
      isPersonal: true,
      host: "127.0.0.1",
      port,
      security: "none",
      userName: BOX_ADDRESS,
      secret,
      folder: "INBOX",
      sentFolder: "Sent",
      since: null,
      mark: null,
      onDealt: "mark read",
      moveTo: null,
    },
    now,
  );
}
