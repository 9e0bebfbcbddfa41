import { sql } from "drizzle-orm";
import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { bringLessons } from "@/acts/bring-lessons";
import { perform } from "@/acts/perform";
import { takeIn } from "@/acts/take-in";
import { setKindUnlearnt, setPriorityUnlearnt, setWordingUnlearnt } from "@/acts/unlearn";
import { wayInNamed } from "@/acts/ways-in";
import type { Priority, SlipKind } from "@/core/reading/slip";
import { examplesToKeep, kindsLearntFor, wordingLearntFor } from "@/data/queries/house-examples";
import { prioritiesLearntFor, prioritiesToKeep } from "@/data/queries/priorities";
import { rowsOf } from "@/data/rows";
import { ENGINES, NOW, type TestHouse, testHouse } from "./test-house";

interface SlipRow {
  readonly id: string;
  readonly conversationId: string;
  readonly kind: SlipKind;
  readonly priority: Priority;
  readonly theirsId: string | null;
  readonly reason: string;
}

describe.each(ENGINES)("what is set right is learnt, on %s", (engine) => {
  let house: TestHouse;
  let count = 0;
  beforeAll(async () => {
    house = await testHouse(engine);
  });
  afterAll(() => house.close());

  async function comes(text: string, from: string, way = house.shared, where = house): Promise<SlipRow[]> {
    count += 1;
    const raw = Buffer.from(
      `From: ${from}\r\nTo: ines@house.example\r\nSubject: Letter ${count}\r\nMessage-ID: <t-${count}@beech.example>\r\nDate: Mon, 23 Nov 2026 09:00:00 +0000\r\n\r\n${text}\r\n`,
    );
    const [taken] = await takeIn(where.db, [{ raw }], way, NOW);
    if (!taken || !("letterId" in taken)) throw new Error("It was not taken in.");
    return rowsOf<SlipRow>(
      where.db,
      sql`select id, conversation_id as "conversationId", kind, priority, theirs_id as "theirsId", reason from slip where letter_id = ${taken.letterId} order by start`,
    );
  }
  const by = (personId = house.ines) => ({ personId, now: NOW });
  const viewer = (personId = house.ines) => ({ personId });
  async function change(slip: SlipRow, what: { field: "kind"; to: SlipKind } | { field: "priority"; to: Priority }) {
    expect(await perform(house.db, by(), "change slip", { slipId: slip.id, change: what, was: null })).toMatchObject({
      ok: true,
    });
  }
  async function keep(slip: SlipRow): Promise<string | null> {
    const input = { conversationId: slip.conversationId, slipIds: [slip.id] };
    const done = await perform(house.db, by(), "keep", input);
    if (!done.ok) throw new Error(done.says);
    return done.entryId;
  }

  test("a kind that was set right is that when the words come again from its writer; undo and unlearning take it back", async () => {
    const words = "Do you have the drawings of gate 4?";
    const from = "ada@beech.example";
    const [slip] = await comes(words, from);
    expect(slip!.kind).toBe("question");
    await change(slip!, { field: "kind", to: "ask" });
    const entryId = await keep(slip!);
    const [next] = await comes("Do you have the drawings of gate 12?", from);
    expect([next!.kind, next!.reason]).toEqual(["ask", expect.stringContaining("these words were set right before")]);
    expect((await comes(words, "bo@oak.example"))[0]!.kind).toBe("question");
    const learnt = () => kindsLearntFor(house.db, viewer());
    const lesson = { writer: from, phrase: "do you have the drawings of gate #?", read: "question", kind: "ask" };
    expect(await learnt()).toMatchObject([{ ...lesson, times: 1, from: [{ id: slip!.conversationId }] }]);

    const turn = (isUnlearnt: boolean) => setKindUnlearnt(house.db, viewer(), { ...lesson, isUnlearnt });
    expect(await turn(true)).toBe(1);
    expect((await comes(words, from))[0]!.kind).toBe("question");
    expect(await turn(false)).toBe(1);
    expect((await comes(words, from))[0]!.kind).toBe("ask");
    expect(await perform(house.db, by(), "undo", { entryId })).toMatchObject({ ok: true });
    expect((await comes(words, from))[0]!.kind).toBe("question");
    expect(await learnt()).toEqual([]);
  });

  test("what is set right to a promise of somebody outside becomes a wait for them", async () => {
    const [slip] = await comes("Could you look at the gate?", "cy@elm.example");
    await change(slip!, { field: "kind", to: "promise" });
    await keep(slip!);
    const [task] = await rowsOf<{ side: string; kind: string; address: string }>(
      house.db,
      sql`select t.side, t.kind, c.address from task t join correspondent c on c.id = t.theirs_id where t.conversation_id = ${slip!.conversationId}`,
    );
    expect(task).toEqual({ side: "theirs", kind: "promise", address: "cy@elm.example" });
    expect(
      await perform(house.db, by(), "change slip", {
        slipId: slip!.id,
        change: { field: "kind", to: "ask" },
        was: null,
      }),
    ).toMatchObject({ ok: false });
  });

  test("the reader's title is written anew as what a slip was set right to, with its undo; a person's own stays", async () => {
    const titleOf = async (slip: SlipRow) =>
      (await rowsOf<{ title: string }>(house.db, sql`select title from slip where id = ${slip.id}`))[0]!.title;
    const words = "🌳 Hello!\n\nDo you have the drawings of gate 5 by Friday?";
    const [slip, own] = [(await comes(words, "eve@yew.example"))[0]!, (await comes(words, "fay@yew.example"))[0]!];
    expect(await titleOf(slip)).toBe("Answer eve@yew.example: do you have the drawings of gate 5?");
    const input = { slipId: slip.id, change: { field: "kind", to: "trouble" }, was: null };
    const done = await perform(house.db, by(), "change slip", input);
    expect(await titleOf(slip)).toBe("Do you have the drawings of gate 5 by Friday?");
    expect(await perform(house.db, by(), "undo", { entryId: done.ok ? done.entryId : "" })).toMatchObject({ ok: true });
    expect(await titleOf(slip)).toBe("Answer eve@yew.example: do you have the drawings of gate 5?");
    const renamed = { slipId: own.id, change: { field: "title", to: "Drawings, gate 5" }, was: null };
    expect(await perform(house.db, by(), "change slip", renamed)).toMatchObject({ ok: true });
    await change(own, { field: "kind", to: "ask" });
    expect(await titleOf(own)).toBe("Drawings, gate 5");
  });

  test("a priority is what three of a writer's were kept as, at once, until that is unlearnt", async () => {
    const from = "dot@fir.example";
    const ask = async () => (await comes(`Please send plan ${"abcdefghijklm"[count % 13]} of the pond.`, from))[0]!;
    for (let i = 0; i < 3; i += 1) {
      const slip = await ask();
      expect(slip.priority).toBe("normal");
      await change(slip, { field: "priority", to: "high" });
      await keep(slip);
    }
    const fourth = await ask();
    expect([fourth.priority, fourth.reason]).toEqual(["high", expect.stringContaining("kept so before")]);
    await keep(fourth);
    const lesson = { writer: from, read: "normal", keptAs: "high", kept: 4, of: 4 } as const;
    expect(await prioritiesLearntFor(house.db, viewer())).toMatchObject([lesson]);
    expect(await setPriorityUnlearnt(house.db, viewer(), { ...lesson, isUnlearnt: true })).toBeGreaterThan(0);
    expect((await ask()).priority).toBe("normal");
    expect(await prioritiesLearntFor(house.db, viewer())).toMatchObject([{ ...lesson, isUnlearnt: true }]);
    await setPriorityUnlearnt(house.db, viewer(), { ...lesson, isUnlearnt: false });
    expect((await ask()).priority).toBe("high");
  });

  test("what several people's letters are set right to is learnt of all that is worded so, whoever writes next; unlearnt by its rule", async () => {
    const things = ["swatches", "tender", "roster", "lift plan", "menu", "key list", "survey", "timetable"];
    const places = ["north yard", "quay", "mill", "old barn", "library", "chapel"];
    const turns = ["Have you got", "Have you seen", "Have you had", "Have you found"];
    const sentence = (i: number) => `${turns[i % 4]} the ${things[i % 8]} for the ${places[i % 6]}?`;
    for (let i = 0; i < 48; i += 1) {
      const [slip] = await comes(sentence(i), `w${i % 5}@larch.example`);
      if (slip!.kind === "question") await change(slip!, { field: "kind", to: "ask" });
      await keep(slip!);
    }
    const kindOf = async () => (await comes("Have you got the samples for the mill?", "new@yew.example"))[0]?.kind;
    expect(await kindOf()).toBe("ask");
    const learnt = async () => (await wordingLearntFor(house.db, viewer())).filter((one) => one.read === "question");
    const [lesson] = await learnt();
    expect(lesson).toMatchObject({ brushedOff: 0, kept: 0, isUnlearnt: false });
    expect(lesson!.changed).toBeGreaterThan(4);
    const rule = { rule: lesson!.rule, read: lesson!.read };
    expect(await setWordingUnlearnt(house.db, viewer(), { ...rule, isUnlearnt: true })).toBe(lesson!.changed);
    expect(await kindOf()).toBe("question");
    expect(await learnt()).toMatchObject([{ ...rule, isUnlearnt: true }]);
    await setWordingUnlearnt(house.db, viewer(), { ...rule, isUnlearnt: false });
    expect(await kindOf()).toBe("ask");
  });

  test("words of somebody's own mailbox are shown to them alone, and do not leave", async () => {
    const own = await wayInNamed(house.db, "Ines's own", "mailbox", house.ines);
    const from = "eve@ash.example";
    for (const words of ["Please hold my private garden hose.", "Please water my private plants."]) {
      const [slip] = await comes(words, from, own);
      const input = { conversationId: slip!.conversationId, slipId: slip!.id };
      expect(await perform(house.db, by(), "brush off", input)).toMatchObject({ ok: true });
    }
    const seen = async (personId: string) =>
      (await wordingLearntFor(house.db, { personId })).filter((one) => one.brushedOff > 0);
    const [mine] = await seen(house.ines);
    expect(mine).toMatchObject({ brushedOff: 2 });
    expect(await seen(house.suki)).toEqual([]);
    expect(await setWordingUnlearnt(house.db, viewer(house.suki), { ...mine!, isUnlearnt: true })).toBeLessThan(5);
    expect(await seen(house.ines)).toMatchObject([{ isUnlearnt: false }]);
    const kept = await examplesToKeep(house.db);
    expect(kept.length).toBeGreaterThan(5);
    expect(kept.some((one) => one.writer === from)).toBe(false);
  });

  test("it leaves with its house and holds in another; wrong lines bring nothing", async () => {
    const lines = [...(await examplesToKeep(house.db)), ...(await prioritiesToKeep(house.db))].map((one) =>
      JSON.stringify(one),
    );
    const other = await testHouse(engine);
    try {
      const kindOf = async () =>
        (await comes("Have you got the samples for the mill?", "new@yew.example", other.shared, other))[0]?.kind;
      const priorityOf = async () =>
        (await comes("Please send plan z of the pond.", "dot@fir.example", other.shared, other))[0]?.priority;
      expect([await kindOf(), await priorityOf()]).toEqual(["question", "normal"]);
      const wrong = lines[0]!.replace(/"sense":"[a-z]+"/, '"sense":"poem"');
      await expect(bringLessons(other.db, `${lines.join("\n")}\n${wrong}`, NOW)).rejects.toThrow(/Nothing/);
      expect(await bringLessons(other.db, lines.join("\n"), NOW)).toBe(lines.length);
      expect(await bringLessons(other.db, lines.join("\n"), NOW)).toBe(lines.length);
      expect([await kindOf(), await priorityOf()]).toEqual(["ask", "high"]);
      const [learnt] = await wordingLearntFor(other.db, { personId: other.suki });
      expect(learnt).toMatchObject({ read: "question", from: [] });
      expect((await kindsLearntFor(other.db, { personId: other.suki })).length).toBeGreaterThan(0);
    } finally {
      await other.close();
    }
  });
});
