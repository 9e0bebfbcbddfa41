import crypto from "node:crypto";
import { sql } from "drizzle-orm";
import { ImapFlow } from "imapflow";
import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { perform } from "@/acts/perform";
import { wayInNamed } from "@/acts/ways-in";
import { newId } from "@/data/ids";
import { sortPage } from "@/data/queries/sort";
import { rowsOf } from "@/data/rows";
import { mailbox } from "@/data/schema-post";
import { startMailboxes } from "@/post/imap/mailboxes";
import { seal, unseal } from "@/post/imap/secret";
import type { Worker } from "@/post/worker";
import { DovecotServer } from "../outside/dovecot";
import { NOW, type TestHouse, testHouse } from "./test-house";

// A real IMAP server: Debian's Dovecot on this machine.
const PORT = 3_991;
const KEY = crypto.randomBytes(32);
const server = new DovecotServer(PORT);
let house: TestHouse;
let reading: Worker;

const letter = (id: string, subject = id) =>
  `From: Ada Lund <ada@beech.example>\r\nTo: ines@house.example\r\nSubject: ${subject}\r\nMessage-ID: <${id}@beech.example>\r\nDate: Mon, 23 Nov 2026 09:00:00 +0000\r\n\r\nCould you look at ${id} by Friday?\r\n`;
const sum = (text: string) => crypto.createHash("sha256").update(text).digest("hex");

async function as<T>(user: string, step: (client: ImapFlow) => Promise<T>): Promise<T> {
  const client = new ImapFlow({
    host: "127.0.0.1",
    port: PORT,
    secure: false,
    auth: { user, pass: "plum" },
    logger: false,
  });
  await client.connect();
  try {
    return await step(client);
  } finally {
    await client.logout();
  }
}

const put = (user: string, raw: string, folder = "INBOX", flags: string[] = []) =>
  as(user, (client) => client.append(folder, raw, flags));

