import { sql } from "drizzle-orm";
import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { leaveTeam } from "@/acts/leave-team";
import { perform } from "@/acts/perform";
import { addPerson } from "@/acts/set-up";
import { takeIn } from "@/acts/take-in";
import { wayInNamed } from "@/acts/ways-in";
import { newId } from "@/data/ids";
import { noticesFor } from "@/data/queries/notices";
import { team } from "@/data/queries/people";
import { taskSheet } from "@/data/queries/tasks";
import { rowsOf } from "@/data/rows";
import { correspondent } from "@/data/schema";
import { ENGINES, NOW, rawLetter, type TestHouse, testHouse } from "./test-house";

describe.each(ENGINES)("somebody leaves, on %s", (engine) => {
  let house: TestHouse;
  let jonah: string;
  let clock = NOW;
  beforeAll(async () => {
    house = await testHouse(engine);
    jonah = (await addPerson(house.db, {
      name: "Jonah Prewitt",
      address: "jonah@house.example",
      password: "a long password",
    }))!;
  });
  afterAll(() => house.close());

  const act = (who: string, name: string, input: unknown) => {
    clock += 60_000;
    return perform(house.db, { personId: who, now: clock }, name, input);
  };
  const says = async (who: string, name: string, input: unknown) => {
    const done = await act(who, name, input);
    return done.ok ? "done" : done.says;
  };
  const made = async (who: string, title: string, ownerId: string | null, theirsId: string | null = null) => {
    const input = { title, ownerId, theirsId, due: null, priority: "normal", projectId: null, workstreamId: null };
    const done = await act(who, "make task", input);
    if (!done.ok) throw new Error(done.says);
    return done.made[0]!;
  };
  const sheet = (slug: string) => taskSheet(house.db, { personId: house.ines }, Number(slug.split("-")[1]));

  test("what they have goes back to who gave it or has no owner; nothing can be given to them; their name stays", async () => {
    const given = await made(house.ines, "Order the swing chains", null);
    expect(await says(house.ines, "hand over", { taskId: given.id, toIds: [jonah], note: "" })).toBe("done");
    const own = await made(jonah, "Sweep the workshop", jonah);
    const finished = await made(jonah, "Sharpen the saw", jonah);
    expect(
      await says(jonah, "change task", { taskId: finished.id, change: { field: "state", to: "done" }, was: null }),
    ).toBe("done");
    const passed = await made(house.ines, "Count the bolts", jonah);
    const taken = await act(house.ines, "change task", {
      taskId: passed.id,
      change: { field: "owner", to: { side: "ours", personId: house.suki } },
      was: null,
    });

    const colm = newId();
    await house.db.insert(correspondent).values({ id: colm, name: "Colm Hartnell", address: "colm@council.example" });
    const wait = await made(jonah, "Send us the permit", null, colm);
    const wayInId = await wayInNamed(house.db, "Jonah’s own mailbox", "mailbox", jonah);
    await house.db.execute(
      sql`insert into mailbox (id, way_in_id, host, port, security, user_name, secret, folder, on_dealt, made_by, made_at)
        values (${newId()}, ${wayInId}, 'imap.example', 993, 'tls', 'jonah', 'kept secret', 'INBOX', 'nothing', ${jonah}, now())`,
    );
    await house.db.execute(sql`update person set is_lead = true where id = ${house.ines}`);

    expect(await leaveTeam(house.db, "JONAH@house.example", clock)).toEqual({
      ok: true,
      name: "Jonah Prewitt",
      tasks: 3,
    });
    expect((await sheet(given.slug))?.task.owner).toBeNull();
    expect((await sheet(own.slug))?.task.owner).toBeNull();
    expect((await sheet(finished.slug))?.task.owner?.name).toBe("Jonah Prewitt");
    expect((await sheet(wait.slug))?.task).toMatchObject({ side: "theirs", owner: { name: "Ines Valdarno" } });
    const [box] = await rowsOf<{ isRevoked: boolean; secret: string }>(
      house.db,
      sql`select is_revoked as "isRevoked", secret from mailbox where user_name = 'jonah'`,
    );
    expect(box).toEqual({ isRevoked: true, secret: "" });
    const told = (await noticesFor(house.db, { personId: house.ines }, clock)).notices;
    expect(told.some((one) => one.slug === given.slug && one.what === "handed back")).toBe(true);

    const left = "Jonah Prewitt left on Tue 24 Nov. Nothing was changed; your words are still in the field.";
    expect(await says(house.ines, "hand over", { taskId: given.id, toIds: [house.suki, jonah], note: "for you" })).toBe(
      left,
    );
    expect(
      await says(house.ines, "change task", {
        taskId: given.id,
        change: { field: "owner", to: { side: "ours", personId: jonah } },
        was: null,
      }),
    ).toBe(left);
    expect((await sheet(given.slug))?.task.owner).toBeNull();
    const stays = "Jonah Prewitt left on Tue 24 Nov. Nothing was changed; give it to somebody else.";
    // Taking back what gave a task to somebody else would give it to them again.
    expect(await says(house.ines, "undo", { entryId: taken.ok && taken.entryId })).toBe(stays);
    expect(
      await says(house.ines, "change task", {
        taskId: finished.id,
        change: { field: "state", to: "to begin" },
        was: null,
      }),
    ).toBe(stays);
    // What was done by them can still be changed by others.
    expect(
      await says(house.ines, "change task", {
        taskId: finished.id,
        change: { field: "priority", to: "low" },
        was: { ownerId: jonah },
      }),
    ).toBe("done");
    expect(await says(jonah, "comment", { taskId: given.id, text: "I am still here" })).toBe(
      "You are no longer a member here. Nothing was changed.",
    );
    const [signIns] = await rowsOf<{ n: number }>(
      house.db,
      sql`select count(*)::int as n from account a join person p on p.user_id = a.user_id where p.id = ${jonah}`,
    );
    expect(signIns?.n).toBe(0);
    expect((await team(house.db)).find((one) => one.id === jonah)).toMatchObject({
      name: "Jonah Prewitt",
      work: "left on 24 November 2026",
      leftOn: "2026-11-24",
    });
  });

  test("letters propose nothing for them any more", async () => {
    const raw = rawLetter({ subject: "Gate", body: "Jonah, please paint the gate by Friday." });
    const [taken] = await takeIn(house.db, [{ raw }], house.shared, clock);
    const slips = await rowsOf<{ ownerId: string | null }>(
      house.db,
      sql`select owner_id as "ownerId" from slip where letter_id = ${taken && "letterId" in taken ? taken.letterId : null}`,
    );
    expect(slips.length).toBeGreaterThan(0);
    expect(slips.filter((one) => one.ownerId === jonah)).toEqual([]);
  });

  test("nobody leaves twice, a stranger not at all, and never the last who leads", async () => {
    expect(await leaveTeam(house.db, "jonah@house.example", clock)).toMatchObject({
      ok: false,
      why: expect.stringMatching(/has left already/),
    });
    expect(await leaveTeam(house.db, "x@y.example", clock)).toMatchObject({
      ok: false,
      why: expect.stringMatching(/is no member/),
    });
    await house.db.execute(sql`update person set is_lead = (id = ${house.ines})`);
    expect(await leaveTeam(house.db, "ines@house.example", clock)).toMatchObject({
      ok: false,
      why: expect.stringMatching(/the only one who leads/),
    });
  });
});
