import { sql } from "drizzle-orm";
import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { mailNotices } from "@/acts/mail-notices";
import { perform } from "@/acts/perform";
import { takeIn } from "@/acts/take-in";
import { PLAIN_WEEK } from "@/core/time/day";
import { setNoticeMail } from "@/data/queries/notice-mail";
import { noticesFor } from "@/data/queries/notices";
import { closeDay, finishRound, roundStart } from "@/data/queries/rounds";
import { sortPage } from "@/data/queries/sort";
import { rowsOf } from "@/data/rows";
import { ENGINES, NOW, rawLetter, type TestHouse, testHouse } from "./test-house";

const MINUTE = 60_000;
const BASE = "https://jam.example";

describe.each(ENGINES)("on %s", (engine) => {
  let house: TestHouse;
  const domain = process.env.JAM_DOMAIN;
  beforeAll(async () => {
    process.env.JAM_DOMAIN = "house.example";
    house = await testHouse(engine);
    await mailNotices(house.db, BASE, NOW);
  });
  afterAll(async () => {
    if (domain === undefined) delete process.env.JAM_DOMAIN;
    else process.env.JAM_DOMAIN = domain;
    await house.close();
  });

  const clock = (at: number) => ({ at, zone: "Europe/London", calendar: PLAIN_WEEK });
  const must = async (who: string, name: string, input: unknown, at: number) => {
    const done = await perform(house.db, { personId: who, now: at }, name, input);
    if (!done.ok) throw new Error(done.says);
    return done;
  };
  const make = async (title: string, at: number, more: object = {}) => {
    const input = { title, ownerId: house.suki, due: null, priority: "normal", projectId: null, workstreamId: null };
    return (await must(house.ines, "make task", { ...input, ...more }, at)).made[0]!;
  };
  const mailed = async () =>
    (
      await rowsOf<{ subject: string }>(
        house.db,
        sql`select subject from outgoing where is_automatic and "to" @> '[{"address": "suki@house.example"}]'::jsonb order by created_at, id`,
      )
    ).map((one) => one.subject);

  test("a round begins with what came, what is due and what was given, and ends with its figures", async () => {
    const day = (of: string) => ({ due: { day: of, time: null, zone: "Europe/London" } });
    await make("Over", NOW, { ownerId: house.ines, ...day("2026-11-20") });
    await make("Tomorrow", NOW, { ownerId: house.ines, ...day("2026-11-25") });
    const given = await make("Given", NOW, { ownerId: null });
    await must(house.ines, "hand over", { taskId: given.id, toIds: [house.suki], note: "" }, NOW);
    await takeIn(
      house.db,
      [{ raw: rawLetter({ subject: "One" }) }, { raw: rawLetter({ subject: "Two" }) }],
      house.shared,
      NOW + MINUTE,
    );
    const start = await roundStart(house.db, { personId: house.ines }, clock(NOW + 2 * MINUTE));
    expect(start).toMatchObject({ name: "Morning round", came: 2, dealt: 0, left: 2, closedUntil: null });
    expect(start.due.map((task) => task.title)).toEqual(["Over"]);
    expect(start.tomorrow.map((task) => task.title)).toEqual(["Tomorrow"]);
    const sukis = await roundStart(house.db, { personId: house.suki }, clock(NOW + 2 * MINUTE));
    expect(sukis.given.map((task) => task.title)).toEqual(["Given"]);

    await must(house.suki, "hand back", { taskId: given.id, reason: "no room" }, NOW + 3 * MINUTE);
    const [row] = (await sortPage(house.db, { personId: house.ines }, "sort", null)).rows;
    await must(house.ines, "nothing to do", { conversationId: row!.id }, NOW + 6 * MINUTE);
    await finishRound(house.db, { personId: house.ines }, clock(NOW + 7 * MINUTE));
    const next = await roundStart(house.db, { personId: house.ines }, clock(NOW + 8 * MINUTE));
    expect(next.earlier).toMatchObject([{ what: "round", came: 2, dealt: 1, left: 1, minutes: 7 }]);
    expect(next).toMatchObject({ since: NOW + 7 * MINUTE, came: 0, dealt: 0, left: 1, minutes: 0 });
    expect(next.back.map((task) => task.title)).toEqual(["Given"]);
  });

  test("a closed day is quiet until the next working morning, and can be opened again", async () => {
    const evening = Date.parse("2026-11-24T17:30:00Z");
    await closeDay(house.db, { personId: house.suki }, true, clock(evening));
    const { closedUntil, earlier } = await roundStart(house.db, { personId: house.suki }, clock(evening));
    expect(closedUntil).toBe(Date.parse("2026-11-25T08:00:00Z"));
    expect(earlier[0]).toMatchObject({ what: "day" });
    await make("After hours", evening);
    const before = await mailed();
    await mailNotices(house.db, BASE, evening + 20 * MINUTE);
    expect(await mailed()).toEqual(before);
    expect((await noticesFor(house.db, { personId: house.suki }, evening)).isQuiet).toBe(true);
    await closeDay(house.db, { personId: house.suki }, false, clock(evening));
    await mailNotices(house.db, BASE, evening + 21 * MINUTE);
    expect((await mailed()).length).toBeGreaterThan(before.length);
  });

  test("each sort of news comes as somebody wishes, never in quiet hours, and nothing is lost by waiting", async () => {
    const at = Date.parse("2026-11-25T10:00:00Z");
    const times = ["13:00"];
    const wish = (more: object) =>
      setNoticeMail(house.db, { personId: house.suki }, { mail: "as it comes", times, ...more });
    await wish({ wishes: { mine: "digest", "own work": "never" } });
    const task = await make("Wished for later", at);
    await must(house.ines, "comment", { taskId: task.id, text: "A note in passing." }, at + MINUTE);
    const before = await mailed();
    await mailNotices(house.db, BASE, at + 10 * MINUTE);
    expect(await mailed()).toEqual(before);
    await mailNotices(house.db, BASE, Date.parse("2026-11-25T13:00:30Z"));
    const digest = await rowsOf<{ text: string }>(
      house.db,
      sql`select text from outgoing where is_automatic and "to" @> '[{"address": "suki@house.example"}]'::jsonb order by created_at desc, id desc limit 1`,
    );
    expect(digest[0]!.text).toContain("Wished for later");
    expect(digest[0]!.text).not.toContain("A note in passing");
    const listed = (await noticesFor(house.db, { personId: house.suki }, at)).notices;
    expect(listed.map((one) => one.words).join()).toContain("A note in passing");

    await wish({ quietFrom: "20:00", quietUntil: "07:00" });
    const night = Date.parse("2026-11-25T22:00:00Z");
    await make("Thought of at night", night);
    const quiet = await mailed();
    await mailNotices(house.db, BASE, night + 10 * MINUTE);
    expect(await mailed()).toEqual(quiet);
    await mailNotices(house.db, BASE, Date.parse("2026-11-26T07:01:00Z"));
    expect((await mailed()).at(-1)).toContain("Thought of at night");
  });
});
