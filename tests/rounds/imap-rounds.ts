import crypto from "node:crypto";
import { sql } from "drizzle-orm";
import { ImapFlow } from "imapflow";
import { BATCH } from "@/acts/take-in";
import { wayInNamed } from "@/acts/ways-in";
import { newId } from "@/data/ids";
import { rowsOf } from "@/data/rows";
import { mailbox } from "@/data/schema-post";
import { startMailboxes } from "@/post/imap/mailboxes";
import { seal } from "@/post/imap/secret";
import { testHouse } from "../data/test-house";
import { DovecotServer } from "../outside/dovecot";
import { pause, seeded } from "./seeded";

/** What came of breaking the connection in the middle of a first fetch. */
export interface ImapResult {
  readonly letters: number;
  readonly breaks: number;
  readonly here: number;
  /** Sums of letters that lie on the server and are not here byte for byte. */
  readonly lost: number;
}

/** More than are written at once, so that a break comes while there is more to fetch. */
const LETTERS_A_ROUND = 2.5 * BATCH;

/** Fills a mailbox round by round, reads it, and kills the IMAP server at a random moment of each fetch. */
export async function imapRounds(rounds: number, port: number, seed: number): Promise<ImapResult> {
  const random = seeded(seed);
  const server = new DovecotServer(port);
  const house = await testHouse("PGlite");
  const key = crypto.randomBytes(32);
  try {
    await server.start();
    const sums = new Set<string>();
    let letters = 0;
    const fill = async () => {
      const auth = { user: "many", pass: "plum" };
      const client = new ImapFlow({ host: "127.0.0.1", port, secure: false, auth, logger: false });
      await client.connect();
      for (const last = letters + LETTERS_A_ROUND; letters < last; letters += 1) {
        const raw = `From: Ada <ada@beech.example>\r\nTo: ines@house.example\r\nSubject: Letter ${letters}\r\nMessage-ID: <m-${letters}@beech.example>\r\nDate: Mon, 23 Nov 2026 09:00:00 +0000\r\n\r\n${`line ${letters}\r\n`.repeat(1 + Math.floor(random() * 1_200))}`;
        sums.add(crypto.createHash("sha256").update(raw).digest("hex"));
        await client.append("INBOX", raw);
      }
      await client.logout();
    };
    await house.db.insert(mailbox).values({
      id: newId(),
      wayInId: await wayInNamed(house.db, "many", "mailbox", null),
      host: "127.0.0.1",
      port,
      security: "none",
      userName: "many",
      secret: seal("plum", key),
      folder: "INBOX",
      onDealt: "nothing",
      madeBy: house.ines,
      madeAt: new Date(),
    });
    const kept = async () =>
      (await rowsOf<{ sha256: string }>(house.db, sql`select sha256 from letter`)).map((row) => row.sha256);
    // Counted, not listed: the break should come soon after the first letters did.
    const count = async () => (await rowsOf<{ n: number }>(house.db, sql`select count(*)::int as n from letter`))[0]!.n;
    const began = async (before: number) => {
      for (let looks = 0; looks < 3_000 && (await count()) <= before; looks += 1) await pause(10);
    };
    let breaks = 0;
    for (let round = 0; round < rounds; round += 1) {
      await fill();
      // A new reader each round: the pauses after a break are minutes, and a test does not wait for them.
      const reading = startMailboxes(
        house.db,
        () => key,
        () => Date.now(),
        true,
      );
      await began(await count());
      await pause(random() * 60);
      await server.kill();
      await reading.stop();
      // One that came after the last letter broke nothing.
      if ((await count()) < letters) breaks += 1;
      await server.start();
    }
    const reading = startMailboxes(
      house.db,
      () => key,
      () => Date.now(),
      true,
    );
    for (let looks = 0; looks < 1_200 && (await kept()).length < letters; looks += 1) await pause(100);
    await reading.stop();
    const here = await kept();
    return { letters, breaks, here: here.length, lost: [...sums].filter((sum) => !here.includes(sum)).length };
  } finally {
    await house.close();
    await server.close();
  }
}
