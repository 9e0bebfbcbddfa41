import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { type Performed, perform } from "@/acts/perform";
import { addPerson } from "@/acts/set-up";
import { takeIn } from "@/acts/take-in";
import { onChange } from "@/acts/tell-screens";
import { wayInNamed } from "@/acts/ways-in";
import { newId } from "@/data/ids";
import { lastChange } from "@/data/queries/changes";
import { letterFor } from "@/data/queries/letters";
import { projectsFor } from "@/data/queries/people";
import { conversationFor, sortPage } from "@/data/queries/sort";
import { taskSheet, tasksFigures, tasksPage } from "@/data/queries/tasks";
import { firm, project, workstream } from "@/data/schema";
import { ENGINES, NOW, rawLetter, type TestHouse, testHouse } from "./test-house";

describe.each(ENGINES)("on %s", (engine) => {
  let house: TestHouse;
  const green = newId();
  const groundworks = newId();
  beforeAll(async () => {
    house = await testHouse(engine);
    const council = newId();
    await house.db.insert(firm).values({ id: council, name: "Town Council", kind: "client" });
    await house.db.insert(project).values({ id: green, name: "Harbour Green", firmId: council, words: ["crane"] });
    await house.db.insert(workstream).values({ id: groundworks, projectId: green, name: "Groundworks", place: 0 });
  });
  afterAll(() => house.close());

  const act = (who: string, name: string, input: unknown) =>
    perform(house.db, { personId: who, now: NOW }, name, input);
  const must = async (name: string, input: unknown) => {
    const done = await act(house.ines, name, input);
    if (!done.ok) throw new Error(done.says);
    return done;
  };
  const says = (done: Performed) => (done.ok ? "done" : done.says);
  const bring = async (raw: Uint8Array, wayIn = house.shared) => {
    const [taken] = await takeIn(house.db, [{ raw }], wayIn, NOW);
    if (!taken || taken.outcome === "refused") throw new Error("refused");
    return (await letterFor(house.db, { personId: house.ines }, taken.letterId))!;
  };
  const see = async (id: string) => (await conversationFor(house.db, { personId: house.ines }, id))!;
  const sheet = (slug: string) => taskSheet(house.db, { personId: house.ines }, Number(slug.split("-")[1]));

  test("a promise from outside is kept as a wait: it shows who owes it and who waits", async () => {
    const letter = await bring(
      rawLetter({ subject: "Crane", body: "Hi Ines,\n\nI'll send you the permit number on Thursday.\n\nColm" }),
    );
    const { slips, projectId, outside } = await see(letter.conversationId);
    expect(projectId).toBe(green);
    expect(outside.map((who) => who.name)).toEqual(["Colm Hartnell"]);
    expect(slips).toMatchObject([
      { kind: "promise", owner: null, theirs: { name: "Colm Hartnell" }, due: { day: "2026-11-26" } },
    ]);
    const done = await must("keep", { conversationId: letter.conversationId, slipIds: [slips[0]!.id] });
    expect(await sheet(done.made[0]!.slug)).toMatchObject({
      task: { side: "theirs", theirs: { name: "Colm Hartnell" }, owner: { name: "Ines Valdarno" } },
      happened: [{ words: "kept it from the letter, to wait for Colm Hartnell" }],
    });
    const owed = await tasksPage(
      house.db,
      { personId: house.ines },
      { whose: "theirs", projectId: null, show: "open" },
      null,
    );
    expect(owed.rows.map((row) => row.title)).toEqual(["Send us the permit number"]);
    const mine = await tasksPage(
      house.db,
      { personId: house.ines },
      { whose: "mine", projectId: null, show: "open" },
      null,
    );
    expect(mine.rows).toEqual([]);
    // A wait given to somebody here is a task of ours, and undo makes it a wait again.
    const given = await must("change task", {
      taskId: done.made[0]!.id,
      change: { field: "owner", to: { side: "ours", personId: house.suki } },
      was: null,
    });
    expect((await sheet(done.made[0]!.slug))?.task).toMatchObject({
      side: "ours",
      theirs: null,
      owner: { name: "Suki Aldane" },
    });
    await must("undo", { entryId: given.entryId });
    expect((await sheet(done.made[0]!.slug))?.task).toMatchObject({
      side: "theirs",
      theirs: { name: "Colm Hartnell" },
      owner: { name: "Ines Valdarno" },
    });
  });

  test("slips of one's own lie on the words that were marked, and are kept with them", async () => {
    const letter = await bring(
      rawLetter({ subject: "Gate", body: "Hi Ines,\n\nThe gate hangs low at the old slipway.\n\nColm" }),
    );
    const start = letter.text.indexOf("gate hangs low");
    const slip = {
      conversationId: letter.conversationId,
      letterId: letter.id,
      start,
      end: start + 14,
      title: "Lift the gate",
      owner: { side: "ours", personId: house.suki },
      due: null,
      priority: "high",
    };
    await must("add slip", slip);
    const added = (await see(letter.conversationId)).slips.find((one) => one.title === "Lift the gate")!;
    expect(added).toMatchObject({ madeBy: "person", state: "proposed", start, priority: "high" });
    const done = await must("keep", { conversationId: letter.conversationId, slipIds: [added.id] });
    expect((await sheet(done.made[0]!.slug))?.passage?.words).toBe("gate hangs low");
    expect(says(await act(house.ines, "add slip", { ...slip, end: 99_999 }))).toContain("do not lie in this letter");
    expect(says(await act(house.ines, "add slip", { ...slip, letterId: newId() }))).toContain("not here");
    expect(
      says(await act(house.ines, "keep", { conversationId: letter.conversationId, slipIds: [added.id] })),
    ).toContain("nothing was made twice");
  });

  test("a conversation goes to a project, its slips with it, and a task to one of its workstreams only", async () => {
    const letter = await bring(rawLetter({ subject: "Bolts" }));
    await must("goes to", { conversationId: letter.conversationId, projectId: green });
    const view = await see(letter.conversationId);
    expect(view.projectId).toBe(green);
    expect(view.slips.every((slip) => slip.projectId === green)).toBe(true);
    const done = await must("keep", {
      conversationId: letter.conversationId,
      slipIds: view.slips.map((slip) => slip.id),
    });
    const taskId = done.made[0]!.id;
    await must("change task", {
      taskId,
      change: { field: "project", to: { projectId: green, workstreamId: groundworks } },
      was: null,
    });
    expect(await sheet(done.made[0]!.slug)).toMatchObject({
      workstream: "Groundworks",
      task: { project: "Harbour Green" },
    });
    expect(
      says(
        await act(house.ines, "change task", {
          taskId,
          change: { field: "project", to: { projectId: null, workstreamId: groundworks } },
          was: null,
        }),
      ),
    ).toContain("not here");
    expect(
      (await projectsFor(house.db, { personId: house.suki })).find((one) => one.id === green)?.workstreams,
    ).toEqual([{ id: groundworks, name: "Groundworks" }]);
    expect(
      says(await act(house.ines, "goes to", { conversationId: letter.conversationId, projectId: newId() })),
    ).toContain("not here");
  });

  test("back to Sort proposes again what was brushed off, and leaves what was kept", async () => {
    const letter = await bring(rawLetter({ subject: "Hats" }));
    const [first, second] = (await see(letter.conversationId)).slips;
    await must("keep", { conversationId: letter.conversationId, slipIds: [first!.id] });
    await must("brush off", { conversationId: letter.conversationId, slipId: second!.id });
    expect(await see(letter.conversationId)).toMatchObject({
      place: "dealt with",
      outcome: "kept",
      dealtBy: "Ines Valdarno",
    });
    const dealt = await sortPage(house.db, { personId: house.ines }, "dealt with", null);
    expect(dealt.rows.find((row) => row.id === letter.conversationId)).toMatchObject({
      outcome: "kept",
      dealtBy: "Ines Valdarno",
    });
    await must("back to Sort", { conversationId: letter.conversationId });
    expect((await see(letter.conversationId)).slips.map((slip) => slip.state)).toEqual(["kept", "proposed"]);
    expect(says(await act(house.ines, "back to Sort", { conversationId: letter.conversationId }))).toContain(
      "in Sort already",
    );
    expect(
      says(await act(house.ines, "brush off", { conversationId: letter.conversationId, slipId: first!.id })),
    ).toContain("a task already");
    expect(
      says(await act(house.ines, "brush off", { conversationId: letter.conversationId, slipId: newId() })),
    ).toContain("not here");
  });

  test("a slip's values are changed one by one, each with its undo; a slip that was kept is changed no more", async () => {
    const letter = await bring(rawLetter({ subject: "Ropes" }));
    const [slip] = (await see(letter.conversationId)).slips;
    const change = (to: unknown, was: unknown = null) =>
      act(house.ines, "change slip", { slipId: slip!.id, change: to, was });
    const now = async () => (await see(letter.conversationId)).slips.find((one) => one.id === slip!.id)!;
    for (const [to, shown] of [
      [{ field: "title", to: "  Send   the rope " }, { title: "Send the rope" }],
      [
        { field: "owner", to: { side: "ours", personId: null } },
        { owner: null, theirs: null },
      ],
      [
        { field: "due", to: { day: "2026-12-03", time: "14:00", zone: "Europe/London" } },
        { due: { day: "2026-12-03", time: "14:00" } },
      ],
      [{ field: "priority", to: "top" }, { priority: "top" }],
      [
        { field: "project", to: { projectId: green, workstreamId: groundworks } },
        { projectId: green, workstreamId: groundworks },
      ],
    ] as const) {
      const before = await now();
      const done = await change(to);
      expect(await now()).toMatchObject(shown);
      await must("undo", { entryId: done.ok ? done.entryId : null });
      expect(await now()).toEqual(before);
      await change(to);
    }
    const same = await change({ field: "priority", to: "top" });
    expect(same).toMatchObject({ ok: true, entryId: null });
    expect(says(await change({ field: "state", to: "done" }))).toContain("not here");
    await must("keep", { conversationId: letter.conversationId, slipIds: [slip!.id] });
    expect(says(await change({ field: "title", to: "Too late" }))).toContain("has been dealt with");
  });

  test("undo goes back one act at a time, and stops where nothing is left", async () => {
    const bea = (await addPerson(house.db, { name: "Bea Thorn", address: "bea@house.example" }))!;
    const task = await act(bea, "make task", {
      title: "One",
      ownerId: bea,
      due: null,
      priority: "normal",
      projectId: null,
      workstreamId: null,
    });
    if (!task.ok) throw new Error(task.says);
    await act(bea, "change task", { taskId: task.made[0]!.id, change: { field: "title", to: "Two" }, was: null });
    await act(bea, "comment", { taskId: task.made[0]!.id, text: "Three" });
    const look = () => taskSheet(house.db, { personId: bea }, Number(task.made[0]!.slug.split("-")[1]));
    await act(bea, "undo", { entryId: null });
    expect((await look())?.comments).toEqual([]);
    await act(bea, "undo", { entryId: null });
    expect((await look())?.task.title).toBe("One");
    await act(bea, "undo", { entryId: null });
    expect(await look()).toBeNull();
    expect(says(await act(bea, "undo", { entryId: null }))).toContain("nothing of yours");
    expect(await addPerson(house.db, { name: "Bea again", address: "bea@house.example" })).toBeNull();
  });

  test("notes that are empty or too long are refused, and say what was kept", async () => {
    const task = await must("make task", {
      title: "Notes",
      ownerId: null,
      due: null,
      priority: "low",
      projectId: null,
      workstreamId: null,
    });
    const note = (text: string) => act(house.ines, "comment", { taskId: task.made[0]!.id, text });
    expect(says(await note("  \n "))).toContain("empty");
    expect(says(await note("x".repeat(10_001)))).toContain("still in the field");
    expect(says(await note("Fine <b>&amp;</b> ' \" \u202e"))).toBe("done");
    expect((await sheet(task.made[0]!.slug))?.comments[0]?.text).toBe("Fine <b>&amp;</b> ' \" \u202e");
  });

  test("one person's tasks are what they own, or owe us", async () => {
    const of = async (personId: string) =>
      (
        await tasksPage(
          house.db,
          { personId: house.ines },
          { whose: "everyone", personId, projectId: null, show: "open" },
          null,
          500,
        )
      ).rows;
    const suki = await of(house.suki);
    expect(suki.length).toBeGreaterThan(1);
    expect(suki.every((row) => row.owner?.id === house.suki)).toBe(true);
    const [wait] = (
      await tasksPage(house.db, { personId: house.ines }, { whose: "theirs", projectId: null, show: "open" }, null)
    ).rows;
    expect((await of(wait!.theirs!.id)).map((row) => row.title)).toEqual(["Send us the permit number"]);
    expect(await of(newId())).toEqual([]);
  });

  test("figures and lists agree with each other for every look", async () => {
    let looks = 0;
    for (const whose of ["everyone", "mine", "nobody", "theirs"] as const) {
      for (const projectId of [null, green]) {
        for (const show of ["open", "done"] as const) {
          const look = { whose, projectId, show };
          const { rows } = await tasksPage(house.db, { personId: house.ines }, look, null, 1_000);
          const figures = await tasksFigures(house.db, { personId: house.ines }, look);
          expect([look, figures.all, figures.undated, figures.nobodys]).toEqual([
            look,
            rows.length,
            rows.filter((row) => !row.due).length,
            rows.filter((row) => !row.owner && row.side === "ours").length,
          ]);
          looks += 1;
        }
      }
    }
    expect(looks).toBe(16);
  });

  test("open screens are told of every act and every letter, here and in other processes", async () => {
    let told = 0;
    const off = onChange(() => {
      told += 1;
    });
    const before = await lastChange(house.db);
    await must("make task", {
      title: "News",
      ownerId: null,
      due: null,
      priority: "low",
      projectId: null,
      workstreamId: null,
    });
    const between = await lastChange(house.db);
    await bring(rawLetter());
    const after = await lastChange(house.db);
    off();
    await must("make task", {
      title: "Old news",
      ownerId: null,
      due: null,
      priority: "low",
      projectId: null,
      workstreamId: null,
    });
    expect(new Set([before, between, after]).size).toBe(3);
    expect(told).toBe(2);
  });

  test("the same letter through a shared and a personal way in may be seen by all; one that came to a person alone may not", async () => {
    const own = await wayInNamed(house.db, "suki alone", "mailbox", house.suki);
    const raw = rawLetter({ subject: "Through two doors" });
    const [first] = await takeIn(house.db, [{ raw }], own, NOW);
    const id = first && first.outcome === "new" ? first.letterId : "";
    expect(await letterFor(house.db, { personId: house.ines }, id)).toBeNull();
    await takeIn(house.db, [{ raw }], house.shared, NOW + 1_000);
    expect((await letterFor(house.db, { personId: house.ines }, id))?.waysIn).toEqual(["suki alone", "shared"]);
    // Asking again for a way in of this name gives the same one, with its owner.
    expect(await wayInNamed(house.db, "suki alone", "mailbox", null)).toBe(own);
  });
});
