import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { perform } from "@/acts/perform";
import { takeIn } from "@/acts/take-in";
import { wayInNamed } from "@/acts/ways-in";
import { conversationFor, sortPage } from "@/data/queries/sort";
import { taskSheet } from "@/data/queries/tasks";
import { ENGINES, NOW, rawLetter, type TestHouse, testHouse } from "./test-house";

describe.each(ENGINES)("what an answer does to tasks, on %s", (engine) => {
  let house: TestHouse;
  let count = 0;
  beforeAll(async () => {
    house = await testHouse(engine);
  });
  afterAll(() => house.close());

  const viewer = () => ({ personId: house.ines });
  const act = async (name: string, input: unknown) => {
    const done = await perform(house.db, { ...viewer(), now: NOW }, name, input);
    if (!done.ok) throw new Error(done.says);
    return done;
  };
  const bring = async (body: string, refs?: string, way = house.shared, date?: string) => {
    count += 1;
    const id = `o${count}@council.example`;
    const [taken] = await takeIn(
      house.db,
      [
        {
          raw: rawLetter({
            subject: `${refs ? "Re: " : ""}Matter ${refs ?? id}`,
            body,
            id,
            ...(refs ? { refs } : {}),
            ...(date ? { date } : {}),
          }),
        },
      ],
      way,
      NOW,
    );
    if (!taken || !("letterId" in taken)) throw new Error("It was not taken in.");
    return { id, letterId: taken.letterId };
  };
  const conversationWith = async (letterId: string) => {
    for (const place of ["sort", "dealt with"] as const)
      for (const { id } of (await sortPage(house.db, viewer(), place, null)).rows) {
        const found = await conversationFor(house.db, viewer(), id);
        if (found?.letters.some((letter) => letter.id === letterId)) return found;
      }
    throw new Error("The letter is in no conversation.");
  };
  const offered = async (letterId: string) =>
    (await conversationWith(letterId)).slips.filter((slip) => slip.letterId === letterId);
  const sheet = async (slug: string) => (await taskSheet(house.db, viewer(), Number(slug.split("-")[1])))!;

  /** A letter whose slips are all kept; the references of its tasks. */
  const kept = async (body: string, way = house.shared) => {
    const letter = await bring(body, undefined, way);
    const { id, slips } = await conversationWith(letter.letterId);
    const done = await act("keep", { conversationId: id, slipIds: slips.map((slip) => slip.id) });
    return { ...letter, slugs: done.made.map((task) => task.slug), conversationId: id };
  };

  test("what comes finishes the wait for it, once a person says so; undo takes it back", async () => {
    const { id, slugs, conversationId } = await kept(
      "Hi Ines,\n\nI will send you the soil report on Thursday.\n\nColm",
    );
    const answer = await bring("Hi Ines,\n\nthe soil report is attached.\n\nColm", id);
    const slips = await offered(answer.letterId);
    expect(slips).toMatchObject([{ changes: { change: "done", slug: slugs[0] }, task: null, state: "proposed" }]);
    expect(slips[0]!.title).toMatch(/^Done: /);
    expect((await sheet(slugs[0]!)).task.state).toBe("to begin");
    const done = await act("keep", { conversationId, slipIds: [slips[0]!.id] });
    expect(done.made).toEqual([]);
    const { task, happened } = await sheet(slugs[0]!);
    expect(task.state).toBe("done");
    expect(happened.some(({ words }) => words === "finished it, as a letter says")).toBe(true);
    await act("undo", { entryId: done.entryId });
    expect((await sheet(slugs[0]!)).task.state).toBe("to begin");
    expect(await offered(answer.letterId)).toMatchObject([{ state: "proposed" }]);
  });

  test("a new day moves the wait, what is no longer wanted is called off, and neither makes a second task", async () => {
    const wait = await kept("Hi Ines,\n\nI will send you the permit on Thursday.\n\nColm");
    const later = await bring("Hi Ines,\n\nthe permit will be Monday instead.\n\nColm", wait.id);
    const [moved] = await offered(later.letterId);
    expect(moved).toMatchObject({ changes: { change: "moved" }, due: { day: "2026-11-30" } });
    await act("keep", { conversationId: wait.conversationId, slipIds: [moved!.id] });
    expect((await sheet(wait.slugs[0]!)).task).toMatchObject({ due: { day: "2026-11-30" }, state: "to begin" });

    const ask = await kept("Hi Ines,\n\nCould you send us the old drawings by Friday?\n\nColm");
    const off = await bring("Hi Ines,\n\nwe no longer need the old drawings.\n\nColm", ask.id);
    const slips = await offered(off.letterId);
    expect(slips.map((slip) => slip.changes?.change)).toEqual(["called off"]);
    await act("keep", { conversationId: ask.conversationId, slipIds: [slips[0]!.id] });
    expect((await sheet(ask.slugs[0]!)).task.state).toBe("called off");
  });

  test("asked for again: the task has it as a note, with the letter's words", async () => {
    const ask = await kept("Hi Ines,\n\nCould you send us the colour chart by Friday?\n\nColm");
    const again = await bring("Hi Ines,\n\nwe are still waiting for the colour chart.\n\nColm", ask.id);
    const [slip] = await offered(again.letterId);
    expect(slip).toMatchObject({ changes: { change: "reminded" } });
    await act("keep", { conversationId: ask.conversationId, slipIds: [slip!.id] });
    const { comments } = await sheet(ask.slugs[0]!);
    expect(comments.map(({ text }) => text)).toEqual(["Asked for again: “we are still waiting for the colour chart.”"]);
  });

  test("what was finished meanwhile stays as it is, and a new ask in the same answer is a slip of its own", async () => {
    const wait = await kept("Hi Ines,\n\nI will send you the photos on Thursday.\n\nColm");
    const answer = await bring(
      "Hi Ines,\n\nthe photos are attached. Could you also order the signs by Friday?\n\nColm",
      wait.id,
    );
    const slips = await offered(answer.letterId);
    expect(slips.map((slip) => slip.changes?.change ?? slip.kind)).toEqual(["done", "ask"]);
    const number = (await sheet(wait.slugs[0]!)).task.id;
    await act("change task", { taskId: number, change: { field: "state", to: "called off" }, was: null });
    const done = await act("keep", { conversationId: wait.conversationId, slipIds: slips.map((slip) => slip.id) });
    expect(done.made).toHaveLength(1);
    expect((await sheet(wait.slugs[0]!)).task.state).toBe("called off");
  });

  test("what was done and is promised anew by a later letter is open again, with the words and the new day; undo closes it", async () => {
    const wait = await kept("Hi Ines,\n\nI will send you the bench plan on Thursday.\n\nColm");
    const came = await bring("Hi Ines,\n\nthe bench plan is attached.\n\nColm", wait.id);
    const [done] = await offered(came.letterId);
    await act("keep", { conversationId: wait.conversationId, slipIds: [done!.id] });
    expect((await sheet(wait.slugs[0]!)).task.state).toBe("done");
    const body = "Hi Ines,\n\nthe bench plan will come on Friday after all.\n\nColm";
    // A letter that was written before it was done opens nothing, whenever it is kept.
    const [early] = await offered((await bring(body, wait.id)).letterId);
    expect(early).toMatchObject({ changes: { change: "moved", state: "done", wasOver: false } });
    await act("keep", { conversationId: wait.conversationId, slipIds: [early!.id] });
    expect((await sheet(wait.slugs[0]!)).task.state).toBe("done");
    const later = await bring(body, wait.id, house.shared, "Wed, 25 Nov 2026 09:00:00 +0000");
    const [again] = await offered(later.letterId);
    expect(again).toMatchObject({ changes: { change: "moved", wasOver: true }, due: { day: "2026-11-27" } });
    const opened = await act("keep", { conversationId: wait.conversationId, slipIds: [again!.id] });
    const { task, comments, happened } = await sheet(wait.slugs[0]!);
    expect(task).toMatchObject({ state: "to begin", due: { day: "2026-11-27" } });
    expect(comments.at(-1)?.text).toBe("Another day: “the bench plan will come on Friday after all.”");
    expect(happened.some(({ words }) => /as a letter says$/.test(words) && /open|begin/.test(words))).toBe(true);
    await act("undo", { entryId: opened.entryId });
    expect((await sheet(wait.slugs[0]!)).task.state).toBe("done");
  });

  test("two who keep one answer at once: the task changes once, and the other is told", async () => {
    const wait = await kept("Hi Ines,\n\nI will send you the drainage plan on Thursday.\n\nColm");
    const answer = await bring("Hi Ines,\n\nthe drainage plan is attached.\n\nColm", wait.id);
    const [slip] = await offered(answer.letterId);
    const both = await Promise.all(
      [house.ines, house.suki].map((personId) =>
        perform(house.db, { personId, now: NOW }, "keep", { conversationId: wait.conversationId, slipIds: [slip!.id] }),
      ),
    );
    expect(both.map((one) => one.ok).sort()).toEqual([false, true]);
    expect(both.find((one) => !one.ok)).toMatchObject({ says: expect.stringContaining("dealt with this already") });
    const { task, happened } = await sheet(wait.slugs[0]!);
    expect([task.state, happened.filter(({ words }) => words.startsWith("finished it")).length]).toEqual(["done", 1]);
  });

  test("an answer takes no reference: the next task has the next number", async () => {
    const wait = await kept("Hi Ines,\n\nI will send you the seat colours on Thursday.\n\nColm");
    const answer = await bring(
      "Hi Ines,\n\nthe seat colours are attached. Could you order the seats?\n\nColm",
      wait.id,
    );
    const slips = await offered(answer.letterId);
    const done = await act("keep", { conversationId: wait.conversationId, slipIds: slips.map((slip) => slip.id) });
    const number = (slug: string) => Number(slug.split("-")[1]);
    expect(done.made.map(({ slug }) => number(slug))).toEqual([number(wait.slugs[0]!) + 1]);
  });

  test("everybody's letter says nothing of tasks in a conversation that is one person's own", async () => {
    const mine = await wayInNamed(house.db, "ines's own", "mailbox", house.ines);
    const wait = await kept("Hi Ines,\n\nI will send you the fence plan on Thursday.\n\nColm", mine);
    const answer = await bring("Hi,\n\nthe fence plan is attached.\n\nColm", wait.id);
    const { id, slips } = await conversationWith(answer.letterId);
    expect(id).not.toBe(wait.conversationId);
    expect(slips.flatMap((slip) => slip.changes ?? [])).toEqual([]);
  });

  test("an answer whose program dropped the references is held against the tasks too, as it will be joined; a stranger's is not", async () => {
    const { id, slugs, conversationId } = await kept("Hi Ines,\n\nI will send you the ladder on Thursday.\n\nColm");
    const dropped = async (from: string, words: string, mark: string) => {
      const raw = rawLetter({
        from,
        id: `${mark}@x.example`,
        subject: `Re: Matter ${id}`,
        body: `Hi Ines,\n\n${words}\n\nBye`,
      });
      const [taken] = await takeIn(house.db, [{ raw }], house.shared, NOW);
      return offered(taken && taken.outcome !== "refused" ? taken.letterId : "");
    };
    const slips = await dropped(
      "Colm Hartnell <colm@council.example>",
      "the ladder will be Monday instead.",
      "dropped1",
    );
    expect(slips).toMatchObject([{ changes: { slug: slugs[0] } }]);
    const done = await act("keep", { conversationId, slipIds: [slips[0]!.id] });
    expect(done.made).toHaveLength(0);
    expect((await sheet(slugs[0]!)).task.due?.day).toBe("2026-11-30");
    const strangers = await dropped("Eve <eve@evil.example>", "the ladder will be Tuesday instead.", "dropped2");
    expect(strangers.filter((slip) => slip.changes !== null)).toEqual([]);
  });
});
