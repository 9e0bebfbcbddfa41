import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { type Performed, perform } from "@/acts/perform";
import { takeIn } from "@/acts/take-in";
import { wayInNamed } from "@/acts/ways-in";
import { newId } from "@/data/ids";
import { find } from "@/data/queries/find";
import { letterFor, rawLetterFor } from "@/data/queries/letters";
import { conversationFor, roundOf, sortCount, sortPage } from "@/data/queries/sort";
import { stationCounts, taskSheet, tasksPage } from "@/data/queries/tasks";
import { project, projectMember } from "@/data/schema";
import { ENGINES, NOW, rawLetter, type TestHouse, testHouse } from "./test-house";

describe.each(ENGINES)("on %s", (engine) => {
  let house: TestHouse;
  beforeAll(async () => {
    house = await testHouse(engine);
  });
  afterAll(() => house.close());

  const act = (who: string, name: string, input: unknown, key: string | null = null) =>
    perform(house.db, { personId: who, now: NOW }, name, input, key);
  const must = async (who: string, name: string, input: unknown, key: string | null = null) => {
    const done = await act(who, name, input, key);
    if (!done.ok) throw new Error(done.says);
    return done;
  };
  const says = (done: Performed) => (done.ok ? "done" : done.says);
  const bring = async (raw = rawLetter(), wayIn = house.shared) => {
    const [taken] = await takeIn(house.db, [{ raw }], wayIn, NOW);
    if (!taken || taken.outcome === "refused") throw new Error("refused");
    const letter = await letterFor(house.db, { personId: house.ines }, taken.letterId);
    return { taken, letterId: taken.letterId, conversationId: letter!.conversationId };
  };
  const see = (id: string, who = house.ines) => conversationFor(house.db, { personId: who }, id);
  const sheetOf = async (done: { made: readonly { slug: string }[] }, who = house.ines) =>
    taskSheet(house.db, { personId: who }, Number(done.made[0]!.slug.split("-")[1]));

  test("the same bytes are one letter, and come back byte for byte", async () => {
    const raw = rawLetter({ body: "caf\u00e9\r\n.\r\nFrom here on\r\n" });
    const first = await bring(raw);
    const again = await bring(raw);
    expect(first.taken.outcome).toBe("new");
    expect(again.taken).toMatchObject({ outcome: "already here", letterId: first.letterId });
    const kept = await rawLetterFor(house.db, { personId: house.ines }, first.letterId);
    expect(Buffer.compare(kept!.bytes, Buffer.from(raw))).toBe(0);
  });

  test("twice in one batch, and in two at the same moment, is one letter too", async () => {
    const raw = rawLetter();
    const batch = await takeIn(house.db, [{ raw }, { raw }], house.shared, NOW);
    expect(batch.map((one) => one.outcome)).toEqual(["new", "already here"]);
    const other = rawLetter();
    const both = await Promise.all([
      takeIn(house.db, [{ raw: other }], house.shared, NOW),
      takeIn(house.db, [{ raw: other }], house.shared, NOW),
    ]);
    expect(
      both
        .flat()
        .map((one) => one.outcome)
        .sort(),
    ).toEqual(["already here", "new"]);
  });

  test("what cannot be read is kept raw and can be dealt with", async () => {
    const raw = new Uint8Array([0x89, 0x50, 0x4e, 0x47, 0, 0, 0, 1, 2, 3]);
    const { taken, conversationId } = await bring(raw);
    expect(taken.outcome).toBe("not readable");
    expect((await see(conversationId))?.letters[0]?.unreadable).toContain("no mail");
    await must(house.ines, "nothing to do", { conversationId });
    expect((await see(conversationId))?.place).toBe("dealt with");
  });

  test("an answer joins its conversation, also when it comes before the letter it answers", async () => {
    const answer = await bring(rawLetter({ refs: "root1@x", subject: "Re: Bolts" }));
    const root = await bring(rawLetter({ id: "root1@x", subject: "Bolts" }));
    expect(root.conversationId).toBe(answer.conversationId);
    const stranger = await bring(rawLetter({ subject: "Bolts" }));
    expect(stranger.conversationId).not.toBe(root.conversationId);
  });

  test("a reply comes back to Sort only if it brings something", async () => {
    const { conversationId } = await bring(rawLetter({ id: "root2@x" }));
    await must(house.ines, "nothing to do", { conversationId });
    await bring(rawLetter({ refs: "root2@x", body: "Thanks, noted." }));
    expect((await see(conversationId))?.place).toBe("dealt with");
    await bring(rawLetter({ refs: "root2@x", body: "Could you also send the price?" }));
    const back = await see(conversationId);
    expect(back?.place).toBe("sort");
    expect(back?.slips.filter((slip) => slip.state === "proposed")).toHaveLength(1);
  });

  test("letters without a date, of 1970 and of 2099 are kept, and order nothing wrongly", async () => {
    const odd = await bring(rawLetter({ date: "Fri, 1 Jan 2099 00:00:00 +0000", subject: "Future" }));
    await bring(rawLetter({ date: "Thu, 1 Jan 1970 00:00:00 +0000", subject: "Past" }));
    const none = await bring(rawLetter({ date: "soon", subject: "No date" }));
    const [row] = (await sortPage(house.db, { personId: house.ines }, "sort", null)).rows.filter(
      (one) => one.id === odd.conversationId,
    );
    expect(row?.lastAt).toBe(NOW);
    expect((await see(none.conversationId))?.letters[0]).toMatchObject({ isDated: false, sentAt: NOW });
  });

  test("keeping makes tasks with passage, owner, due and reference; undo takes them back; doing it again makes them again", async () => {
    const { conversationId, letterId } = await bring();
    const before = await see(conversationId);
    const open = before!.slips;
    expect(open.map((slip) => [slip.kind, slip.owner?.name, slip.due?.day])).toEqual([
      ["ask", "Suki Aldane", "2026-11-27"],
      ["ask", "Ines Valdarno", "2026-11-26"],
    ]);
    const done = await must(house.ines, "keep", { conversationId, slipIds: open.map((slip) => slip.id) });
    expect(done.made).toHaveLength(2);
    const sheet = await sheetOf(done);
    expect(sheet).toMatchObject({
      task: { title: "Send Colm the drawing", state: "to begin" },
      passage: { letterId, words: "Could Suki send us the drawing by Friday?" },
    });
    const undone = await must(house.ines, "undo", { entryId: done.entryId });
    expect(await sheetOf(done)).toBeNull();
    expect(await see(conversationId)).toMatchObject({
      place: "sort",
      slips: [{ state: "proposed" }, { state: "proposed" }],
    });
    expect(says(await act(house.ines, "undo", { entryId: done.entryId }))).toContain("undone already");
    await must(house.ines, "undo", { entryId: undone.entryId });
    expect((await sheetOf(done))?.task.title).toBe("Send Colm the drawing");
  });

  test("an act that arrives twice happens once, also at the same moment", async () => {
    const input = { title: "Once", ownerId: null, due: null, priority: "normal", projectId: null, workstreamId: null };
    const first = await must(house.ines, "make task", input, "key-00000001");
    const second = await must(house.ines, "make task", input, "key-00000001");
    expect(second.made).toEqual(first.made);
    const both = await Promise.all([
      act(house.ines, "make task", input, "key-00000002"),
      act(house.ines, "make task", input, "key-00000002"),
    ]);
    expect(new Set(both.map((done) => done.ok && done.made[0]?.id)).size).toBe(1);
  });

  test("two people at one task: the second sees what the first did, and nothing is lost", async () => {
    const done = await must(house.ines, "make task", {
      title: "Shared",
      ownerId: house.ines,
      due: null,
      priority: "normal",
      projectId: null,
      workstreamId: null,
    });
    const taskId = done.made[0]!.id;
    await must(house.suki, "change task", {
      taskId,
      change: { field: "title", to: "By Suki" },
      was: { title: "Shared" },
    });
    const refused = await act(house.ines, "change task", {
      taskId,
      change: { field: "title", to: "By Ines" },
      was: { title: "Shared" },
    });
    expect(says(refused)).toContain("Suki Aldane changed the title to “By Suki”");
    // Different fields do not collide.
    await must(house.ines, "change task", {
      taskId,
      change: { field: "priority", to: "high" },
      was: { priority: "normal" },
    });
    // What Suki built on is not undone by Ines.
    expect(says(await act(house.ines, "undo", { entryId: done.entryId }))).toContain("has changed this since");
    expect(says(await act(house.suki, "undo", { entryId: done.entryId }))).toContain("nothing of yours");
  });

  test("done and undone, with what happened in words", async () => {
    const done = await must(house.ines, "make task", {
      title: "Finish me",
      ownerId: house.ines,
      due: { day: "2026-11-20", time: null, zone: "Europe/London" },
      priority: "normal",
      projectId: null,
      workstreamId: null,
    });
    const taskId = done.made[0]!.id;
    const finish = await must(house.ines, "change task", { taskId, change: { field: "state", to: "done" }, was: null });
    expect((await sheetOf(done))?.task).toMatchObject({ state: "done", finishedAt: NOW });
    await must(house.ines, "undo", { entryId: finish.entryId });
    await must(house.suki, "comment", { taskId, text: "Nearly." });
    const sheet = await sheetOf(done);
    expect(sheet?.task).toMatchObject({ state: "to begin", finishedAt: null });
    expect(sheet?.comments[0]?.text).toBe("Nearly.");
    expect(sheet?.happened.map((entry) => entry.words)).toEqual([
      "wrote a note",
      "undid a change: took it up again, to begin",
      "finished it",
      "made it by hand",
    ]);
  });

  test("wrong input, unknown acts and rows that are not there are refused in words", async () => {
    expect(says(await act(house.ines, "explode", {}))).toContain("no such act");
    expect(says(await act(house.ines, "keep", { conversationId: "x", slipIds: [] }))).toContain(
      "could not be understood",
    );
    expect(says(await act(house.ines, "keep", { conversationId: newId(), slipIds: [newId()] }))).toContain(
      "not here any more",
    );
    expect(
      says(
        await act(house.ines, "make task", {
          title: "x".repeat(5_000),
          ownerId: null,
          due: null,
          priority: "normal",
          projectId: null,
          workstreamId: null,
        }),
      ),
    ).toContain("5000 characters");
    expect(
      says(
        await act(house.ines, "make task", {
          title: "x",
          ownerId: newId(),
          due: null,
          priority: "normal",
          projectId: null,
          workstreamId: null,
        }),
      ),
    ).toContain("not here");
    expect(
      says(
        await act(house.ines, "make task", {
          title: "x",
          ownerId: null,
          due: { day: "2026-02-30", time: null, zone: "UTC" },
          priority: "normal",
          projectId: null,
          workstreamId: null,
        }),
      ),
    ).toContain("no 2026-02-30");
  });

  test("a personal letter and a private project stay with those who may see them", async () => {
    const own = await wayInNamed(house.db, "ines alone", "mailbox", house.ines);
    const { conversationId, letterId } = await bring(
      rawLetter({ subject: "Zanzibar secret", body: "Could you keep the zanzibar matter quiet?" }),
      own,
    );
    expect(await see(conversationId, house.suki)).toBeNull();
    expect(await letterFor(house.db, { personId: house.suki }, letterId)).toBeNull();
    expect(await rawLetterFor(house.db, { personId: house.suki }, letterId)).toBeNull();
    expect((await find(house.db, { personId: house.suki }, "zanzibar")).letters).toEqual([]);
    expect((await find(house.db, { personId: house.ines }, "zanz")).letters).toHaveLength(1);
    expect(await sortCount(house.db, { personId: house.ines })).toBe(
      (await sortCount(house.db, { personId: house.suki })) + 1,
    );
    expect(says(await act(house.suki, "nothing to do", { conversationId }))).toContain("may not see it");
    const projectId = newId();
    await house.db.insert(project).values({ id: projectId, name: "Quiet", isPrivate: true });
    await house.db.insert(projectMember).values({ projectId, personId: house.ines });
    const done = await must(house.ines, "make task", {
      title: "Zanzibar task",
      ownerId: null,
      due: null,
      priority: "normal",
      projectId,
      workstreamId: null,
    });
    expect(await sheetOf(done, house.suki)).toBeNull();
    expect((await find(house.db, { personId: house.suki }, "zanzibar")).tasks).toEqual([]);
    expect((await stationCounts(house.db, { personId: house.ines }, "2026-11-24")).tasks).toBe(
      (await stationCounts(house.db, { personId: house.suki }, "2026-11-24")).tasks + 1,
    );
    expect(
      says(
        await act(house.suki, "make task", {
          title: "x",
          ownerId: null,
          due: null,
          priority: "normal",
          projectId,
          workstreamId: null,
        }),
      ),
    ).toContain("not here");
  });

  test("finding goes by the beginnings of words, accents folded, and by reference", async () => {
    await bring(rawLetter({ subject: "Café Crème for the opening" }));
    const done = await must(house.ines, "make task", {
      title: "Bunting for the marquee",
      ownerId: null,
      due: null,
      priority: "normal",
      projectId: null,
      workstreamId: null,
    });
    const look = (words: string) => find(house.db, { personId: house.ines }, words);
    expect((await look("crem caf")).letters[0]?.subject).toBe("Café Crème for the opening");
    expect((await look("bunt")).tasks[0]?.reference).toBe(done.made[0]!.reference);
    expect((await look(done.made[0]!.reference)).tasks[0]?.title).toBe("Bunting for the marquee");
    expect((await look("suk")).people[0]?.name).toBe("Suki Aldane");
    for (const words of ["", "'; drop table letter; --", "& | ! ( ) :* <->", "\u0000"]) await look(words);
  });

  test("pages follow one another without gaps or repeats, by due day with the undated last", async () => {
    for (let i = 0; i < 30; i += 1) {
      const due =
        i % 5 === 0
          ? null
          : {
              day: `2026-12-${String(1 + (i % 7)).padStart(2, "0")}`,
              time: i % 3 === 0 ? "14:00" : null,
              zone: "Europe/London",
            };
      await must(house.suki, "make task", {
        title: `Page ${i}`,
        ownerId: house.suki,
        due,
        priority: "normal",
        projectId: null,
        workstreamId: null,
      });
    }
    const look = { whose: "mine", projectId: null, show: "open" } as const;
    const whole = await tasksPage(house.db, { personId: house.suki }, look, null, 500);
    const paged: string[] = [];
    for (let cursor: string | null = null, first = true; first || cursor; first = false) {
      const page = await tasksPage(house.db, { personId: house.suki }, look, cursor, 7);
      paged.push(...page.rows.map((row) => row.id));
      cursor = page.next;
    }
    expect(paged).toEqual(whole.rows.map((row) => row.id));
    const days = whole.rows.map((row) => row.due?.day ?? "9999");
    expect(days).toEqual([...days].sort());
    const conversations: string[] = [];
    for (let cursor: string | null = null, first = true; first || cursor; first = false) {
      const page = await sortPage(house.db, { personId: house.ines }, "sort", cursor, 3);
      conversations.push(...page.rows.map((row) => row.id));
      cursor = page.next;
    }
    expect(new Set(conversations).size).toBe(await sortCount(house.db, { personId: house.ines }));
  });

  test("the round counts what one has dealt with", async () => {
    const round = await roundOf(house.db, { personId: house.ines }, NOW + 1_000);
    expect(round.dealt).toBeGreaterThan(0);
    expect(round.left).toBe(await sortCount(house.db, { personId: house.ines }));
  });
});
