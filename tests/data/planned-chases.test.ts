import { sql } from "drizzle-orm";
import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { perform } from "@/acts/perform";
import { sendPlannedChases } from "@/acts/send-planned-chases";
import { takeIn } from "@/acts/take-in";
import { PLAIN_WEEK } from "@/core/time/day";
import type { ChasePlan } from "@/core/waiting/chase-plan";
import { newId } from "@/data/ids";
import { waitingPage } from "@/data/queries/waiting";
import { rowsOf } from "@/data/rows";
import { correspondent } from "@/data/schema";
import { ENGINES, NOW, rawLetter, type TestHouse, testHouse } from "./test-house";

const HOUR = 3_600_000;

describe.each(ENGINES)("on %s", (engine) => {
  let house: TestHouse;
  let count = 0;
  const out = process.env.JAM_SMTP_OUT;
  beforeAll(async () => {
    process.env.JAM_SMTP_OUT = "smtp://localhost:1";
    house = await testHouse(engine);
  });
  afterAll(async () => {
    if (out === undefined) delete process.env.JAM_SMTP_OUT;
    else process.env.JAM_SMTP_OUT = out;
    await house.close();
  });

  const act = (name: string, input: unknown, now: number) =>
    perform(house.db, { personId: house.ines, now }, name, input);
  /** A wait for somebody of its own, made an hour ago. */
  const wait = async (address?: string) => {
    count += 1;
    const theirsId = newId();
    const name = `Supplier ${count}`;
    await house.db.insert(correspondent).values({ id: theirsId, name, address: address ?? `s${count}@out.example` });
    const input = {
      title: `Price ${count}`,
      ownerId: house.ines,
      theirsId,
      due: null,
      priority: "normal",
      projectId: null,
      workstreamId: null,
    };
    const done = await act("make task", input, NOW - HOUR);
    if (!done.ok) throw new Error(done.says);
    return { id: done.made[0]!.id, theirsId, address: address ?? `s${count}@out.example` };
  };
  const plan = (taskId: string, more: object = {}) =>
    act("plan chases", { taskId, firstAt: "2026-11-25T09:00:00.000Z", every: 2, letters: 2, ...more }, NOW);
  const stands = async (taskId: string) =>
    (
      await rowsOf<{ plan: ChasePlan | null }>(house.db, sql`select chase_plan as plan from task where id = ${taskId}`)
    )[0]!.plan;
  const letters = (taskId: string) =>
    rowsOf<{ text: string; personId: string }>(
      house.db,
      sql`select text, person_id as "personId" from outgoing where task_id = ${taskId} and is_chase order by created_at`,
    );
  const at = (text: string) => Date.parse(text);

  test("letters leave at their time in the planner's name, plainer each time, once each, and the plan ends", async () => {
    const { id } = await wait();
    expect((await plan(id)).ok).toBe(true);
    await sendPlannedChases(house.db, at("2026-11-25T08:59:00Z"));
    expect(await letters(id)).toEqual([]);
    await sendPlannedChases(house.db, at("2026-11-25T09:00:10Z"));
    await sendPlannedChases(house.db, at("2026-11-25T09:00:25Z"));
    expect(await letters(id)).toMatchObject([{ personId: house.ines }]);
    expect(await stands(id)).toMatchObject({ left: 1, nextAt: "2026-11-27T09:00:00.000Z" });
    await sendPlannedChases(house.db, at("2026-11-27T09:01:00Z"));
    const [first, second] = await letters(id);
    expect(second!.text).not.toBe(first!.text);
    expect(await stands(id)).toBeNull();
  });

  test("a word from them ends it, also one that lies in Sort; a finished task as well", async () => {
    const written = await wait();
    await plan(written.id);
    await act("note a call", { taskId: written.id, text: "rang, will send it", isReached: true }, NOW + HOUR);
    const finished = await wait();
    await plan(finished.id);
    await act("change task", { taskId: finished.id, change: { field: "state", to: "done" }, was: null }, NOW + HOUR);
    const inSort = await wait();
    await plan(inSort.id);
    const raw = rawLetter({
      from: `Supplier <${inSort.address}>`,
      subject: `About price ${count}`,
      body: `The price ${count} comes soon.`,
      date: "Tue, 24 Nov 2026 13:00:00 +0000",
    });
    await takeIn(house.db, [{ raw }], house.shared, NOW + 2 * HOUR);
    await sendPlannedChases(house.db, at("2026-11-25T09:00:10Z"));
    for (const { id } of [written, finished, inSort]) expect(await letters(id)).toEqual([]);
    expect(await stands(written.id)).toBeNull();
    expect(await stands(finished.id)).toBeNull();
    expect(await stands(inSort.id)).toMatchObject({
      said: expect.stringContaining("in Sort"),
      nextAt: "2026-11-26T09:00:00.000Z",
    });
  });

  test("somebody away is not written to: it is put off, and says why", async () => {
    const { id, theirsId } = await wait();
    await plan(id);
    await house.db.execute(sql`update correspondent set away_until = '2026-11-30' where id = ${theirsId}`);
    await sendPlannedChases(house.db, at("2026-11-25T09:00:10Z"));
    expect(await letters(id)).toEqual([]);
    expect(await stands(id)).toMatchObject({
      left: 2,
      said: expect.stringContaining("away until"),
      nextAt: "2026-11-26T09:00:00.000Z",
    });
  });

  test("Waiting says when it leaves; what cannot be planned is refused; the plan is undone and ended", async () => {
    const { id } = await wait();
    await plan(id);
    const look = {
      from: "anybody",
      personId: null,
      projectId: null,
      forId: null,
      order: "silence",
      taskId: id,
    } as const;
    const page = await waitingPage(house.db, { personId: house.ines }, look, null, {
      at: NOW,
      zone: "Europe/London",
      calendar: PLAIN_WEEK,
    });
    expect(page.rows[0]!.next).toMatchObject({ what: "planned letter", day: "2026-11-25" });
    const says = async (done: ReturnType<typeof act>) => {
      const one = await done;
      return one.ok ? "done" : one.says;
    };
    expect(await says(plan(id, { firstAt: "2026-11-24T09:00:00.000Z" }))).toMatch(/past/);
    expect(await says(plan(id, { letters: 9 }))).toMatch(/to 5/);
    expect(await says(plan((await wait("no-reply@out.example")).id))).toMatch(/machine/);
    await act("undo", { entryId: null }, NOW + HOUR);
    await plan(id);
    expect(await says(plan(id, { firstAt: null }))).toBe("done");
    expect(await stands(id)).toBeNull();
  });
});
