import { sql } from "drizzle-orm";
import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { perform } from "@/acts/perform";
import { takeIn } from "@/acts/take-in";
import { wayInNamed } from "@/acts/ways-in";
import { openTasksBeside } from "@/data/queries/open-tasks";
import { conversationFor } from "@/data/queries/sort";
import { taskSheet } from "@/data/queries/tasks";
import { rowsOf } from "@/data/rows";
import { sendDue } from "@/post/outbox";
import { ENGINES, NOW, type TestHouse, testHouse } from "./test-house";

const TEXT = "Hello Ada,\n\ncould you send us the sand by Friday? I will bring the keys tomorrow.\n\nInes";
const ASK = "could you send us the sand by Friday?";
const PROMISE = "I will bring the keys tomorrow.";

const slip = (kind: string, words: string, more: Record<string, unknown>) => ({
  kind,
  title: words.slice(0, 40),
  start: TEXT.indexOf(words),
  end: TEXT.indexOf(words) + words.length,
  owner: null,
  due: null,
  priority: "normal",
  ...more,
});

describe.each(ENGINES)("what is kept with a letter of ours, on %s", (engine) => {
  let house: TestHouse;
  beforeAll(async () => {
    process.env.JAM_SMTP_OUT = "smtp://127.0.0.1:25";
    house = await testHouse(engine);
  });
  afterAll(() => house.close());

  const viewer = () => ({ personId: house.ines });
  const write = (slips: readonly unknown[]) =>
    perform(house.db, { ...viewer(), now: NOW }, "write", {
      to: [{ name: "Ada Lund", address: "ada@beech.example" }],
      cc: [],
      subject: "Sand",
      text: TEXT,
      from: "ines@house.example",
      answersId: null,
      taskId: null,
      finishes: false,
      dealsWith: false,
      slips,
    });
  const both = () => [
    slip("ask", ASK, { owner: "ada@beech.example", due: { day: "2026-11-27", time: null, zone: "Europe/London" } }),
    slip("promise", PROMISE, { owner: "ines@house.example" }),
  ];
  const sheet = async (slug: string) => (await taskSheet(house.db, viewer(), Number(slug.split("-")[1])))!;
  const count = async () => (await rowsOf<{ n: number }>(house.db, sql`select count(*)::int as n from task`))[0]!.n;

  test("an ask of somebody outside is waited for, a promise is one's own; taken back, both are gone with the letter", async () => {
    const done = await write(both());
    if (!done.ok) throw new Error(done.says);
    const [wait, own] = await Promise.all(done.made.map(({ slug }) => sheet(slug)));
    expect(wait!.task).toMatchObject({ side: "theirs", theirs: { name: "Ada Lund" }, due: { day: "2026-11-27" } });
    expect(own!.task).toMatchObject({ side: "ours", owner: { name: "Ines Valdarno" }, due: null });
    expect(own!.happened.map(({ words }) => words)).toEqual(["kept it with a letter to Ada Lund"]);
    await perform(house.db, { ...viewer(), now: NOW }, "undo", { entryId: done.entryId });
    expect(await count()).toBe(0);
  });

  test("a wrong slip sends nothing and keeps nothing", async () => {
    const done = await write([slip("ask", ASK, { due: { day: "2026-02-31", time: null, zone: "Europe/London" } })]);
    expect(done).toMatchObject({ ok: false });
    expect(await count()).toBe(0);
  });

  test("what an answer says of a task that is here changes it with the letter; taken back, both are as they were", async () => {
    const raw = (n: number, text: string) =>
      Buffer.from(
        `From: Ada Lund <ada@beech.example>\r\nTo: ines@house.example\r\nSubject: Plan ${n}\r\nMessage-ID: <plan-${n}@beech.example>\r\nDate: Mon, 23 Nov 2026 09:00:00 +0000\r\n\r\n${text}\r\n`,
      );
    const [taken] = await takeIn(
      house.db,
      [{ raw: raw(1, "Could you send us the plan of the pit?") }],
      house.shared,
      NOW,
    );
    const letterId = taken && "letterId" in taken ? taken.letterId! : "";
    const [found] = await rowsOf<{ id: string; conversationId: string }>(
      house.db,
      sql`select id, conversation_id as "conversationId" from slip where letter_id = ${letterId}`,
    );
    const input = { conversationId: found!.conversationId, slipIds: [found!.id] };
    const kept = await perform(house.db, { ...viewer(), now: NOW }, "keep", input);
    if (!kept.ok) throw new Error(kept.says);
    const { slug } = kept.made[0]!;
    const [open] = await openTasksBeside(house.db, viewer(), letterId);
    expect(open).toMatchObject({ title: "Send Ada the plan of the pit", owner: "ines@house.example" });
    const answer = async (text: string, change: Record<string, unknown>) =>
      perform(house.db, { ...viewer(), now: NOW }, "write", {
        to: [{ name: "Ada Lund", address: "ada@beech.example" }],
        cc: [],
        subject: "Re: Plan",
        text,
        from: "ines@house.example",
        answersId: letterId,
        taskId: null,
        finishes: false,
        dealsWith: false,
        changes: [{ taskId: open!.id, start: 0, end: text.length, owner: null, due: null, ...change }],
      });
    const stateOf = async () => (await sheet(slug)).task.state;
    const words = "I sent it this morning.";
    expect(await answer(words, { change: "done", end: 400 })).toMatchObject({ ok: false });
    expect(await answer(words, { change: "done", taskId: found!.id })).toMatchObject({ ok: false });
    const done = await answer(words, { change: "done" });
    if (!done.ok) throw new Error(done.says);
    expect([await stateOf(), (await sheet(slug)).happened[0]?.words]).toEqual([
      "done",
      "wrote to Ada Lund and finished it",
    ]);
    await perform(house.db, { ...viewer(), now: NOW }, "undo", { entryId: done.entryId });
    expect(await stateOf()).toBe("to begin");
    expect(
      await rowsOf(house.db, sql`select id from outgoing where text like ${`${words}%`} and state = 'waiting'`),
    ).toEqual([]);
    const due = { day: "2026-11-30", time: null, zone: "Europe/London" };
    const moved = await answer("It will be Monday instead.", { change: "moved", due });
    if (!moved.ok) throw new Error(moved.says);
    expect((await sheet(slug)).task.due).toMatchObject({ day: "2026-11-30" });
    expect((await sheet(slug)).happened[0]?.words).toContain("moved the due date");
    expect(await openTasksBeside(house.db, viewer(), letterId)).toHaveLength(1);
    await perform(house.db, { ...viewer(), now: NOW }, "undo", { entryId: moved.entryId });
    expect((await sheet(slug)).task.due).toBeNull();
  });

  test("once it is out the tasks stand on its words, and an answer to it finishes the wait", async () => {
    const done = await write(both());
    if (!done.ok) throw new Error(done.says);
    let raw: Buffer = Buffer.alloc(0);
    const carrier = {
      send: async (bytes: Buffer, _envelope: unknown, onHandOver: () => Promise<void>) => {
        await onHandOver();
        raw = bytes;
        return { kind: "taken", said: "250 OK" } as const;
      },
    };
    expect(await sendDue(house.db, carrier, () => NOW + 60_000)).toBe(1);
    const { slug } = done.made[0]!;
    const { conversationId, passage } = await sheet(slug);
    expect(conversationId).not.toBeNull();
    expect(passage?.words.replace(/\s+/g, " ")).toBe(ASK);
    const messageId = /^Message-ID: (<[^>]+>)/im.exec(raw.toString())![1]!;
    const answer = [
      "From: Ada Lund <ada@beech.example>",
      "To: ines@house.example",
      "Subject: Re: Sand",
      "Message-ID: <sand-2@beech.example>",
      `In-Reply-To: ${messageId}`,
      `References: ${messageId}`,
      "Date: Wed, 25 Nov 2026 09:00:00 +0000",
      "",
      "Hello Ines,",
      "",
      "the sand is on its way.",
      "",
      "Ada",
    ];
    const mine = await wayInNamed(house.db, "ines's own", "mailbox", house.ines);
    await takeIn(house.db, [{ raw: Buffer.from(answer.join("\r\n")) }], mine, NOW + 86_400_000);
    const rows = await rowsOf<{ id: string }>(
      house.db,
      sql`select conversation_id as id from letter where message_id = 'sand-2@beech.example'`,
    );
    const found = await conversationFor(house.db, viewer(), rows[0]!.id);
    expect(found?.slips.map(({ changes }) => changes)).toMatchObject([{ change: "done", slug }]);
  });
});
