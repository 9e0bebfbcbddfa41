import { sql } from "drizzle-orm";
import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { giveReminders } from "@/acts/give-reminders";
import { perform } from "@/acts/perform";
import { addPerson } from "@/acts/set-up";
import { takeIn } from "@/acts/take-in";
import { newId } from "@/data/ids";
import { hearsNot } from "@/data/queries/hears-not";
import { noticesFor, seeNotices } from "@/data/queries/notices";
import { taskSheet, tasksPage } from "@/data/queries/tasks";
import { rowsOf } from "@/data/rows";
import { project, projectMember } from "@/data/schema";
import { ENGINES, NOW, rawLetter, type TestHouse, testHouse } from "./test-house";

describe.each(ENGINES)("on %s", (engine) => {
  let house: TestHouse;
  let jonah: string;
  let mair: string;
  const secret = newId();
  let clock = NOW;
  beforeAll(async () => {
    house = await testHouse(engine);
    jonah = (await addPerson(house.db, { name: "Jonah Prewitt", address: "jonah@house.example" }))!;
    mair = (await addPerson(house.db, { name: "Mair Penhallow", address: "mair@house.example" }))!;
    await house.db.insert(project).values({ id: secret, name: "Tender", isPrivate: true, words: [] });
    await house.db.insert(projectMember).values({ projectId: secret, personId: house.ines });
  });
  afterAll(() => house.close());

  const act = (who: string, name: string, input: unknown) => {
    clock += 60_000;
    return perform(house.db, { personId: who, now: clock }, name, input);
  };
  const must = async (who: string, name: string, input: unknown) => {
    const done = await act(who, name, input);
    if (!done.ok) throw new Error(done.says);
    return done;
  };
  const says = async (who: string, name: string, input: unknown) => {
    const done = await act(who, name, input);
    return done.ok ? "done" : done.says;
  };
  const made = async (more: object = {}) => {
    const input = { title: "Send the drawing", ownerId: null, due: null, priority: "normal", projectId: null };
    return (await must(house.ines, "make task", { ...input, workstreamId: null, ...more })).made[0]!;
  };
  const sheet = (slug: string, who = house.ines) => taskSheet(house.db, { personId: who }, Number(slug.split("-")[1]));
  const heard = async (who: string, slug: string) =>
    (await noticesFor(house.db, { personId: who }, NOW)).notices.filter((one) => one.slug === slug && one.isFresh);
  const whats = async (who: string, slug: string) => (await heard(who, slug)).map((one) => one.what);
  const state = (to: string) => ({ change: { field: "state", to }, was: null });

  test("handed over, passed on, asked, answered, done: everybody in the chain hears once, nobody of their own", async () => {
    const { id: taskId, slug } = await made();
    await must(house.ines, "hand over", { taskId, toIds: [house.suki], note: "only sheet 3 changed" });
    expect(await heard(house.suki, slug)).toMatchObject([
      { what: "given", why: "owns it", loudness: "at once", words: "gave it to you: “only sheet 3 changed”" },
    ]);
    await must(house.suki, "take on", { taskId });
    await must(house.suki, "hand over", { taskId, toIds: [jonah], note: "you have the model open" });
    await must(jonah, "ask back", { taskId, question: "Which revision?" });
    expect((await sheet(slug))?.task.chain.map((link) => [link.by, link.to, link.answer])).toEqual([
      [house.ines, house.suki, "delegated"],
      [house.suki, jonah, "needs-action"],
    ]);
    await must(house.suki, "comment", { taskId, text: "Revision C." });
    expect(await whats(jonah, slug)).toEqual(["answered", "given"]);
    await must(jonah, "change task", { taskId, ...state("done") });
    expect(await whats(house.ines, slug)).toEqual(["done", "noted", "noted", "passed on", "taken on"]);
    expect(await whats(house.suki, slug)).toEqual(["done", "asked", "given"]);
    expect(await whats(jonah, slug)).toEqual(["answered", "given"]);
    expect((await sheet(slug))?.happened.map((one) => one.words)).toEqual([
      "took it on, finished it",
      "wrote a note",
      "asked: “Which revision?”",
      "passed it to Jonah Prewitt: “you have the model open”",
      "took it on",
      "handed it to Suki Aldane: “only sheet 3 changed”",
      "made it by hand",
    ]);
    await seeNotices(house.db, { personId: house.ines }, Number(slug.split("-")[1]), 0, clock);
    expect(await whats(house.ines, slug)).toEqual([]);
  });

  test("handed back with a reason it is nobody's, and stands before who gave it", async () => {
    const { id: taskId, slug } = await made({ ownerId: house.suki });
    expect(await says(house.suki, "hand back", { taskId, reason: "  " })).toContain("Say in a few words why");
    expect(await says(jonah, "hand back", { taskId, reason: "no" })).toContain("Suki Aldane has");
    await must(house.suki, "hand back", { taskId, reason: "needs an installer’s card" });
    expect(await sheet(slug)).toMatchObject({ task: { owner: null, chain: [{ answer: "declined" }] } });
    expect(await heard(house.ines, slug)).toMatchObject([{ what: "handed back", loudness: "at once" }]);
    const given = await tasksPage(
      house.db,
      { personId: house.ines },
      { whose: "by me", projectId: null, show: "open" },
      null,
    );
    expect(given.rows[0]?.slug).toBe(slug);
    const nobodys = await tasksPage(
      house.db,
      { personId: house.ines },
      { whose: "nobody", projectId: null, show: "open" },
      null,
    );
    expect(nobodys.rows.map((row) => row.slug)).toContain(slug);
    expect(await says(house.suki, "take on", { taskId })).toContain("Nobody has");
  });

  test("two people get a task each that know of each other; two who take it at once are told who was first", async () => {
    const { id: taskId, slug } = await made({ title: "Count the bolts" });
    const done = await must(house.ines, "hand over", { taskId, toIds: [house.suki, jonah], note: "half each" });
    expect(done.made).toHaveLength(1);
    expect((await sheet(slug))?.together).toMatchObject([{ owner: "Jonah Prewitt", slug: done.made[0]!.slug }]);
    expect((await sheet(done.made[0]!.slug))?.together).toMatchObject([{ owner: "Suki Aldane", slug }]);
    expect(await whats(jonah, done.made[0]!.slug)).toEqual(["given"]);
    const { id: other } = await made({ title: "Ring the printer" });
    const was = { ownerId: null, theirsId: null };
    const take = (who: string) =>
      act(who, "change task", { taskId: other, change: { field: "owner", to: { side: "ours", personId: who } }, was });
    await take(house.suki);
    const second = await take(jonah);
    expect(second).toMatchObject({ ok: false, says: expect.stringContaining("Suki Aldane") });
  });

  test("taken away, they hear of it; undone before they looked, nobody is bothered", async () => {
    const { id: taskId, slug } = await made({ ownerId: house.suki, title: "Paint the hut" });
    await must(house.ines, "hand over", { taskId, toIds: [jonah], note: "" });
    expect(await whats(house.suki, slug)).toEqual(["taken away", "given"]);
    await must(house.ines, "undo", { entryId: null });
    expect(await whats(house.suki, slug)).toEqual(["given"]);
    expect(await whats(jonah, slug)).toEqual([]);
    expect((await sheet(slug))?.task).toMatchObject({
      owner: { name: "Suki Aldane" },
      chain: [{ answer: "needs-action" }],
    });
  });

  test("need to know: a private task's news reaches its people alone, also who is named; its owner may see it", async () => {
    const { id: taskId, slug } = await made({ title: "Tender sum", projectId: secret });
    await must(house.ines, "comment", { taskId, text: "Mair must not see this yet; Suki neither." });
    expect(await whats(mair, slug)).toEqual([]);
    expect(await says(house.ines, "keep posted", { taskId, personId: mair, hears: true })).toContain("may not see");
    await must(house.ines, "hand over", { taskId, toIds: [house.suki], note: "for you alone" });
    expect((await sheet(slug, house.suki))?.task.title).toBe("Tender sum");
    expect(await sheet(slug, mair)).toBeNull();
    await must(house.suki, "hand back", { taskId, reason: "too much for me" });
    expect(await whats(house.ines, slug)).toEqual(["handed back"]);
    await must(house.ines, "keep posted", { taskId, personId: house.ines, hears: false });
    expect(await hearsNot(house.db, { personId: house.ines }, [taskId])).toHaveLength(1);
    expect(await hearsNot(house.db, { personId: mair }, [taskId])).toEqual([]);
    expect(await hearsNot(house.db, { personId: mair }, [])).toEqual([]);
  });

  test("kept posted they hear with the digest; who does not want to hear is left alone, but an owner is told of dates", async () => {
    const { id: taskId, slug } = await made({ ownerId: house.suki, title: "Order the signs" });
    await must(house.ines, "keep posted", { taskId, personId: mair, hears: true });
    expect((await sheet(slug))?.hears).toMatchObject([
      { personId: house.suki, why: "owns it", loudness: "at once" },
      { personId: house.ines, why: "handed it over", loudness: "later" },
      { personId: mair, why: "kept posted", loudness: "later" },
    ]);
    await must(house.suki, "keep posted", { taskId, personId: house.suki, hears: false });
    const not = (personId: string) => hearsNot(house.db, { personId }, [taskId]);
    expect(await not(house.ines)).toEqual([{ taskId, personId: house.suki }]);
    expect(await says(house.ines, "keep posted", { taskId, personId: house.suki, hears: false })).toContain(
      "Only Suki",
    );
    await must(house.ines, "change task", { taskId, change: { field: "priority", to: "high" }, was: null });
    expect(await whats(house.suki, slug)).toEqual(["given"]);
    const due = { day: "2026-11-27", time: null, zone: "Europe/London" };
    await must(house.ines, "change task", { taskId, change: { field: "due", to: due }, was: null });
    expect(await whats(house.suki, slug)).toEqual(["moved", "given"]);
    await must(house.suki, "doubt", { taskId, reason: "the printer is ill" });
    expect(await heard(house.ines, slug)).toMatchObject([{ what: "in doubt", loudness: "at once" }]);
    expect(await whats(mair, slug)).toEqual(["in doubt", "moved"]);
    expect((await sheet(slug))?.task.doubt).toBe("the printer is ill");
  });

  test("a letter in its conversation is told to the owner, a machine's is not", async () => {
    const [taken] = await takeIn(
      house.db,
      [{ raw: rawLetter({ id: "h1@council.example", subject: "Hats" }) }],
      house.shared,
      clock,
    );
    const letterId = taken && taken.outcome !== "refused" ? taken.letterId : "";
    const { rows } = await house.db.execute<{ id: string; slip: string }>(
      `select s.conversation_id as id, s.id as slip from slip s where s.letter_id = '${letterId}' order by s.start limit 1`,
    );
    const kept = await must(house.ines, "keep", { conversationId: rows[0]!.id, slipIds: [rows[0]!.slip] });
    const { slug } = kept.made[0]!;
    const again = (more: object) => rawLetter({ subject: "Re: Hats", refs: "h1@council.example", ...more });
    const bring = (raw: Uint8Array) => {
      clock += 60_000;
      return takeIn(house.db, [{ raw }], house.shared, clock);
    };
    await bring(again({ body: "Ines,\n\nWednesday noon would be ideal.\n\nColm" }));
    await bring(
      again({ from: "Colm Hartnell <colm@council.example>\r\nAuto-Submitted: auto-replied", body: "I am away." }),
    );
    const owner = (await sheet(slug))!.task.owner!.id;
    expect((await heard(owner, slug))[0]).toMatchObject({
      what: "wrote again",
      by: { name: "Colm Hartnell", isTeam: false },
      words: expect.stringContaining("Wednesday noon"),
    });
  });

  test("a slip is kept and handed over in one step, to two people as two tasks, or not at all", async () => {
    const raw = rawLetter({
      id: "s1@council.example",
      subject: "Posts",
      body: "Hi Ines,\n\nCould you count the posts?\n\nColm",
    });
    await takeIn(house.db, [{ raw }], house.shared, clock);
    const [slip] = await rowsOf<{ id: string; conversationId: string }>(
      house.db,
      sql`select s.id, s.conversation_id as "conversationId" from slip s join letter l on l.id = s.letter_id where l.message_id = 's1@council.example'`,
    );
    const { conversationId, id } = slip!;
    const due = { day: "2026-11-27", time: "12:00", zone: "Europe/London" };
    const keep = (hand: object) => ({ conversationId, slipIds: [id], hand: { note: "east side first", due, ...hand } });
    expect(await says(house.ines, "keep", keep({ toIds: [house.suki, house.suki] }))).toContain("somebody twice");
    expect(await says(house.ines, "keep", keep({ toIds: [house.suki], due: { ...due, day: "2026-02-30" } }))).toContain(
      "There is no",
    );
    const done = await must(house.ines, "keep", keep({ toIds: [house.suki, jonah] }));
    expect(done.made).toHaveLength(2);
    const sheets = await Promise.all(done.made.map((one) => sheet(one.slug)));
    expect(
      sheets.map((one) => [one?.task.owner?.name, one?.task.due?.day, one?.together.length, one?.passage?.from]),
    ).toEqual([
      ["Suki Aldane", "2026-11-27", 1, "Colm Hartnell"],
      ["Jonah Prewitt", "2026-11-27", 1, "Colm Hartnell"],
    ]);
    expect(await heard(jonah, done.made[1]!.slug)).toMatchObject([{ words: "gave it to you: “east side first”" }]);
  });

  test("asked of somebody outside by letter it is a wait in the same step, and a task again when that is taken back", async () => {
    process.env.JAM_SMTP_OUT = "smtp://127.0.0.1:25";
    const { id: taskId, slug } = await made({ title: "Paint list", ownerId: house.ines });
    const [colm] = await rowsOf<{ id: string }>(
      house.db,
      sql`select id from correspondent where address = 'colm@council.example'`,
    );
    const letter = {
      to: [{ name: "Colm Hartnell", address: "colm@council.example" }],
      cc: [],
      subject: "Paint list",
      text: "Would you take this on for us?",
      from: "ines@house.example",
      answersId: null,
      taskId,
      finishes: false,
      dealsWith: false,
      waitsForId: colm!.id,
    };
    expect(await says(house.ines, "write", { ...letter, to: [{ name: "", address: "ada@beech.example" }] })).not.toBe(
      "done",
    );
    await must(house.ines, "write", letter);
    expect((await sheet(slug))?.task).toMatchObject({
      side: "theirs",
      theirs: { name: "Colm Hartnell" },
      owner: { id: house.ines },
    });
    expect((await sheet(slug))?.happened[0]?.words).toBe("asked Colm Hartnell for it by letter, and waits");
    await must(house.ines, "undo", { entryId: null });
    expect((await sheet(slug))?.task).toMatchObject({ side: "ours", theirs: null, owner: { id: house.ines } });
  });

  test("finished, and what follows stands in the same conversation and project", async () => {
    const { id: taskId, slug } = await made({ title: "Measure the gate", projectId: secret });
    const next = { title: "order the gate", ownerId: house.suki, due: null, priority: "high" };
    const done = await must(house.ines, "finish and next", { taskId, ...next });
    expect((await sheet(slug))?.task.state).toBe("done");
    const follows = await sheet(done.made[0]!.slug);
    expect(follows?.task).toMatchObject({ projectId: secret, priority: "high", owner: { name: "Suki Aldane" } });
    expect(follows?.happened[0]?.words).toBe("made it to follow another");
    expect(await whats(house.suki, done.made[0]!.slug)).toEqual(["given"]);
    expect(await says(house.ines, "finish and next", { taskId, ...next })).toContain("is done already");
  });

  test("many are handed over in one step, all or none, and undone together", async () => {
    const many = [await made({ title: "One" }), await made({ title: "Two" }), await made({ title: "Three" })];
    const taskIds = many.map((one) => one.id);
    const owners = async () => Promise.all(many.map(async (one) => (await sheet(one.slug))!.task.owner?.id ?? null));
    const finished = await made({ title: "Finished" });
    await must(house.ines, "change task", { taskId: finished.id, ...state("done") });
    const input = { toId: jonah, note: "for the yard" };
    expect(await says(house.ines, "hand over many", { taskIds: [...taskIds, finished.id], ...input })).toMatch(
      /is done/,
    );
    expect(await says(house.ines, "hand over many", { taskIds: [...taskIds, newId()], ...input })).toMatch(/not here/);
    expect(await owners()).toEqual([null, null, null]);
    await must(house.ines, "hand over many", { taskIds, ...input });
    expect(await owners()).toEqual([jonah, jonah, jonah]);
    for (const one of many)
      expect(await heard(jonah, one.slug)).toMatchObject([{ what: "given", words: "gave it to you: “for the yard”" }]);
    expect(await says(house.ines, "hand over many", { taskIds, ...input })).toMatch(/have all of these already/);
    await must(house.ines, "undo", { entryId: null });
    expect(await owners()).toEqual([null, null, null]);
    expect(await heard(jonah, many[0]!.slug)).toEqual([]);
  });

  test("kept posted on a project, one hears of each of its tasks; not of a project that is closed to them", async () => {
    const open = newId();
    await house.db.insert(project).values({ id: open, name: "Yard", isPrivate: false, words: [] });
    const place = { projectId: open, workstreamId: null, personId: mair, hears: true };
    await must(house.ines, "keep posted at", place);
    const { id, slug } = await made({ projectId: open });
    expect((await sheet(slug))!.hears).toContainEqual({
      personId: mair,
      why: "kept posted",
      loudness: "later",
      at: "Yard",
    });
    await must(house.suki, "change task", { taskId: id, ...state("done") });
    expect(await whats(mair, slug)).toEqual(["done"]);
    expect(await says(house.ines, "keep posted at", { ...place, projectId: secret })).toMatch(/may not see Tender/);
    await must(mair, "keep posted at", { ...place, hears: false });
    const after = await made({ projectId: open });
    await must(house.suki, "change task", { taskId: after.id, ...state("done") });
    expect(await whats(mair, after.slug)).toEqual([]);
  });

  test("a task held by another goes on when that is here, and its owner is told; nothing holds itself", async () => {
    const price = await made({ title: "Price of the sand", ownerId: house.suki });
    const order = await made({ title: "Order the sand", ownerId: jonah });
    await must(jonah, "hold", { taskId: order.id, heldById: price.id });
    expect((await sheet(order.slug))!.task.heldBy).toMatchObject({ reference: price.reference, by: "Suki Aldane" });
    expect(await says(jonah, "hold", { taskId: price.id, heldById: order.id })).toMatch(/waits for/);
    expect(await says(jonah, "hold", { taskId: order.id, heldById: order.id })).toMatch(/for itself/);
    await must(house.suki, "change task", { taskId: price.id, ...state("done") });
    expect((await sheet(order.slug))!.task.heldBy).toBeNull();
    expect((await heard(jonah, order.slug)).filter((one) => one.what !== "given")).toMatchObject([
      { what: "freed", words: "finished what held it: Price of the sand", loudness: "at once" },
    ]);
    expect(await says(jonah, "hold", { taskId: order.id, heldById: price.id })).toMatch(/done already/);
  });

  test("how far a task is, is said in per cent where no checklist says it", async () => {
    const { id: taskId, slug } = await made({ ownerId: jonah });
    await must(jonah, "how far", { taskId, percent: 40 });
    expect((await sheet(slug))!.task).toMatchObject({ percent: 40, state: "under way" });
    expect(await says(jonah, "how far", { taskId, percent: 101 })).toMatch(/0 to 100/);
    expect(await says(jonah, "how far", { taskId, percent: 12.5 })).toMatch(/0 to 100/);
    await must(jonah, "step", { taskId, change: { kind: "add", text: "Measure" } });
    expect(await says(jonah, "how far", { taskId, percent: 50 })).toMatch(/checklist says/);
    expect((await sheet(slug))!.happened.map((one) => one.words)).toContain("says it is 40 per cent done");
  });

  test("a task can say that it begins later; not after its due, and whoever owns it is reminded of it then", async () => {
    const due = { day: "2026-12-04", time: null, zone: "Europe/London" };
    const { id: taskId, slug } = await made({ ownerId: jonah, due });
    await must(jonah, "start on", { taskId, day: "2026-11-30" });
    expect((await sheet(slug))!.task.startDay).toBe("2026-11-30");
    expect((await sheet(slug))!.reminders[0]).toMatchObject({
      personId: jonah,
      at: Date.parse("2026-11-30T08:00:00Z"),
    });
    expect(await says(jonah, "start on", { taskId, day: "2026-12-07" })).toMatch(/due Fri 4 Dec, before that/);
    expect(await says(jonah, "start on", { taskId, day: "2026-02-30" })).toMatch(/no 2026-02-30/);
    await giveReminders(house.db, Date.parse("2026-11-30T07:59:00Z"));
    await giveReminders(house.db, Date.parse("2026-11-30T08:00:30Z"));
    expect((await heard(jonah, slug)).filter((one) => one.what === "reminder")).toMatchObject([
      { words: "can begin today" },
    ]);
    await must(jonah, "undo", { entryId: null });
    expect((await sheet(slug))!.task.startDay).toBeNull();
  });
});
