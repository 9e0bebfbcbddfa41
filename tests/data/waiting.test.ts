import { sql } from "drizzle-orm";
import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { perform } from "@/acts/perform";
import { takeIn } from "@/acts/take-in";
import { newId } from "@/data/ids";
import { type WaitingLook, waitingFigures, waitingPage } from "@/data/queries/waiting";
import { rowsOf } from "@/data/rows";
import { correspondent, project, projectMember } from "@/data/schema";
import { ENGINES, NOW, rawLetter, type TestHouse, testHouse } from "./test-house";

const DAY = 86_400_000;
const LOOK: WaitingLook = { from: "anybody", personId: null, projectId: null, forId: null, order: "silence" };
const CALENDAR = { workingDays: [1, 2, 3, 4, 5], holidays: [] };

describe.each(ENGINES)("on %s", (engine) => {
  let house: TestHouse;
  let colm: string;
  let taskId: string;
  beforeAll(async () => {
    process.env.JAM_SMTP_OUT = "smtp://127.0.0.1:25";
    house = await testHouse(engine);
    // Colm promised on Monday 16 November to send the number on Thursday 19.
    await takeIn(
      house.db,
      [
        {
          raw: rawLetter({
            id: "w1@council.example",
            subject: "Crane",
            date: "Mon, 16 Nov 2026 09:00:00 +0000",
            body: "Hi Ines 👋🏽👋🏽,\n\nI'll send you the permit number on Thursday.\n\nColm",
          }),
        },
      ],
      house.shared,
      NOW - 8 * DAY,
    );
    const [slip] = await rowsOf<{ id: string; conversationId: string }>(
      house.db,
      sql`select id, conversation_id as "conversationId" from slip limit 1`,
    );
    const kept = await act("keep", { conversationId: slip!.conversationId, slipIds: [slip!.id] }, NOW - 8 * DAY);
    taskId = kept.made[0]!.id;
    const [known] = await rowsOf<{ id: string }>(house.db, sql`select id from correspondent`);
    colm = known!.id;
  });
  afterAll(() => house.close());

  const act = async (name: string, input: unknown, now = NOW, personId = house.ines) => {
    const done = await perform(house.db, { personId, now }, name, input);
    if (!done.ok) throw new Error(done.says);
    return done;
  };
  const says = async (name: string, input: unknown, now = NOW, personId = house.ines) => {
    const done = await perform(house.db, { personId, now }, name, input);
    return done.ok ? "done" : done.says;
  };
  const page = (look: Partial<WaitingLook> = {}, at = NOW, personId = house.ines) =>
    waitingPage(house.db, { personId }, { ...LOOK, ...look }, null, { at, zone: "Europe/London", calendar: CALENDAR });
  const row = async (at = NOW) => (await page({}, at)).rows.find((one) => one.task.id === taskId)!;
  const chase = (text: string, now: number, more: object = {}, who = house.ines) =>
    says(
      "write",
      {
        to: [{ name: "Colm Hartnell", address: "colm@council.example" }],
        cc: [],
        subject: "Re: Crane",
        text,
        from: who === house.ines ? "ines@house.example" : "suki@house.example",
        answersId: null,
        taskId,
        finishes: false,
        dealsWith: false,
        chases: true,
        ...more,
      },
      now,
      who,
    );

  test("a promise that is broken: its silence, its line, its words, and a letter for today", async () => {
    expect(await row()).toMatchObject({
      from: { name: "Colm Hartnell" },
      isOutside: true,
      forWhom: { name: "Ines Valdarno" },
      silence: 6,
      isLong: true,
      isPromise: true,
      due: { day: "2026-11-19" },
      next: { what: "letter", day: "2026-11-24", why: "promise broken" },
      events: [{ what: "they wrote", at: Date.parse("2026-11-16T09:00:00Z") }],
      quote: { words: expect.stringMatching(/^I.ll send you the permit number on Thursday/), isTheirs: true },
      chases: 0,
    });
  });

  test("chased it is quiet for two working days; a second person chases no second time, a third letter in a week is refused", async () => {
    expect(await chase("How far is it?", NOW)).toBe("done");
    expect(await row()).toMatchObject({ chases: 1, next: { what: "letter", day: "2026-11-26" } });
    expect(await chase("And?", NOW + 3_600_000, {}, house.suki)).toContain(
      "Ines Valdarno chased about this within a day",
    );
    expect(await chase("And?", NOW + 2 * DAY)).toBe("done");
    expect(await row(NOW + 2 * DAY)).toMatchObject({ chases: 2, next: { what: "ring" } });
    expect(await chase("Now?", NOW + 3 * DAY + 1)).toContain("was chased 2 times in five working days");
    await act("undo", { entryId: null }, NOW + 3 * DAY);
    expect(await row(NOW + 3 * DAY)).toMatchObject({ chases: 1 });
  });

  test("a call in vain does not end the silence, one that reached them does and moves the day", async () => {
    const at = NOW + 6 * DAY;
    await act("note a call", { taskId, text: "rang, no answer", isReached: false }, at);
    expect(await row(at)).toMatchObject({ silence: 10 });
    const due = { day: "2026-12-03", time: null, zone: "Europe/London" };
    await act("note a call", { taskId, text: "will send on the 3rd", isReached: true, due }, at + 60_000);
    expect(await row(at + 60_000)).toMatchObject({
      silence: 0,
      due: { day: "2026-12-03" },
      next: { what: "letter", day: "2026-12-04", why: "promise broken" },
    });
    expect((await row(at + 60_000)).events.map((event) => event.what)).toEqual([
      "they wrote",
      "chased",
      "rang",
      "they wrote",
    ]);
    expect(await says("note a call", { taskId, text: " ", isReached: true })).toContain("Say in a few words");
  });

  test("a letter of theirs ends the silence; who is away is not chased, and their silence pauses", async () => {
    const again = rawLetter({
      subject: "Re: Crane",
      refs: "w1@council.example",
      date: "Mon, 30 Nov 2026 15:00:00 +0000",
      body: "Ines,\n\nIt is with the police now.\n\nColm",
    });
    await takeIn(house.db, [{ raw: again }], house.shared, NOW + 7 * DAY);
    expect((await row(NOW + 7 * DAY)).heardAt).toBe(Date.parse("2026-11-30T15:00:00Z"));
    // What they wrote about it elsewhere is read before they are chased; a letter about hats is not in the way.
    const elsewhere = (subject: string, words: string) => {
      const body = `Ines,\n\n${words}\n\nColm`;
      const raw = rawLetter({ subject, date: "Tue, 01 Dec 2026 09:00:00 +0000", body });
      return takeIn(house.db, [{ raw }], house.shared, NOW + 8 * DAY);
    };
    await house.db.execute(sql`update conversation set place = 'dealt with'`);
    await elsewhere("Hats", "Could you send us ten hats?");
    expect(await row(NOW + 8 * DAY)).toMatchObject({ inSortId: null });
    await elsewhere("Crane permit", "About the permit number: could you ring me?");
    const after = await row(NOW + 8 * DAY);
    expect(after).toMatchObject({ next: { what: "read their letter" }, inSortId: expect.any(String) });
    await house.db.execute(sql`update correspondent set away_until = '2026-12-10' where id = ${colm}`);
    await house.db.execute(sql`update conversation set place = 'dealt with'`);
    expect((await row(NOW + 10 * DAY)).next).toEqual({ what: "wait until back", day: "2026-12-10", why: "away" });
    expect(await chase("Hello?", NOW + 10 * DAY)).toContain("is away until Thu 10 Dec");
    await house.db.execute(sql`update correspondent set away_until = null where id = ${colm}`);
  });

  test("a wait by hand, a task that was handed over, and need to know", async () => {
    await act("make task", {
      title: "Proof of the sign",
      ownerId: null,
      theirsId: colm,
      due: null,
      priority: "normal",
      projectId: null,
      workstreamId: null,
    });
    const secret = newId();
    await house.db.insert(project).values({ id: secret, name: "Tender", isPrivate: true, words: [] });
    await house.db.insert(projectMember).values({ projectId: secret, personId: house.ines });
    const stranger = newId();
    await house.db.insert(correspondent).values({ id: stranger, name: "Ada Lund", address: "noreply@beech.example" });
    const base = { due: null, priority: "normal", workstreamId: null };
    await act("make task", { ...base, title: "Sum", ownerId: null, theirsId: stranger, projectId: secret });
    await act("make task", { ...base, title: "Count", ownerId: house.suki, projectId: null });
    const titles = async (look: Partial<WaitingLook>, who = house.ines) =>
      (await page(look, NOW, who)).rows.map((one) => one.task.title).sort();
    expect(await titles({ from: "outside" })).toHaveLength(3);
    expect(await titles({ from: "the team" })).toEqual(["Count"]);
    expect(await titles({}, house.suki)).not.toContain("Sum");
    expect(await titles({ forId: house.suki }, house.suki)).toEqual([]);
    expect(await titles({ personId: colm })).toHaveLength(2);
    expect(await titles({ projectId: secret })).toEqual(["Sum"]);
    expect((await page({ personId: stranger })).rows[0]?.next).toMatchObject({ what: "ring", why: "no address" });
    expect((await page({ order: "person" })).rows.map((one) => one.from?.name)).toEqual([
      "Ada Lund",
      "Colm Hartnell",
      "Colm Hartnell",
      "Suki Aldane",
    ]);
    const now = { at: NOW, zone: "Europe/London", calendar: CALENDAR };
    expect(await waitingFigures(house.db, { personId: house.suki }, LOOK, now)).toMatchObject({ all: 3, outside: 2 });
  });
});
