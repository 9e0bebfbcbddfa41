import { sql } from "drizzle-orm";
import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { bringLessons } from "@/acts/bring-lessons";
import { perform } from "@/acts/perform";
import { takeIn } from "@/acts/take-in";
import { setHasteUnlearnt, setUnlearnt } from "@/acts/unlearn";
import { wayInNamed } from "@/acts/ways-in";
import { PLAIN_WEEK } from "@/core/time/day";
import { hasteLearntFor, hasteToKeep } from "@/data/queries/haste";
import { learntFor, lessonsToKeep } from "@/data/queries/lessons";
import { rowsOf } from "@/data/rows";
import { ENGINES, NOW, type TestHouse, testHouse } from "./test-house";

describe.each(ENGINES)("what was learnt, on %s", (engine) => {
  let house: TestHouse;
  let count = 0;
  beforeAll(async () => {
    process.env.JAM_SMTP_OUT = "smtp://127.0.0.1:25";
    house = await testHouse(engine);
  });
  afterAll(() => house.close());

  async function comes(text: string, from = "ada@beech.example", way = house.shared, where = house) {
    count += 1;
    const raw = Buffer.from(
      `From: ${from}\r\nTo: ines@house.example\r\nSubject: Letter ${count}\r\nMessage-ID: <l-${count}@beech.example>\r\nDate: Mon, 23 Nov 2026 09:00:00 +0000\r\n\r\n${text}\r\n`,
    );
    const [taken] = await takeIn(where.db, [{ raw }], way, NOW);
    if (!taken || !("letterId" in taken)) throw new Error("It was not taken in.");
    const slips = await rowsOf<{ id: string; conversationId: string; confidence: number; title: string }>(
      where.db,
      sql`select id, conversation_id as "conversationId", confidence, title from slip where letter_id = ${taken.letterId} order by start`,
    );
    return slips;
  }
  const by = () => ({ personId: house.ines, now: NOW });
  const brushOff = (slip: { id: string; conversationId: string }) =>
    perform(house.db, by(), "brush off", { conversationId: slip.conversationId, slipId: slip.id });
  const viewer = () => ({ personId: house.ines });

  test("a phrase that was brushed off does not come back from its writer, with other figures neither; undo unlearns it", async () => {
    const [slip] = await comes("Please quote order 118 in all letters and on all bills to our house.");
    const done = await brushOff(slip!);
    if (!done.ok) throw new Error(done.says);
    expect(await comes("Please quote order 119 in all letters and on all bills to our house.")).toEqual([]);
    expect(
      await comes("Please quote order 7 in all letters and on all bills to our house.", "bo@oak.example"),
    ).toHaveLength(1);
    expect(await comes("Please send order 119 by Friday.")).toHaveLength(1);
    expect(await learntFor(house.db, viewer())).toMatchObject([
      {
        writer: "ada@beech.example",
        phrase: "please quote order # in all letters and on all bills to our house.",
        effect: "not proposed",
        brushedOff: 1,
      },
    ]);
    const undone = await perform(house.db, by(), "undo", { entryId: done.entryId });
    expect(undone.ok).toBe(true);
    expect(await comes("Please quote order 120 in all letters and on all bills to our house.")).toHaveLength(1);
    expect(await learntFor(house.db, viewer())).toEqual([]);
  });

  test("it can be unlearnt and learnt again", async () => {
    const [slip] = await comes("Please mind our new opening hours in summer and on bank holidays.", "cy@elm.example");
    await brushOff(slip!);
    const lesson = {
      writer: "cy@elm.example",
      rule: null,
      phrase: "please mind our new opening hours in summer and on bank holidays.",
      isMarked: false,
    };
    expect(await setUnlearnt(house.db, viewer(), { ...lesson, isUnlearnt: true })).toBe(1);
    expect(
      await comes("Please mind our new opening hours in summer and on bank holidays.", "cy@elm.example"),
    ).toHaveLength(1);
    expect(await setUnlearnt(house.db, viewer(), { ...lesson, isUnlearnt: false })).toBeGreaterThan(0);
    expect(await comes("Please mind our new opening hours in summer and on bank holidays.", "cy@elm.example")).toEqual(
      [],
    );
  });

  test("what is always brushed off of one writer is doubted, then left out, after 200 too; others are read as before", async () => {
    const proposed: number[] = [];
    for (let i = 0; i < 200; i += 1) {
      const [slip] = await comes(
        `Please look at offer ${"x".repeat(1 + (i % 17))}${i % 7} ${"y".repeat(1 + Math.floor(i / 7))}.`,
        "ads@shop.example",
      );
      if (!slip) continue;
      proposed.push(slip.confidence);
      await brushOff(slip);
    }
    // The rule's own doubt would leave them out from the tenth on; the writer's wording is known sooner than that.
    expect(proposed.length).toBeGreaterThan(4);
    expect(proposed.length).toBeLessThan(10);
    expect(proposed.slice(0, 3).every((one) => one > 0.75)).toBe(true);
    expect(proposed.slice(4).every((one) => one <= 0.5)).toBe(true);
    expect(await comes("Please look at offer z.", "di@fir.example")).toHaveLength(1);
  });

  test("a question that was answered, or a letter put on its task, is no wrong reading: nothing is learnt from that", async () => {
    const from = "kit@rowan.example";
    for (let i = 0; i < 12; i += 1) {
      const [slip] = await comes(`Which colour is bench ${"abcdefghijkl"[i]} to be?`, from);
      const [letter] = await rowsOf<{ id: string }>(
        house.db,
        sql`select letter_id as id from slip where id = ${slip!.id}`,
      );
      const written = await perform(house.db, by(), "write", {
        to: [{ name: "Kit", address: from }],
        cc: [],
        subject: "Re: bench",
        text: "Green.",
        from: "ines@house.example",
        answersId: letter!.id,
        taskId: null,
        finishes: false,
        dealsWith: true,
      });
      expect(written).toMatchObject({ ok: true });
    }
    const [next] = await comes("Which colour is bench m to be?", from);
    expect(next!.confidence).toBeGreaterThan(0.75);
    expect((await learntFor(house.db, viewer())).filter((one) => one.writer === from)).toEqual([]);
  });

  test("what was learnt from somebody's own letters is shown to them alone", async () => {
    const own = await wayInNamed(house.db, "Ines's own", "mailbox", house.ines);
    const [slip] = await comes(
      "Please water my private plants on the balcony while I am travelling.",
      "eve@ash.example",
      own,
    );
    await brushOff(slip!);
    const seen = async (personId: string) =>
      (await learntFor(house.db, { personId })).some((one) => one.writer === "eve@ash.example");
    expect([await seen(house.ines), await seen(house.suki)]).toEqual([true, false]);
    const lesson = {
      writer: "eve@ash.example",
      rule: null,
      phrase: "please water my private plants on the balcony while i am travelling.",
      isMarked: false,
      isUnlearnt: true,
    };
    expect(await setUnlearnt(house.db, { personId: house.suki }, lesson)).toBe(0);
  });

  test("words marked by hand are proposed in the next letter of their writer, with other figures too, until that is unlearnt", async () => {
    const words = "The usual on the 3rd, 40 loaves.";
    const from = "baker@rye.example";
    expect(await comes(`Hello,\n\n${words}\n\nB`, from)).toEqual([]);
    const [letter] = await rowsOf<{ id: string; conversationId: string; text: string }>(
      house.db,
      sql`select id, conversation_id as "conversationId", text from letter where from_address = ${from}`,
    );
    const start = letter!.text.indexOf(words);
    const done = await perform(house.db, by(), "add slip", {
      conversationId: letter!.conversationId,
      letterId: letter!.id,
      start,
      end: start + words.length,
      title: "Bake the usual",
      owner: { side: "ours", personId: null },
      due: null,
      priority: "normal",
    });
    expect(done).toMatchObject({ ok: true });
    expect(await comes("Hello,\n\nThe usual on the 5th, 60 loaves.\n\nB", from)).toHaveLength(1);
    expect(await comes("Hello,\n\nThe usual on the 5th, 60 loaves.\n\nB", "else@oat.example")).toEqual([]);
    const [lesson] = (await learntFor(house.db, viewer())).filter((one) => one.writer === from);
    expect(lesson).toMatchObject({ effect: "proposed", phrase: "the usual on the #, # loaves.", isUnlearnt: false });
    expect(await setUnlearnt(house.db, viewer(), { ...lesson!, isUnlearnt: true })).toBe(1);
    expect(await comes("Hello,\n\nThe usual on the 7th, 60 loaves.\n\nB", from)).toEqual([]);
  });

  test("haste means for a writer the day for which it was kept, at once; undo, unlearning and other houses follow", async () => {
    const from = "fay@larch.example";
    const words = "Please send the list of trees as soon as possible.";
    const dueOf = async (writer = from, where = house) => {
      const [slip] = await comes(words, writer, where.shared, where);
      const [row] = await rowsOf<{ due: string | null }>(
        where.db,
        sql`select due_day::text as due from slip where id = ${slip!.id}`,
      );
      return { slip: slip!, due: row!.due };
    };
    const { slip, due } = await dueOf();
    expect(due).toBe("2026-11-23");
    const to = { day: "2026-11-26", time: null, zone: "Europe/London" };
    expect(
      await perform(house.db, by(), "change slip", { slipId: slip.id, change: { field: "due", to }, was: null }),
    ).toMatchObject({ ok: true });
    const done = await perform(house.db, by(), "keep", { conversationId: slip.conversationId, slipIds: [slip.id] });
    if (!done.ok) throw new Error(done.says);
    expect([(await dueOf()).due, (await dueOf("gil@larch.example")).due]).toEqual(["2026-11-26", "2026-11-23"]);
    const learnt = () => hasteLearntFor(house.db, viewer(), PLAIN_WEEK);
    const lesson = { writer: from, haste: "as soon as possible", means: [{ days: 3, kept: 1 }], isUnlearnt: false };
    expect(await learnt()).toMatchObject([{ ...lesson, from: [{ id: slip.conversationId }] }]);

    const turn = (isUnlearnt: boolean) => setHasteUnlearnt(house.db, viewer(), { ...lesson, isUnlearnt });
    expect(await turn(true)).toBeGreaterThan(0);
    expect((await dueOf()).due).toBe("2026-11-23");
    await turn(false);
    expect((await dueOf()).due).toBe("2026-11-26");

    const other = await testHouse(engine);
    try {
      const lines = (await hasteToKeep(house.db, PLAIN_WEEK)).map((one) => JSON.stringify(one));
      expect(await bringLessons(other.db, lines.join("\n"), NOW)).toBe(1);
      expect((await dueOf(from, other)).due).toBe("2026-11-26");
      await expect(bringLessons(other.db, lines[0]!.replace('"days":3', '"days":-3'), NOW)).rejects.toThrow(/Nothing/);
    } finally {
      await other.close();
    }
    expect(await perform(house.db, by(), "undo", { entryId: done.entryId })).toMatchObject({ ok: true });
    expect((await dueOf()).due).toBe("2026-11-23");
    expect(await learnt()).toEqual([]);
  });

  test("“next” before a weekday is for a writer the one that was kept, of every weekday, until that is unlearnt", async () => {
    const from = "ivy@ash.example";
    const read = async (weekday: string, writer = from) => {
      const [slip] = await comes(`Please send the list of shrubs by next ${weekday}.`, writer);
      const [row] = await rowsOf<{ due: string; others: string[] }>(
        house.db,
        sql`select due_day::text as due, other_days as others from slip where id = ${slip!.id}`,
      );
      return { slip: slip!, due: [row!.due, ...row!.others] };
    };
    // Sent on Monday 23 November.
    const { slip, due } = await read("Thursday");
    expect(due).toEqual(["2026-12-03", "2026-11-26"]);
    const to = { day: "2026-11-26", time: null, zone: "Europe/London" };
    const change = { slipId: slip.id, change: { field: "due", to }, was: null };
    expect(await perform(house.db, by(), "change slip", change)).toMatchObject({ ok: true });
    const keep = { conversationId: slip.conversationId, slipIds: [slip.id] };
    expect(await perform(house.db, by(), "keep", keep)).toMatchObject({ ok: true });
    expect((await read("Friday")).due).toEqual(["2026-11-27", "2026-12-04"]);
    expect((await read("Friday", "jon@ash.example")).due).toEqual(["2026-12-04", "2026-11-27"]);
    const lesson = { writer: from, haste: "next, before a weekday", means: [{ days: 0, kept: 1 }], isUnlearnt: false };
    const learnt = (await hasteLearntFor(house.db, viewer(), PLAIN_WEEK)).filter((one) => one.writer === from);
    expect(learnt).toMatchObject([lesson]);
    await setHasteUnlearnt(house.db, viewer(), { ...lesson, isUnlearnt: true });
    expect((await read("Friday")).due[0]).toBe("2026-12-04");
  });

  test("handed over with another date as it is kept, haste was kept as that; without one, as it was read", async () => {
    const from = "hal@yew.example";
    const words = "Please send the plan of the orchard asap.";
    const due = async () => {
      const [slip] = await comes(words, from);
      const [row] = await rowsOf<{ due: string }>(
        house.db,
        sql`select due_day::text as due from slip where id = ${slip!.id}`,
      );
      return { slip: slip!, due: row!.due };
    };
    const keep = async ({ slip }: Awaited<ReturnType<typeof due>>, more: object) => {
      const hand = { toIds: [house.suki], note: "", ...more };
      const input = { conversationId: slip.conversationId, slipIds: [slip.id], hand };
      expect(await perform(house.db, by(), "keep", input)).toMatchObject({ ok: true });
    };
    await keep(await due(), { due: { day: "2026-11-25", time: null, zone: "Europe/London" } });
    const second = await due();
    expect(second.due).toBe("2026-11-25");
    await keep(second, {});
    await keep(await due(), { due: null });
    const learnt = (await hasteLearntFor(house.db, viewer(), PLAIN_WEEK)).filter((one) => one.writer === from);
    expect(learnt.map((one) => one.means)).toEqual([
      [
        { days: 2, kept: 2 },
        { days: null, kept: 1 },
      ],
    ]);
    expect((await due()).due).toBe("2026-11-25");
  });

  test("what was learnt leaves with its house and holds in another, without words of anybody's own mailbox; wrong lines bring nothing", async () => {
    const words = "Kindly return the signed copy of our general terms to the office in Elm Road.";
    await brushOff((await comes(words, "ida@elm.example"))[0]!);
    const kept = await lessonsToKeep(house.db);
    expect(kept.some((one) => one.writer === "ida@elm.example" && one.phrase !== null)).toBe(true);
    expect(kept.some((one) => one.writer === "eve@ash.example")).toBe(false);
    const file = kept.map((one) => JSON.stringify(one)).join("\n");

    const other = await testHouse(engine);
    try {
      const found = async () => {
        count += 1;
        const raw = Buffer.from(
          `From: ida@elm.example\r\nTo: ines@house.example\r\nSubject: Letter ${count}\r\nMessage-ID: <o-${count}@elm.example>\r\n\r\n${words}\r\n`,
        );
        const [taken] = await takeIn(other.db, [{ raw }], other.shared, NOW);
        const id = taken && "letterId" in taken ? taken.letterId : "";
        return rowsOf(other.db, sql`select id from slip where letter_id = ${id}`);
      };
      expect(await found()).toHaveLength(1);
      for (const [wrong, says] of [
        [`${file}\nno json`, /is no JSON\. Nothing/],
        [`${file}\n{"writer":"a"}`, /no lesson.*Nothing/],
        ['{"writer":"a@b","rule":"x","phrase":"y","brushedOff":1,"kept":0,"isMarked":false}', /not both/],
      ] as const)
        await expect(bringLessons(other.db, wrong, NOW)).rejects.toThrow(says);
      expect(await found()).toHaveLength(1);
      expect(await bringLessons(other.db, file, NOW)).toBe(kept.length);
      expect(await bringLessons(other.db, file, NOW)).toBe(kept.length);
      expect(await found()).toEqual([]);
      const lesson = (await learntFor(other.db, { personId: other.suki })).find(
        (one) => one.writer === "ida@elm.example" && one.phrase !== null,
      )!;
      expect(lesson).toMatchObject({ effect: "not proposed", from: [] });
      expect(await setUnlearnt(other.db, { personId: other.suki }, { ...lesson, isUnlearnt: true })).toBeGreaterThan(0);
      expect(await found()).toHaveLength(1);
      expect(
        (await lessonsToKeep(other.db)).some((one) => one.writer === "ida@elm.example" && one.phrase !== null),
      ).toBe(false);
    } finally {
      await other.close();
    }
  });
});
