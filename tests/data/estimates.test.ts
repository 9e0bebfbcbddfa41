import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { type Performed, perform } from "@/acts/perform";
import { takeIn } from "@/acts/take-in";
import { conversationFor, sortPage } from "@/data/queries/sort";
import { taskSheet } from "@/data/queries/tasks";
import { ENGINES, NOW, rawLetter, type TestHouse, testHouse } from "./test-house";

describe.each(ENGINES)("how long work takes, on %s", (engine) => {
  let house: TestHouse;
  beforeAll(async () => {
    house = await testHouse(engine);
  });
  afterAll(() => house.close());

  const act = (who: string, name: string, input: unknown) =>
    perform(house.db, { personId: who, now: NOW }, name, input);
  const must = async (who: string, name: string, input: unknown) => {
    const done = await act(who, name, input);
    if (!done.ok) throw new Error(done.says);
    return done;
  };
  const says = (done: Performed) => (done.ok ? "done" : done.says);
  const sheetOf = async (slug: string) =>
    (await taskSheet(house.db, { personId: house.ines }, Number(slug.split("-")[1])))!;
  const input = { ownerId: null, due: null, priority: "normal", projectId: null, workstreamId: null };
  const make = async (title: string, estimate?: number) =>
    (await must(house.ines, "make task", { ...input, ownerId: house.suki, title, estimate })).made[0]!;
  const change = (taskId: string, to: number | null, was: object | null = null) => ({
    taskId,
    change: { field: "estimate", to },
    was,
  });

  test("is read with the letter, changed on the slip, and goes with the task that it becomes; undo takes it back", async () => {
    const body = "Hi Ines,\n\nCould Suki sand the keel by Friday? It shouldn't take more than two hours.\n\nColm";
    await takeIn(house.db, [{ raw: rawLetter({ body, subject: "The keel" }) }], house.shared, NOW);
    const viewer = { personId: house.ines };
    const { rows } = await sortPage(house.db, viewer, "sort", null);
    const conversationId = rows.find((row) => row.subject === "The keel")!.id;
    const slips = async () => (await conversationFor(house.db, viewer, conversationId))!.slips;
    const [slip] = await slips();
    expect(slip).toMatchObject({ estimate: 120, reason: expect.stringContaining("“two hours”") });
    const changed = await must(house.ines, "change slip", {
      slipId: slip!.id,
      change: { field: "estimate", to: 90 },
      was: { estimate: 120 },
    });
    expect((await slips())[0]!.estimate).toBe(90);
    await must(house.ines, "undo", { entryId: changed.entryId });
    expect((await slips())[0]!.estimate).toBe(120);
    const kept = await must(house.ines, "keep", { conversationId, slipIds: [slip!.id] });
    expect((await sheetOf(kept.made[0]!.slug)).task.estimate).toBe(120);
  });

  test("is said when a task is made, changed, taken away, and each stands in its history", async () => {
    const { id, slug } = await make("Splice the line", 30);
    expect((await sheetOf(slug)).task.estimate).toBe(30);
    await must(house.suki, "change task", change(id, 480, { estimate: 30 }));
    await must(house.suki, "change task", change(id, null, { estimate: 480 }));
    const { task, happened } = await sheetOf(slug);
    expect(task.estimate).toBeNull();
    expect(happened.map((entry) => entry.words).slice(0, 2)).toEqual([
      "no longer says how long it takes",
      "says it takes 1 day",
    ]);
  });

  test("of two who change it at once the second sees what the first has put there, and nothing is lost", async () => {
    const { id, slug } = await make("Oil the winch", 30);
    await must(house.suki, "change task", change(id, 60, { estimate: 30 }));
    const second = says(await act(house.ines, "change task", change(id, 90, { estimate: 30 })));
    expect(second).toContain("1 hour");
    expect(second).toContain("1½ hours");
    expect((await sheetOf(slug)).task.estimate).toBe(60);
  });

  test("what is no length of work is refused in a sentence, and the task stays as it was", async () => {
    const { id, slug } = await make("Rig the boom", 45);
    for (const wrong of [0, -5, 10_000_000])
      expect(says(await act(house.ines, "change task", change(id, wrong)))).toContain("It stays as it was");
    for (const wrong of [1.5, "an hour"])
      expect(says(await act(house.ines, "change task", change(id, wrong as number)))).toContain(
        "could not be understood",
      );
    expect((await sheetOf(slug)).task.estimate).toBe(45);
    expect(says(await act(house.ines, "make task", { ...input, title: "x", estimate: 0 }))).toContain(
      "could not be understood",
    );
  });

  test("is the next one's too where a task repeats", async () => {
    const { id, slug } = await make("Check the lines", 20);
    await must(house.ines, "repeat", { taskId: id, rule: "FREQ=WEEKLY;BYDAY=MO" });
    const done = { taskId: id, change: { field: "state", to: "done" }, was: null };
    const next = (await must(house.suki, "change task", done)).made[0]!;
    expect(next.slug).not.toBe(slug);
    expect((await sheetOf(next.slug)).task.estimate).toBe(20);
  });
});
