import { sql } from "drizzle-orm";
import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { perform } from "@/acts/perform";
import { returnPutBy } from "@/acts/return-put-by";
import { takeIn } from "@/acts/take-in";
import { lastChange } from "@/data/queries/changes";
import { openItemsWith, reviewFor } from "@/data/queries/review";
import { conversationFor, sortPage } from "@/data/queries/sort";
import { tasksPage } from "@/data/queries/tasks";
import { rowsOf } from "@/data/rows";
import { ENGINES, NOW, rawLetter, type TestHouse, testHouse } from "./test-house";

const HOUR = 3_600_000;

describe.each(ENGINES)("on %s", (engine) => {
  let house: TestHouse;
  const ids: string[] = [];
  beforeAll(async () => {
    house = await testHouse(engine);
    for (const subject of ["One", "Two", "Three"]) {
      const raw = rawLetter({
        id: `${subject}@council.example`,
        subject,
        body: `Hi,\n\nCould you send us the drawing ${subject}?\n\nColm`,
      });
      const [taken] = await takeIn(house.db, [{ raw }], house.shared, NOW - HOUR);
      const letterId = taken && taken.outcome !== "refused" ? taken.letterId : "";
      const [row] = await rowsOf<{ id: string }>(
        house.db,
        sql`select conversation_id as id from letter where id = ${letterId}`,
      );
      ids.push(row!.id);
    }
  });
  afterAll(() => house.close());

  const viewer = () => ({ personId: house.ines });
  const act = async (name: string, input: unknown, now = NOW) => {
    const done = await perform(house.db, { ...viewer(), now }, name, input);
    return done.ok ? done : done.says;
  };
  const inSort = async () => (await sortPage(house.db, viewer(), "sort", null)).rows.map((row) => row.id);
  const putBy = (id: string, at: number | null) =>
    act("put by", { conversationId: id, until: at === null ? null : new Date(at).toISOString() });

  test("put by it is out of Sort until its minute, also when nobody looked then; it comes back once, marked", async () => {
    await putBy(ids[0]!, NOW + HOUR);
    await putBy(ids[1]!, NOW + 2 * HOUR);
    expect(await inSort()).toEqual([ids[2]]);
    expect((await sortPage(house.db, viewer(), "put by", null)).rows.map((row) => [row.id, row.putUntil])).toEqual([
      [ids[0], NOW + HOUR],
      [ids[1], NOW + 2 * HOUR],
    ]);
    expect(await returnPutBy(house.db, NOW + HOUR - 1)).toBe(0);
    const mark = await lastChange(house.db);
    expect(await returnPutBy(house.db, NOW + HOUR)).toBe(1);
    // Open screens hear of it, though nobody acted.
    expect(await lastChange(house.db)).not.toBe(mark);
    expect(await returnPutBy(house.db, NOW + HOUR)).toBe(0);
    expect(await conversationFor(house.db, viewer(), ids[0]!)).toMatchObject({ place: "sort", returnedAt: NOW + HOUR });
    // The server was down for a day.
    expect(await returnPutBy(house.db, NOW + 26 * HOUR)).toBe(1);
    expect(await putBy(ids[0]!, NOW - HOUR)).toContain("past already");
  });

  test("a letter in it brings it back earlier, a machine's does not; undone it is where it was", async () => {
    await putBy(ids[2]!, null);
    const again = (more: object) =>
      rawLetter({ subject: "Re: Three", refs: "Three@council.example", body: "Thanks.\n\nColm", ...more });
    await takeIn(
      house.db,
      [{ raw: again({ from: "Colm Hartnell <colm@council.example>\r\nAuto-Submitted: auto-replied" }) }],
      house.shared,
      NOW,
    );
    expect(await inSort()).not.toContain(ids[2]);
    await takeIn(house.db, [{ raw: again({}) }], house.shared, NOW);
    expect(await inSort()).toContain(ids[2]);
    await putBy(ids[2]!, NOW + 50 * HOUR);
    await act("undo", { entryId: null });
    expect(await inSort()).toContain(ids[2]);
  });

  test("a task put by is out of the lists; on the shelf it stands in the review, with what lacks an owner or a date", async () => {
    const base = { due: null, priority: "normal", projectId: null, workstreamId: null, theirsId: null };
    const make = async (title: string, ownerId: string | null) => {
      const done = await act("make task", { ...base, title, ownerId });
      if (typeof done === "string") throw new Error(done);
      return done.made[0]!.id;
    };
    const shelf = await make("Paint the hut", house.ines);
    const nobodys = await make("Count the posts", null);
    const undated = await make("Ring the mason", house.ines);
    await act("put task by", { taskId: shelf, until: null });
    const open = async () =>
      (await tasksPage(house.db, viewer(), { whose: "everyone", projectId: null, show: "open" }, null)).rows;
    expect((await open()).map((task) => task.id)).not.toContain(shelf);
    const review = await reviewFor(house.db, viewer());
    expect(review.shelfTasks.map((task) => task.id)).toEqual([shelf]);
    expect(review.nobodys.map((task) => task.id)).toEqual([nobodys]);
    expect(review.undated.map((task) => task.id)).toEqual([undated]);
    await act("bring back", { taskId: shelf });
    expect((await open()).map((task) => task.id)).toContain(shelf);
    await act("put task by", { taskId: shelf, until: new Date(NOW + HOUR).toISOString() });
    await returnPutBy(house.db, NOW + HOUR);
    expect((await open()).find((task) => task.id === shelf)).toMatchObject({ returnedAt: NOW + HOUR, putUntil: null });
  });

  test("what is open with somebody: what they owe us, and what we owe them by their letters", async () => {
    const [slip] = await rowsOf<{ id: string }>(
      house.db,
      sql`select id from slip where conversation_id = ${ids[0]!} limit 1`,
    );
    await act("keep", { conversationId: ids[0]!, slipIds: [slip!.id] });
    const [colm] = await rowsOf<{ id: string }>(
      house.db,
      sql`select id from correspondent where address = 'colm@council.example'`,
    );
    const base = { due: null, priority: "normal", projectId: null, workstreamId: null };
    await act("make task", { ...base, title: "Key of the compound", ownerId: null, theirsId: colm!.id });
    const items = await openItemsWith(house.db, viewer(), colm!.id);
    expect(items.theirs.map((task) => task.title)).toEqual(["Key of the compound"]);
    expect(items.ours.map((task) => task.title)).toEqual([expect.stringContaining("drawing One")]);
  });
});
