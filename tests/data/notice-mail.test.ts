import { sql } from "drizzle-orm";
import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { mailNotices } from "@/acts/mail-notices";
import { perform } from "@/acts/perform";
import { takeIn } from "@/acts/take-in";
import { parseLetter } from "@/core/letters/parse-letter";
import { newId } from "@/data/ids";
import { answerLink } from "@/data/queries/answer-links";
import { setNoticeMail } from "@/data/queries/notice-mail";
import { seeNotices } from "@/data/queries/notices";
import { sortCount } from "@/data/queries/sort";
import { taskSheet } from "@/data/queries/tasks";
import { rowsOf } from "@/data/rows";
import { project, projectMember } from "@/data/schema";
import { sendDue } from "@/post/outbox";
import { ENGINES, NOW, type TestHouse, testHouse } from "./test-house";

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

  const act = async (who: string, name: string, input: unknown, now: number) => {
    const done = await perform(house.db, { personId: who, now }, name, input);
    if (!done.ok) throw new Error(done.says);
    return done;
  };
  const make = async (title: string, now: number, more: object = {}) => {
    const input = { title, ownerId: house.suki, due: null, priority: "normal", projectId: null, workstreamId: null };
    return (await act(house.ines, "make task", { ...input, ...more }, now)).made[0]!;
  };
  const letters = () =>
    rowsOf<{
      to: { address: string }[];
      subject: string;
      text: string;
      replyTo: string | null;
      id: string;
      messageId: string;
      references: string[];
    }>(
      house.db,
      sql`select id, "to", subject, text, reply_to as "replyTo", message_id as "messageId", "references" from outgoing where is_automatic order by created_at, id`,
    );

  test("what is loud goes out after two minutes unless it was seen here; each once, threaded by its task, marked as automatic", async () => {
    const { id: taskId, slug } = await make("Redraw sheet 3", NOW);
    const seen = await make("Seen at once", NOW);
    await seeNotices(house.db, { personId: house.suki }, Number(seen.slug.split("-")[1]), 0, NOW);
    expect(await mailNotices(house.db, BASE, NOW + MINUTE)).toBe(0);
    expect(await mailNotices(house.db, BASE, NOW + 3 * MINUTE)).toBe(1);
    expect(await mailNotices(house.db, BASE, NOW + 4 * MINUTE)).toBe(0);
    const [first] = await letters();
    expect(first).toMatchObject({
      to: [{ address: "suki@house.example" }],
      subject: `${slug.replace("-", " ")}: Redraw sheet 3`,
      replyTo: `${slug}@house.example`,
      references: [`task-${taskId}@house.example`],
    });
    expect(first!.text).toContain("Ines Valdarno gave it to you.");
    expect(first!.text).toContain(`${BASE}/tasks/${slug}`);
    await act(house.ines, "comment", { taskId, text: "Revision C." }, NOW + 10 * MINUTE);
    expect(await mailNotices(house.db, BASE, NOW + 13 * MINUTE)).toBe(1);
    expect((await letters())[1]).toMatchObject({ references: first!.references });
    const sent: Buffer[] = [];
    const carrier = {
      async send(raw: Buffer) {
        sent.push(raw);
        return { kind: "taken" as const, said: "250" };
      },
    };
    await sendDue(house.db, carrier, () => NOW + 14 * MINUTE);
    expect(sent).toHaveLength(2);
    expect(sent[0]!.toString()).toMatch(/^Auto-Submitted: auto-generated\r?$/m);
    expect(sent[0]!.toString()).toMatch(/text\/calendar;[\s\S]{0,80}method=REQUEST/i);
    expect(sent[1]!.toString()).not.toMatch(/text\/calendar/i);
    // It is no letter of the house; come back through a mailbox it makes no work.
    const parsed = await parseLetter(sent[0]!);
    expect(parsed.ok && parsed.letter.automatic).not.toBeNull();
    const before = await sortCount(house.db, { personId: house.ines });
    await takeIn(house.db, [{ raw: sent[0]! }], house.shared, NOW + 15 * MINUTE);
    expect(await sortCount(house.db, { personId: house.ines })).toBe(before);
  });

  test("what can wait is gathered at one's own times; with the digest alone nothing comes between", async () => {
    const count = (await letters()).length;
    const { id: taskId } = await make("Count the bolts", NOW + 20 * MINUTE);
    await act(house.suki, "take on", { taskId }, NOW + 21 * MINUTE);
    await act(
      house.suki,
      "change task",
      { taskId, change: { field: "state", to: "done" }, was: null },
      NOW + 22 * MINUTE,
    );
    await setNoticeMail(house.db, { personId: house.suki }, { mail: "digest", times: ["12:00"] });
    expect(await mailNotices(house.db, BASE, NOW + 30 * MINUTE)).toBe(0);
    // 12:00 in London: Suki's digest; at 13:00 that of Ines, who gave it.
    expect(await mailNotices(house.db, BASE, Date.parse("2026-11-24T12:00:05Z"))).toBe(1);
    expect(await mailNotices(house.db, BASE, Date.parse("2026-11-24T13:00:05Z"))).toBe(1);
    expect(await mailNotices(house.db, BASE, Date.parse("2026-11-24T13:01:00Z"))).toBe(0);
    const [suki, ines] = (await letters()).slice(count);
    expect(suki!.subject).toBe("1 thing you should hear, of 1 task");
    expect(ines!.text).toContain("Suki Aldane took it on.");
    expect(ines!.text).toContain("Suki Aldane finished it.");
    await setNoticeMail(house.db, { personId: house.suki }, { mail: "never", times: ["12:00"] });
    await make("Unmailed", Date.parse("2026-11-24T14:00:00Z"));
    expect(await mailNotices(house.db, BASE, Date.parse("2026-11-24T14:10:00Z"))).toBe(0);
    await setNoticeMail(house.db, { personId: house.suki }, { mail: "as it comes", times: ["08:00"] });
  });

  test("the link answers for whom it was written, as often as it makes sense, and to nothing once the task may not be seen", async () => {
    const now = Date.parse("2026-11-24T15:00:00Z");
    const secret = newId();
    await house.db.insert(project).values({ id: secret, name: "Tender", isPrivate: true, words: [] });
    await house.db.insert(projectMember).values({ projectId: secret, personId: house.ines });
    const { id: taskId, slug } = await make("Tender sum", now, { projectId: secret });
    await mailNotices(house.db, BASE, now + 5 * MINUTE);
    const key = /\/answer\/([\w-]{32})/.exec((await letters()).at(-1)!.text)![1]!;
    expect(await answerLink(house.db, key)).toMatchObject({
      personId: house.suki,
      title: "Tender sum",
      giver: "Ines Valdarno",
    });
    await act(house.suki, "take on", { taskId }, now + 6 * MINUTE);
    expect((await perform(house.db, { personId: house.suki, now: now + 7 * MINUTE }, "take on", { taskId })).ok).toBe(
      true,
    );
    expect(
      (await taskSheet(house.db, { personId: house.ines }, Number(slug.split("-")[1])))?.happened.filter(
        (one) => one.words === "took it on",
      ),
    ).toHaveLength(1);
    await act(house.ines, "hand over", { taskId, toIds: [house.ines], note: "" }, now + 8 * MINUTE);
    expect(await answerLink(house.db, key)).toBeNull();
    expect(await answerLink(house.db, "x".repeat(32))).toBeNull();
    expect(await answerLink(house.db, "' or 1=1 --")).toBeNull();
  });

  test("a calendar program is told when what it has moves, and when it is taken away, each with a higher sequence", async () => {
    const now = Date.parse("2026-11-26T10:00:00Z");
    const { id: taskId } = await make("Hang the sign", now, { ownerId: null });
    await mailNotices(house.db, BASE, now);
    const sent: (readonly [string, number])[] = [];
    const mailed = async (at: number) => {
      await mailNotices(house.db, BASE, at);
      const [row] = await rowsOf<{ calendar: string | null }>(
        house.db,
        sql`select calendar from outgoing where task_id = ${taskId} and person_id = ${house.suki} order by created_at desc, id desc limit 1`,
      );
      const text = row?.calendar ?? "";
      sent.push([/^METHOD:(\w+)/m.exec(text)?.[1] ?? "", Number(/^SEQUENCE:(\d+)/m.exec(text)?.[1])]);
    };
    await act(house.ines, "hand over", { taskId, toIds: [house.suki], note: "" }, now + MINUTE);
    await mailed(now + 5 * MINUTE);
    const due = { day: "2026-12-04", time: null, zone: "Europe/London" };
    await act(house.ines, "change task", { taskId, change: { field: "due", to: due }, was: null }, now + 10 * MINUTE);
    await mailed(now + 15 * MINUTE);
    // A question in words is answered in words; one by a program is told that the date stands.
    const question = "Could it be due Mon 7 Dec instead?";
    for (const [key, at] of [
      [null, 16],
      ["itip:letter:ask back", 21],
      [null, 26],
    ] as const) {
      const suki = { personId: house.suki, now: now + at * MINUTE };
      expect(await perform(house.db, suki, "ask back", { taskId, question }, key ?? undefined)).toMatchObject({
        ok: true,
      });
      await act(house.ines, "comment", { taskId, text: "No, the sign is for Friday." }, now + (at + 1) * MINUTE);
      await mailed(now + (at + 4) * MINUTE);
    }
    await act(house.ines, "hand over", { taskId, toIds: [house.ines], note: "" }, now + 40 * MINUTE);
    await mailed(now + 45 * MINUTE);
    expect(sent).toEqual([
      ["REQUEST", 60],
      ["REQUEST", 900],
      ["", Number.NaN],
      ["DECLINECOUNTER", 60],
      ["", Number.NaN],
      ["CANCEL", 2700],
    ]);
  });
});