async function until<T>(what: () => Promise<T | null | undefined | false>): Promise<T> {
  for (let tries = 0; tries < 200; tries += 1) {
    const got = await what();
    if (got) return got;
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  throw new Error("It did not come.");
}

const here = async (id: string) =>
  (
    await rowsOf<{ id: string; sha256: string; conversationId: string }>(
      house.db,
      sql`select id, sha256, conversation_id as "conversationId" from letter where message_id = ${`${id}@beech.example`}`,
    )
  )[0];

async function addMailbox(
  user: string,
  more: Partial<typeof mailbox.$inferInsert> = {},
  ownerId: string | null = null,
) {
  const id = newId();
  await house.db.insert(mailbox).values({
    id,
    wayInId: await wayInNamed(house.db, `${user}'s mailbox`, "mailbox", ownerId),
    host: "127.0.0.1",
    port: PORT,
    security: "none",
    userName: user,
    secret: seal("plum", KEY),
    folder: "INBOX",
    onDealt: "nothing",
    madeBy: house.ines,
    madeAt: new Date(NOW),
    ...more,
  });
  return id;
}

const state = async (id: string, folder = "INBOX") =>
  (
    await rowsOf<{ says: string | null; behind: number; lastUid: number; failures: number }>(
      house.db,
      sql`select says, behind, last_uid::int as "lastUid", failures from mailbox_folder where mailbox_id = ${id} and folder = ${folder}`,
    )
  )[0];

const read = () =>
  startMailboxes(
    house.db,
    () => KEY,
    () => NOW,
    false,
  );

beforeAll(async () => {
  house = await testHouse("PGlite");
  await server.start();
  reading = read();
});
afterAll(async () => {
  await reading.stop();
  await house.close();
  await server.close();
});

test("a password that was encrypted opens with its key alone", () => {
  const sealed = seal("plum jam", KEY);
  expect(sealed).not.toContain("plum");
  expect(unseal(sealed, KEY)).toBe("plum jam");
  expect(() => unseal(sealed, crypto.randomBytes(32))).toThrow();
});

describe("mailboxes on an IMAP server", () => {
  test("what lies there comes in, what comes later within moments, byte for byte; the folder of sent letters too", async () => {
    await put("ines", letter("old"));
    await put("ines", letter("mine").replace("Ada Lund <ada@beech.example>", "Ines <ines@house.example>"), "Sent");
    const id = await addMailbox("ines", { sentFolder: "Sent" }, house.ines);
    expect((await until(() => here("old"))).sha256).toBe(sum(letter("old")));
    await until(async () => (await state(id))?.behind === 0);
    await put("ines", letter("new"));
    await until(() => here("new"));
    const mine = await until(() => here("mine"));
    const [conversation] = await rowsOf<{ place: string }>(
      house.db,
      sql`select place from conversation where id = ${mine.conversationId}`,
    );
    expect(conversation?.place).toBe("dealt with");
    expect(await state(id)).toMatchObject({ says: null, failures: 0 });
  });

  test("two mailboxes feed at once; the same letter in both is one letter", async () => {
    const shared = await addMailbox("office");
    await put("office", letter("both"));
    await put("ines", letter("both"));
    const one = await until(() => here("both"));
    await until(
      async () => (await rowsOf(house.db, sql`select 1 from arrival where letter_id = ${one.id}`)).length === 2,
    );
    await until(async () => (await state(shared))?.behind === 0);
  });

  test("only letters that carry a mark, once it is set", async () => {
    await addMailbox("marked", { mark: "\\Flagged" });
    await put("marked", letter("unmarked"));
    await put("marked", letter("flagged"), "INBOX", ["\\Flagged"]);
    await until(() => here("flagged"));
    expect(await here("unmarked")).toBeUndefined();
    await as("marked", async (client) => {
      await client.mailboxOpen("INBOX");
      await client.messageFlagsAdd("1", ["\\Flagged"]);
    });
    await until(() => here("unmarked"));
  });

  test("what is dealt with here is moved there, and what was read there is known here", async () => {
    await addMailbox("mover", { onDealt: "move", moveTo: "Archive" });
    await put("mover", letter("moved"));
    const moved = await until(() => here("moved"));
    await perform(house.db, { personId: house.ines, now: NOW }, "nothing to do", {
      conversationId: moved.conversationId,
    });
    await put("mover", letter("nudge"));
    await until(() =>
      as(
        "mover",
        async (client) => ((await client.status("Archive", { messages: true })) || { messages: 0 }).messages === 1,
      ),
    );
    await as("mover", async (client) => {
      await client.mailboxOpen("INBOX");
      await client.messageFlagsAdd("1:*", ["\\Seen", "\\Answered"]);
    });
    const nudge = await until(() => here("nudge"));
    await until(
      async () =>
        (
          await rowsOf(
            house.db,
            sql`select 1 from arrival where letter_id = ${nudge.id} and (remote->>'isSeen')::boolean and (remote->>'isAnswered')::boolean`,
          )
        ).length > 0,
    );
    // What somebody has read in their mail program comes after what nobody has.
    await put("mover", letter("unread"));
    await until(() => here("unread"));
    const { rows } = await sortPage(house.db, { personId: house.ines }, "sort", null);
    const of = (subject: string) => rows.findIndex((row) => row.subject === subject);
    expect(rows[of("nudge")]?.isUnread).toBe(false);
    expect(rows[of("unread")]?.isUnread).toBe(true);
    expect(of("nudge")).toBeGreaterThan(rows.findLastIndex((row) => row.isUnread));
    await put(
      "mover",
      letter("again", "Re: nudge").replace("Date: Mon, 23", "References: <nudge@beech.example>\r\nDate: Tue, 24"),
    );
    await until(() => here("again"));
    const after = (await sortPage(house.db, { personId: house.ines }, "sort", null)).rows;
    expect(after.find((row) => row.subject === "nudge")?.isUnread).toBe(true);
  });

  test("of two servers on one database one reads a mailbox; when it stops the other goes on", async () => {
    const readBy = async () =>
      (
        await rowsOf<{ by: string | null }>(
          house.db,
          sql`select m.read_by as by from mailbox m join way_in w on w.id = m.way_in_id where w.name = 'office''s mailbox'`,
        )
      )[0]?.by;
    const first = await until(readBy);
    const other = read();
    await put("office", letter("one-reader"));
    await until(() => here("one-reader"));
    expect(await readBy()).toBe(first);
    await reading.stop();
    reading = other;
    await put("office", letter("the-other-reader"));
    await until(() => here("the-other-reader"));
    expect(await readBy()).not.toBe(first);
  });

  test("a wrong password is said in words and holds up nobody else", async () => {
    const wrong = await addMailbox("ines-wrong", { secret: seal("not plum", KEY) });
    const says = await until(async () => (await state(wrong))?.says);
    expect(says).toBe("The mail server does not take the name and password. Give them anew.");
    await put("ines", letter("meanwhile"));
    await until(() => here("meanwhile"));
    await house.db.execute(sql`update mailbox set is_revoked = true where id = ${wrong}`);
  });

  test("a break in the middle of a first fetch loses nothing and doubles nothing", async () => {
    const ids = Array.from({ length: 150 }, (_, i) => `many-${i}`);
    await as("many", async (client) => {
      for (const id of ids) await client.append("INBOX", letter(id));
    });
    const id = await addMailbox("many");
    await until(async () => ((await state(id))?.lastUid ?? 0) >= 40);
    await server.kill();
    await until(async () => (await state(id))?.says);
    await server.start();
    await until(async () => {
      const now = await state(id);
      return now?.says === null && now.behind === 0 && now.lastUid === 150;
    });
    const rows = await rowsOf<{ messageId: string; sha256: string }>(
      house.db,
      sql`select message_id as "messageId", sha256 from letter where message_id like 'many-%'`,
    );
    expect(rows).toHaveLength(150);
    expect(new Set(rows.map((row) => row.sha256))).toEqual(new Set(ids.map((one) => sum(letter(one)))));
  }, 120_000);
});
