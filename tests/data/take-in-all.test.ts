import { sql } from "drizzle-orm";
import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { takeInAll } from "@/acts/take-in";
import { newId } from "@/data/ids";
import { insertion, insertRows, insertTogether } from "@/data/insert-rows";
import { find } from "@/data/queries/find";
import { rowsOf } from "@/data/rows";
import { conversation, thread } from "@/data/schema";
import { comment } from "@/data/schema-history";
import { ENGINES, NOW, type TestHouse, testHouse } from "./test-house";

const raw = (id: string, subject: string, text = "Hello.", more = "") =>
  Buffer.from(
    `From: Zoë Lundström <zoe.lund@beech.example>\r\nTo: ines@house.example\r\nSubject: ${subject}\r\nMessage-ID: <${id}@beech.example>\r\nDate: Mon, 23 Nov 2026 09:00:00 +0000\r\nContent-Type: text/plain; charset=utf-8\r\n${more}\r\n${text}\r\n`,
  );

describe.each(ENGINES)("batch after batch, on %s", (engine) => {
  let house: TestHouse;
  beforeAll(async () => {
    house = await testHouse(engine);
  });
  afterAll(() => house.close());

  const all = async (batches: Iterable<{ raw: Buffer }[]>) => {
    const outcomes: string[][] = [];
    for await (const { batch, taken } of takeInAll(house.db, batches, { way: house.shared, now: () => NOW })) {
      expect(taken).toHaveLength(batch.length);
      outcomes.push(taken.map((one) => one.outcome));
    }
    return outcomes;
  };

  test("every batch comes back in its order; the same letter in two batches is one; an answer finds what came just before", async () => {
    const outcomes = await all([
      [{ raw: raw("a", "Gate") }, { raw: raw("b", "Slide") }],
      [{ raw: raw("a", "Gate") }],
      [],
      [{ raw: raw("c", "Re: Gate", "Thanks.", "References: <a@beech.example>\r\n") }, { raw: Buffer.from("") }],
    ]);
    expect(outcomes).toEqual([["new", "new"], ["already here"], [], ["new", "refused"]]);
    const rows = await rowsOf<{ n: number }>(
      house.db,
      sql`select count(distinct conversation_id)::int as n from letter where message_id in ('a@beech.example', 'c@beech.example')`,
    );
    expect(rows).toEqual([{ n: 1 }]);
  });

  test("whoever stops asking has what was given back, and nothing half done", async () => {
    const batches = ["d", "e", "f", "g"].map((id) => [{ raw: raw(id, `Letter ${id}`) }]);
    const coming = takeInAll(house.db, batches, { way: house.shared, now: () => NOW });
    expect((await coming.next()).done).toBe(false);
    await coming.return(undefined);
    const rows = await rowsOf<{ subject: string }>(
      house.db,
      sql`select subject from letter where subject like 'Letter _' order by subject`,
    );
    expect(rows.map((row) => row.subject)).toEqual(["Letter d"]);
  });

  test("a fault of the source is thrown, and what came before it stays", async () => {
    function* broken() {
      yield [{ raw: raw("h", "Before the fault") }];
      yield [{ raw: raw("i", "Second before it") }];
      yield [{ raw: raw("j", "Third before it") }];
      throw new Error("The disk is gone");
    }
    await expect(all(broken())).rejects.toThrow("The disk is gone");
    expect((await find(house.db, { personId: house.ines }, "before fault")).letters).toHaveLength(1);
  });

  test("letters are found by subject, name, address and text, accents or none; those named by it first", async () => {
    await all([
      [
        { raw: raw("k", "Nothing of note", "The brücke is wide, and so is the quay-side.") },
        { raw: raw("l", "Brücke") },
      ],
    ]);
    const subjects = async (typed: string) =>
      (await find(house.db, { personId: house.ines }, typed)).letters.map((one) => one.subject);
    expect(await subjects("brucke")).toEqual(["Brücke", "Nothing of note"]);
    expect(await subjects("side wide")).toEqual(["Nothing of note"]);
    expect((await subjects("lundstrom")).length).toBeGreaterThan(1);
    expect((await subjects("zoe.lund@beech")).length).toBeGreaterThan(1);
  });

  test("rows go in by one parameter with every sign that a text can hold", async () => {
    const texts = ["plain", "“quoted” \\ ' \" $1 :x", "a\ud800b", "\u0001\u001f", "𝒳 🌱"];
    const [task] = await rowsOf<{ id: string }>(
      house.db,
      sql`insert into task (id, fruit, number, title, side, priority, state, created_by, created_at, changed_at)
        values (${newId()}, 'plum', 9001, 'x', 'ours', 'normal', 'to begin', ${house.ines}, now(), now()) returning id`,
    );
    await insertRows(
      house.db,
      comment,
      texts.map((text, i) => ({ id: newId(), taskId: task!.id, personId: house.ines, text, at: new Date(NOW + i) })),
    );
    await insertRows(house.db, comment, []);
    const rows = await rowsOf<{ text: string }>(
      house.db,
      sql`select text from comment where task_id = ${task!.id} order by at`,
    );
    expect(rows.map((row) => row.text)).toEqual([...texts.slice(0, 2), "a\ufffdb", ...texts.slice(3)]);
  });

  test("rows that refer to each other go in with one statement, all or none, whatever their order in it", async () => {
    const ids = { conversation: newId(), other: newId() };
    const at = new Date(NOW);
    const place = { place: "sort" as const, lastAt: at, cameAt: at };
    const threads = insertion(thread, [{ messageId: "together@oak.example", conversationId: ids.conversation }]);
    const made = insertion(conversation, [{ id: ids.conversation, subject: "Together", ...place }]);
    await insertTogether(house.db, [threads, null, made, insertion(thread, [])]);
    await insertTogether(house.db, [null]);
    const here = () =>
      rowsOf<{ subject: string; id: string }>(
        house.db,
        sql`select c.subject, t.message_id as id from thread t join conversation c on c.id = t.conversation_id where t.message_id like '%@oak.example'`,
      );
    expect(await here()).toEqual([{ subject: "Together", id: "together@oak.example" }]);
    // What is here already is left as it is, where that was asked for; what refers to nothing takes all of it back.
    const again = insertion(
      thread,
      [{ messageId: "together@oak.example", conversationId: ids.conversation }],
      sql`on conflict do nothing`,
    );
    await insertTogether(house.db, [again]);
    const lonely = insertion(thread, [{ messageId: "lonely@oak.example", conversationId: newId() }]);
    const fine = insertion(conversation, [{ id: ids.other, subject: "Apart", ...place }]);
    await expect(insertTogether(house.db, [fine, lonely])).rejects.toThrow();
    expect(await here()).toHaveLength(1);
    expect(await rowsOf(house.db, sql`select 1 from conversation where id = ${ids.other}`)).toEqual([]);
  });
});
