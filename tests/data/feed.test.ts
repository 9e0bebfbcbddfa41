import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { perform } from "@/acts/perform";
import { fedTasks, feedKeyOf, feedOwner } from "@/data/queries/feed";
import { ENGINES, NOW, type TestHouse, testHouse } from "./test-house";

describe.each(ENGINES)("on %s", (engine) => {
  let house: TestHouse;
  beforeAll(async () => {
    house = await testHouse(engine);
  });
  afterAll(() => house.close());

  test("a feed holds its owner's own tasks, at an address that ends when it is renewed", async () => {
    const make = async (title: string, ownerId: string) => {
      const input = { title, ownerId, due: null, priority: "normal", projectId: null, workstreamId: null };
      const done = await perform(house.db, { personId: house.ines, now: NOW }, "make task", input);
      return done.ok ? done.made[0]! : null;
    };
    const mine = await make("Mine", house.ines);
    const gone = await make("Long done", house.ines);
    await make("Hers", house.suki);
    const done = { taskId: gone!.id, change: { field: "state", to: "done" }, was: null };
    await perform(house.db, { personId: house.ines, now: NOW }, "change task", done);
    const fed = await fedTasks(house.db, { personId: house.ines }, "https://jam.example", NOW + 86_400_000);
    expect(fed.map((task) => [task.title, task.state])).toEqual([
      ["Mine", "to begin"],
      ["Long done", "done"],
    ]);
    expect(fed[0]!.link).toBe(`https://jam.example/tasks/${mine!.slug}`);
    const later = await fedTasks(house.db, { personId: house.ines }, "https://jam.example", NOW + 20 * 86_400_000);
    expect(later.map((task) => task.title)).toEqual(["Mine"]);
    const key = await feedKeyOf(house.db, { personId: house.ines }, false);
    expect(await feedKeyOf(house.db, { personId: house.ines }, false)).toBe(key);
    expect(await feedOwner(house.db, key)).toMatchObject({ id: house.ines });
    const fresh = await feedKeyOf(house.db, { personId: house.ines }, true);
    expect(await feedOwner(house.db, key)).toBeNull();
    expect(await feedOwner(house.db, fresh)).toMatchObject({ id: house.ines });
    expect(fresh).toMatch(/^[\w-]{32}$/);
  });
});
