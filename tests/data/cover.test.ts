import { sql } from "drizzle-orm";
import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { mailNotices } from "@/acts/mail-notices";
import { perform } from "@/acts/perform";
import { addPerson } from "@/acts/set-up";
import { takeIn } from "@/acts/take-in";
import { turnAbsences } from "@/acts/turn-absences";
import { wayInNamed } from "@/acts/ways-in";
import { newId } from "@/data/ids";
import { noticesFor } from "@/data/queries/notices";
import { sortPage } from "@/data/queries/sort";
import { taskSheet } from "@/data/queries/tasks";
import { coverFor, seeWhileAway } from "@/data/queries/while-away";
import { rowsOf } from "@/data/rows";
import { project, projectMember } from "@/data/schema";
import { ENGINES, NOW, rawLetter, type TestHouse, testHouse } from "./test-house";

const DAY = 86_400_000;
const BASE = "https://jam.example";

describe.each(ENGINES)("on %s", (engine) => {
  let house: TestHouse;
  let lotte: string;
  let clock = NOW;
  const secret = newId();
  const saved = { domain: process.env.JAM_DOMAIN, out: process.env.JAM_SMTP_OUT };
  beforeAll(async () => {
    process.env.JAM_DOMAIN = "house.example";
    process.env.JAM_SMTP_OUT = "smtp://localhost:1";
    house = await testHouse(engine);
    lotte = (await addPerson(house.db, { name: "Lotte Fairweather", address: "lotte@house.example" }))!;
    await house.db.insert(project).values({ id: secret, name: "Tender", isPrivate: true, words: [] });
    await house.db.insert(projectMember).values({ projectId: secret, personId: lotte });
    await mailNotices(house.db, BASE, NOW);
  });
  afterAll(async () => {
    for (const [name, value] of [
      ["JAM_DOMAIN", saved.domain],
      ["JAM_SMTP_OUT", saved.out],
    ] as const)
      if (value === undefined) delete process.env[name];
      else process.env[name] = value;
    await house.close();
  });

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
  const make = async (by: string, title: string, more: object = {}) => {
    const input = { title, ownerId: lotte, due: null, priority: "normal", projectId: null, workstreamId: null };
    return (await must(by, "make task", { ...input, ...more })).made[0]!;
  };
  const happened = async (slug: string) =>
    (await taskSheet(house.db, { personId: house.ines }, Number(slug.split("-")[1])))!.happened.map(
      (one) => `${one.by.name} ${one.words}`,
    );
  const toLotte = () =>
    rowsOf<{ subject: string; text: string }>(
      house.db,
      sql`select subject, text from outgoing where is_automatic and "to" @> '[{"address": "lotte@house.example"}]'::jsonb order by created_at, id`,
    );
  const away = { fromDay: "2026-11-23", backDay: "2026-11-27", withMailboxes: true };

  test("what cannot be is refused in a sentence, and nothing is kept", async () => {
    const input = { personId: lotte, coverId: house.suki, ...away };
    expect(await says(house.suki, "go away", input)).toMatch(/may not/);
    expect(await says(lotte, "go away", { ...input, backDay: "2026-11-24" })).toMatch(/past/);
    expect(await says(lotte, "go away", { ...input, fromDay: "2026-11-31" })).toMatch(/There is no 2026-11-31/);
    expect(await says(lotte, "go away", { ...input, coverId: lotte })).toMatch(/cannot cover for yourself/);
    expect(await says(lotte, "go away", { ...input, coverId: newId() })).toMatch(/not here/);
    expect(await rowsOf(house.db, sql`select 1 from away`)).toEqual([]);
  });

  test("who covers sees the work, acts for who is away, and is told in their place; need to know holds", async () => {
    const task = await make(house.ines, "Send the receipt");
    await takeIn(
      house.db,
      [{ raw: rawLetter({ subject: "For Lotte alone" }) }],
      await wayInNamed(house.db, "lottes", "mailbox", lotte),
      NOW,
    );
    const letters = async (who: string) =>
      (await sortPage(house.db, { personId: who }, "sort", null)).rows.map((row) => row.subject);
    expect(await letters(house.suki)).toEqual([]);
    await must(lotte, "go away", { personId: lotte, coverId: house.suki, ...away });
    expect(await letters(house.suki)).toEqual(["For Lotte alone"]);
    expect(await letters(house.ines)).toEqual([]);

    // Given to Lotte: she stands in the list of it, and Suki, who covers, hears at once.
    const given = await make(house.ines, "Order the paper");
    const [told] = (await noticesFor(house.db, { personId: house.suki }, clock)).notices.filter(
      (one) => one.slug === given.slug,
    );
    expect(told).toMatchObject({
      why: "covers for",
      forWhom: "Lotte Fairweather",
      words: expect.stringContaining("gave it to Lotte"),
    });

    // Suki takes on, notes and passes on in her place, and the history says so.
    const chained = await make(house.ines, "Count the chairs", { ownerId: null });
    await must(house.ines, "hand over", { taskId: chained.id, toIds: [lotte], note: "" });
    await must(house.suki, "take on", { taskId: chained.id });
    expect((await happened(chained.slug))[0]).toBe("Suki Aldane for Lotte Fairweather: took it on");
    expect(await says(house.ines, "take on", { taskId: chained.id })).toMatch(/only its owner/);
    await must(house.suki, "ask back", { taskId: chained.id, question: "Which hall?" });
    const asked = await rowsOf<{ name: string }>(
      house.db,
      sql`select p.name from comment c join person p on p.id = c.person_id where c.task_id = ${chained.id}`,
    );
    expect(asked).toEqual([{ name: "Suki Aldane" }]);
    // A further note of who covers answers nothing; one of who gave it does.
    const open = async () =>
      (await taskSheet(house.db, { personId: house.ines }, Number(chained.slug.split("-")[1])))!.task.chain.at(-1)!
        .question;
    await must(house.suki, "comment", { taskId: chained.id, text: "The large one?" });
    expect(await open()).toBe("Which hall?");
    await must(house.ines, "comment", { taskId: chained.id, text: "The large one." });
    expect(await open()).toBe("");
    // Where who gave it covers, too, they answer as themselves.
    const both = await make(house.suki, "Hang the bunting", { ownerId: null });
    await must(house.suki, "hand over", { taskId: both.id, toIds: [lotte], note: "" });
    await must(lotte, "ask back", { taskId: both.id, question: "Indoors?" });
    await must(house.suki, "comment", { taskId: both.id, text: "Indoors." });
    const answered = await taskSheet(house.db, { personId: house.ines }, Number(both.slug.split("-")[1]));
    expect(answered!.task.chain.at(-1)).toMatchObject({ by: house.suki, question: "" });
    await must(house.suki, "comment", { taskId: task.id, text: "It is in the post." });
    await must(house.suki, "change task", { taskId: task.id, change: { field: "state", to: "done" }, was: null });
    expect((await happened(task.slug))[0]).toBe("Suki Aldane for Lotte Fairweather: finished it");

    // A task of a project that Suki may not see stays closed, and nothing is told of it.
    const hidden = await must(lotte, "make task", {
      title: "Tender sum",
      ownerId: lotte,
      due: null,
      priority: "normal",
      projectId: secret,
      workstreamId: null,
    });
    expect(await taskSheet(house.db, { personId: house.suki }, Number(hidden.made[0]!.slug.split("-")[1]))).toBeNull();
    const seen = await noticesFor(house.db, { personId: house.suki }, clock);
    expect(seen.notices.filter((one) => one.slug === hidden.made[0]!.slug)).toEqual([]);
  });

  test("her letters say for whom she writes", async () => {
    const wait = await make(house.ines, "Price of the paper");
    await must(house.suki, "write", {
      to: [{ name: "Colm", address: "colm@council.example" }],
      cc: [],
      subject: "Paper",
      text: "Could you send it?",
      from: "suki@house.example",
      answersId: null,
      taskId: wait.id,
      finishes: false,
      dealsWith: false,
    });
    const [letter] = await rowsOf<{ name: string }>(
      house.db,
      sql`select from_name as name from outgoing where task_id = ${wait.id} and not is_automatic`,
    );
    expect(letter?.name).toBe("Suki Aldane for Lotte Fairweather");
  });

  test("nothing is mailed to who is away; back again, one letter says what happened, and the cover is over", async () => {
    await mailNotices(house.db, BASE, clock + 30 * 60_000);
    expect(await toLotte()).toEqual([]);
    const cover = await coverFor(house.db, { personId: house.suki }, clock);
    expect(cover.covering[0]).toMatchObject({ away: { name: "Lotte Fairweather" }, letters: 1 });
    expect(cover.covering[0]!.done.map((one) => one.words)).toContain("finished it");

    // Whoever covers was told so, once.
    await turnAbsences(house.db, BASE, clock);
    await turnAbsences(house.db, BASE, clock + 15_000);
    const told = await rowsOf<{ subject: string; text: string }>(
      house.db,
      sql`select subject, text from outgoing where is_automatic and subject like 'You cover for%'`,
    );
    expect(told).toHaveLength(1);
    expect(told[0]).toMatchObject({ subject: "You cover for Lotte Fairweather, Mon 23 Nov until Fri 27 Nov" });
    expect(told[0]!.text).toContain("letters to their own mailboxes stand in your Sort");
    const back = NOW + 3 * DAY;
    // Twice, as after a restart in the middle: it happens once.
    await turnAbsences(house.db, BASE, back);
    await turnAbsences(house.db, BASE, back + 15_000);
    await mailNotices(house.db, BASE, back + 30 * 60_000);
    const letters = await toLotte();
    expect(letters).toHaveLength(1);
    expect(letters[0]!.text).toContain("Suki Aldane finished it: Send the receipt");
    expect(letters[0]!.text).toContain("Order the paper");
    expect((await sortPage(house.db, { personId: house.suki }, "sort", null)).rows).toEqual([]);
    clock = back;
    const open = await make(house.ines, "After her return");
    expect(
      (await noticesFor(house.db, { personId: house.suki }, clock)).notices.filter((one) => one.slug === open.slug),
    ).toEqual([]);
    const own = (await coverFor(house.db, { personId: lotte }, clock)).own;
    expect(own?.given.map((task) => task.title)).toContain("Order the paper");
    await seeWhileAway(house.db, { personId: lotte }, clock);
    expect((await coverFor(house.db, { personId: lotte }, clock)).own).toBeNull();
  });

  test("back early or called off, by oneself or who leads; undone it stands again", async () => {
    await house.db.execute(sql`update person set is_lead = true where id = ${house.ines}`);
    const next = { fromDay: "2026-12-07", backDay: "2026-12-11", coverId: house.suki, withMailboxes: true };
    await must(house.ines, "go away", { personId: lotte, ...next });
    const [planned] = (await coverFor(house.db, { personId: lotte }, clock)).absences;
    // Who leads may say it, but never opens somebody's own mailboxes.
    expect(planned).toMatchObject({ state: "planned", withMailboxes: false });
    expect(await says(lotte, "go away", { personId: lotte, ...next })).toMatch(/away on some of these days already/);
    expect(await says(house.suki, "go away", { personId: house.suki, ...next, coverId: null })).toBe("done");
    expect(await says(house.suki, "come back", { awayId: planned!.id })).toMatch(/may not/);
    await must(lotte, "come back", { awayId: planned!.id });
    expect((await coverFor(house.db, { personId: lotte }, clock)).absences.map((one) => one.personId)).toEqual([
      house.suki,
    ]);
    await must(lotte, "undo", { entryId: null });
    expect((await coverFor(house.db, { personId: lotte }, clock)).absences).toHaveLength(2);
  });
});
