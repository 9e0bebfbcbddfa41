import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { perform } from "@/acts/perform";
import { noticesFor } from "@/data/queries/notices";
import { taskSheet } from "@/data/queries/tasks";
import { ENGINES, NOW, type TestHouse, testHouse } from "./test-house";

describe.each(ENGINES)("on %s", (engine) => {
  let house: TestHouse;
  beforeAll(async () => {
    house = await testHouse(engine);
  });
  afterAll(() => house.close());

  const act = async (who: string, name: string, input: unknown) => {
    const done = await perform(house.db, { personId: who, now: NOW }, name, input);
    return done.ok ? done : done.says;
  };
  const must = async (who: string, name: string, input: unknown) => {
    const done = await act(who, name, input);
    if (typeof done === "string") throw new Error(done);
    return done;
  };
  const sheet = async (slug: string) =>
    (await taskSheet(house.db, { personId: house.ines }, Number(slug.split("-")[1])))!;
  const make = async (day: string | null) => {
    const due = day && { day, time: "09:00", zone: "Europe/London" };
    const input = { title: "Agenda", ownerId: house.suki, due, priority: "high", projectId: null, workstreamId: null };
    return (await must(house.ines, "make task", input)).made[0]!;
  };
  const done = (taskId: string) => ({ taskId, change: { field: "state", to: "done" }, was: null });

  test("finished, the next of its series is there in the same act, with the same owner and open steps; undo takes both back", async () => {
    const { id: taskId, slug } = await make("2026-11-30");
    const step = await must(house.suki, "step", { taskId, change: { kind: "add", text: "Ask for points" } });
    expect(step.entryId).not.toBeNull();
    await must(house.ines, "repeat", { taskId, rule: "FREQ=WEEKLY;BYDAY=MO" });
    const stepId = (await sheet(slug)).task.steps[0]!.id;
    await must(house.suki, "step", { taskId, change: { kind: "tick", stepId, isDone: true } });
    const finished = await must(house.suki, "change task", done(taskId));
    const next = await sheet(finished.made[0]!.slug);
    expect(next.task).toMatchObject({
      title: "Agenda",
      state: "to begin",
      due: { day: "2026-12-07", time: "09:00" },
      owner: { name: "Suki Aldane" },
      priority: "high",
      repeats: "FREQ=WEEKLY;BYDAY=MO",
      chain: [{ answer: "needs-action" }],
      steps: [{ text: "Ask for points", doneAt: "" }],
    });
    expect(next.happened.map((one) => one.words)).toEqual(["made it, the next of its series"]);
    const told = await noticesFor(house.db, { personId: house.ines }, NOW);
    expect(told.notices.filter((one) => one.slug === finished.made[0]!.slug)).toEqual([]);
    await must(house.suki, "undo", { entryId: null });
    expect((await sheet(slug)).task).toMatchObject({ state: "under way" });
    expect(
      await taskSheet(house.db, { personId: house.ines }, Number(finished.made[0]!.slug.split("-")[1])),
    ).toBeNull();
  });

  test("what is late is not made up for, a day counted from the end counts from today, and a series ends", async () => {
    const late = await make("2026-11-02");
    await must(house.ines, "repeat", { taskId: late.id, rule: "FREQ=WEEKLY;BYDAY=MO" });
    expect((await sheet((await must(house.suki, "change task", done(late.id))).made[0]!.slug)).task.due?.day).toBe(
      "2026-11-30",
    );
    const after = await make(null);
    await must(house.ines, "repeat", { taskId: after.id, rule: "AFTER=P2W" });
    expect((await sheet((await must(house.suki, "change task", done(after.id))).made[0]!.slug)).task.due?.day).toBe(
      "2026-12-08",
    );
    const twice = await make("2026-11-24");
    await must(house.ines, "repeat", { taskId: twice.id, rule: "FREQ=DAILY;COUNT=2" });
    const second = (await must(house.suki, "change task", done(twice.id))).made[0]!;
    expect((await must(house.suki, "change task", done(second.id))).made).toEqual([]);
    expect(await act(house.ines, "repeat", { taskId: late.id, rule: null })).toContain("is done already");
    const hostile = await make("2026-11-24");
    expect(await act(house.ines, "repeat", { taskId: hostile.id, rule: "FREQ=SECONDLY" })).toContain(
      "cannot be followed",
    );
    expect(await act(house.ines, "repeat", { taskId: hostile.id, rule: "FREQ=DAILY;COUNT=1" })).toContain(
      "end at once",
    );
  });
});
