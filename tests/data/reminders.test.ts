import { sql } from "drizzle-orm";
import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { giveReminders } from "@/acts/give-reminders";
import { perform } from "@/acts/perform";
import { lastChange } from "@/data/queries/changes";
import { noticesFor } from "@/data/queries/notices";
import { taskSheet } from "@/data/queries/tasks";
import { ENGINES, NOW, type TestHouse, testHouse } from "./test-house";

const at = (text: string) => Date.parse(text);

describe.each(ENGINES)("on %s", (engine) => {
  let house: TestHouse;
  beforeAll(async () => {
    house = await testHouse(engine);
    await house.db.execute(sql`update person set zone = 'America/New_York' where id = ${house.suki}`);
    await giveReminders(house.db, NOW);
  });
  afterAll(() => house.close());

  const act = async (who: string, name: string, input: unknown, now = NOW) => {
    const done = await perform(house.db, { personId: who, now }, name, input);
    return done.ok ? done : done.says;
  };
  const make = async (title: string, ownerId: string | null, day: string) => {
    const due = { day, time: null, zone: "Europe/London" };
    const input = { title, ownerId, due, priority: "normal", projectId: null, workstreamId: null };
    const done = await act(house.ines, "make task", input);
    if (typeof done === "string") throw new Error(done);
    return done.made[0]!;
  };
  const reminded = async (who: string) =>
    (await noticesFor(house.db, { personId: who }, NOW)).notices
      .filter((one) => one.what === "reminder")
      .map((one) => `${one.title} ${one.words}`)
      .sort();

  test("each owner is reminded in their own morning, once; also when the server was down, and then it says so", async () => {
    await make("Bolts", house.ines, "2026-11-26");
    const { slug } = await make("Drawing", house.suki, "2026-11-26");
    await make("Nobody's", null, "2026-11-26");
    expect(await giveReminders(house.db, at("2026-11-25T07:59:59Z"))).toBe(0);
    const mark = await lastChange(house.db);
    expect(await giveReminders(house.db, at("2026-11-25T08:00:10Z"))).toBe(1);
    expect(await lastChange(house.db)).not.toBe(mark);
    expect(await reminded(house.ines)).toEqual(["Bolts is due Thu 26 Nov"]);
    // Suki's clock is five hours behind.
    expect(await giveReminders(house.db, at("2026-11-25T13:00:10Z"))).toBe(1);
    expect(await giveReminders(house.db, at("2026-11-25T13:00:10Z"))).toBe(0);
    expect(await reminded(house.suki)).toEqual(["Drawing is due Thu 26 Nov"]);
    // Two servers at the same moment: one of them gives it.
    const both = await Promise.all([1, 2].map(() => giveReminders(house.db, at("2026-11-26T08:00:10Z"))));
    expect(both[0]! + both[1]!).toBe(1);
    // Down from nine in the morning to the next day.
    expect(await giveReminders(house.db, at("2026-11-27T09:00:00Z"))).toBe(1);
    expect((await reminded(house.suki))[1]).toBe("Drawing was due Thu 26 Nov, 1 day over; meant for Thu 26 Nov, 08:00");
    expect((await taskSheet(house.db, { personId: house.ines }, Number(slug.split("-")[1])))?.reminders).toHaveLength(
      2,
    );
  });

  test("a time of one's own reminds whoever set it, and is theirs alone to take away; a finished task reminds nobody", async () => {
    const now = at("2026-11-27T09:00:00Z");
    const { id: taskId, slug } = await make("Paint", house.suki, "2026-12-20");
    const done = await make("Gone", house.ines, "2026-11-30");
    expect(await act(house.ines, "remind", { taskId, at: "2026-11-20T08:00:00Z" }, now)).toContain("past already");
    await act(house.ines, "remind", { taskId, at: "2026-11-28T10:00:00Z" }, now);
    await act(house.ines, "remind", { taskId, at: "2026-11-28T11:00:00Z" }, now);
    await act(house.ines, "change task", { taskId: done.id, change: { field: "state", to: "done" }, was: null }, now);
    const own = (await taskSheet(house.db, { personId: house.ines }, Number(slug.split("-")[1])))!.reminders.filter(
      (one) => one.id,
    );
    expect(own).toHaveLength(2);
    expect(await act(house.suki, "remind", { taskId, reminderId: own[1]!.id }, now)).toBeTypeOf("string");
    expect(await act(house.ines, "remind", { taskId, reminderId: own[1]!.id }, now)).toMatchObject({ ok: true });
    expect(await giveReminders(house.db, at("2026-12-01T08:30:00Z"))).toBe(1);
    expect(await reminded(house.ines)).toContain("Paint is due Sun 20 Dec; meant for Sat 28 Nov, 10:00");
    expect((await reminded(house.ines)).some((one) => one.startsWith("Gone"))).toBe(false);
  });
});
