import { sql } from "drizzle-orm";
import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { takeIn } from "@/acts/take-in";
import { wayInNamed } from "@/acts/ways-in";
import { rowsOf } from "@/data/rows";
import { ENGINES, NOW, type TestHouse, testHouse } from "./test-house";

const DAY = 86_400_000;

interface Sketch {
  id?: string;
  from?: string;
  to?: string;
  subject: string;
  text?: string;
  at?: number;
  headers?: readonly string[];
}

function raw(sketch: Sketch): Buffer {
  return Buffer.from(
    [
      ...(sketch.headers ?? []),
      `From: ${sketch.from ?? "Ada Lund <ada@beech.example>"}`,
      `To: ${sketch.to ?? "ines@house.example"}`,
      `Subject: ${sketch.subject}`,
      ...(sketch.id ? [`Message-ID: <${sketch.id}>`] : []),
      `Date: ${new Date(sketch.at ?? NOW - DAY).toUTCString().replace("GMT", "+0000")}`,
      "",
      sketch.text ?? "It rained.",
      "",
    ].join("\r\n"),
  );
}

describe.each(ENGINES)("letters that come in, on %s", (engine) => {
  let house: TestHouse;
  beforeAll(async () => {
    house = await testHouse(engine);
  });
  afterAll(() => house.close());

  const take = async (way: string, ...sketches: readonly Sketch[]) => {
    const taken = await takeIn(
      house.db,
      sketches.map((sketch) => ({ raw: raw(sketch) })),
      way,
      NOW,
    );
    return Promise.all(
      taken.map(async (one) => {
        if (!("letterId" in one)) throw new Error("refused");
        const [row] = await rowsOf<{ conversationId: string }>(
          house.db,
          sql`select conversation_id as "conversationId" from letter where id = ${one.letterId}`,
        );
        return { ...one, ...row! };
      }),
    );
  };

  test("an answer whose program dropped the references joins its conversation; a stranger's letter does not", async () => {
    const [first] = await take(house.shared, { id: "swing-1@beech.example", subject: "Swing chains" });
    const [answer, stranger, late] = await take(
      house.shared,
      { id: "swing-2@beech.example", subject: "RE: Swing chains" },
      { id: "swing-3@elm.example", subject: "Re: Swing chains", from: "zed@elm.example" },
      { id: "swing-4@beech.example", subject: "Re: Swing chains", at: NOW - 60 * DAY },
    );
    expect(answer!.conversationId).toBe(first!.conversationId);
    expect(stranger!.conversationId).not.toBe(first!.conversationId);
    expect(late!.conversationId).not.toBe(first!.conversationId);
  });

  test("a letter that refers to two conversations makes them one, unless one of them is somebody's own", async () => {
    const [one] = await take(house.shared, { id: "moss-1@beech.example", subject: "Moss" });
    const [two] = await take(house.shared, { id: "moss-2@beech.example", subject: "Lichen" });
    const own = await wayInNamed(house.db, "suki's", "mailbox", house.suki);
    const [mine] = await take(own, { id: "moss-3@beech.example", subject: "Fern" });
    const both = "References: <moss-1@beech.example> <moss-2@beech.example>";
    const [joined] = await take(house.shared, { id: "moss-4@beech.example", subject: "Re: Lichen", headers: [both] });
    const where = async (letterId: string) =>
      (await rowsOf<{ id: string }>(house.db, sql`select conversation_id as id from letter where id = ${letterId}`))[0]
        ?.id;
    expect(await where(one!.letterId)).toBe(joined!.conversationId);
    expect(await where(two!.letterId)).toBe(joined!.conversationId);
    const mixed = "References: <moss-1@beech.example> <moss-3@beech.example>";
    await take(house.shared, { id: "moss-5@beech.example", subject: "Re: Fern", headers: [mixed] });
    expect(await where(mine!.letterId)).toBe(mine!.conversationId);
    expect(await where(one!.letterId)).not.toBe(mine!.conversationId);
    // A letter that everybody sees never opens somebody's own conversation.
    const [open] = await take(house.shared, {
      id: "moss-7@beech.example",
      subject: "Re: Fern",
      headers: ["References: <moss-3@beech.example>"],
    });
    expect(open!.conversationId).not.toBe(mine!.conversationId);
    // What answers a letter of the conversation that is gone comes into the one that stayed.
    const [later] = await take(house.shared, {
      id: "moss-6@beech.example",
      subject: "Re: Moss",
      headers: ["In-Reply-To: <moss-1@beech.example>"],
    });
    expect(later!.conversationId).toBe(joined!.conversationId);
  });

  test("the same message by two doors is one letter with both ways in, though the servers changed its head", async () => {
    const mailbox = await wayInNamed(house.db, "a mailbox", "mailbox", null);
    const sketch = { id: "twice@beech.example", subject: "Twice" };
    const [one] = await take(house.shared, sketch);
    const [two] = await take(mailbox, {
      ...sketch,
      headers: ["Received: from a by b; Tue, 24 Nov 2026 09:00:00 +0000"],
    });
    expect(two).toMatchObject({ outcome: "already here", letterId: one!.letterId });
    const ways = await rowsOf(house.db, sql`select 1 from arrival where letter_id = ${one!.letterId}`);
    expect(ways).toHaveLength(2);
    const copies = await rowsOf(house.db, sql`select 1 from letter_copy where letter_id = ${one!.letterId}`);
    expect(copies).toHaveLength(1);
    // Another letter that only borrows the Message-ID is a letter of its own.
    const [other] = await take(house.shared, { ...sketch, text: "Something else entirely." });
    expect(other).toMatchObject({ outcome: "new" });
  });

  test("a failed delivery joins the letter that failed, and is trouble for whoever wrote it", async () => {
    const [sent] = await take(house.shared, {
      id: "ours-1@house.example",
      subject: "Price for the swing",
      from: "Ines Valdarno <ines@house.example>",
      to: "ada@beech.example",
    });
    const [report] = await take(house.shared, {
      id: "report@mx.example",
      subject: "Undelivered Mail Returned to Sender",
      from: "MAILER-DAEMON@mx.example",
      text: [
        "The following address failed:",
        "",
        "<ada@beech.example>: 552 5.2.2 mailbox full",
        "",
        "--- The header of the original message follows ---",
        "",
        "Message-ID: <ours-1@house.example>",
      ].join("\r\n"),
    });
    expect(report!.conversationId).toBe(sent!.conversationId);
    const slips = await rowsOf<{ title: string; kind: string; ownerId: string }>(
      house.db,
      sql`select title, kind, owner_id as "ownerId" from slip where letter_id = ${report!.letterId}`,
    );
    expect(slips).toEqual([
      { title: "Ada Lund did not get our letter: the mailbox is full", kind: "trouble", ownerId: house.ines },
    ]);
  });

  test("an out-of-office reply says until when its writer is away, and asks nothing", async () => {
    const [reply] = await take(house.shared, {
      subject: "Automatic reply: Price",
      text: "Could you write to my colleague? I am back in the office on Thursday 3 December.",
      headers: ["Auto-Submitted: auto-replied"],
    });
    const [ada] = await rowsOf<{ awayUntil: string }>(
      house.db,
      sql`select away_until::text as "awayUntil" from correspondent where address = 'ada@beech.example'`,
    );
    expect(ada!.awayUntil).toBe("2026-12-03");
    expect(await rowsOf(house.db, sql`select 1 from slip where letter_id = ${reply!.letterId}`)).toEqual([]);
  });
});
