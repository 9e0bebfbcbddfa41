import { sql } from "drizzle-orm";
import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { perform } from "@/acts/perform";
import { takeIn } from "@/acts/take-in";
import { parseLetter } from "@/core/letters/parse-letter";
import { draftOf } from "@/data/queries/drafts";
import { sortCount } from "@/data/queries/sort";
import { rowsOf } from "@/data/rows";
import { type Carrier, openOutbox, type SentAnswer, sendDue } from "@/post/outbox";
import { ENGINES, NOW, type TestHouse, testHouse } from "./test-house";

const MINUTE = 60_000;
const TAKEN: SentAnswer = { kind: "taken", said: "250 OK" };

/** A next server that answers as it is told, and keeps what it was handed. */
function carrierThat(...answers: SentAnswer[]) {
  const got: { raw: Buffer; from: string; to: string[] }[] = [];
  const carrier: Carrier = {
    async send(raw, envelope, onHandOver) {
      await onHandOver();
      got.push({ raw, ...envelope });
      return answers[Math.min(got.length, answers.length) - 1]!;
    },
  };
  return { carrier, got };
}

describe.each(ENGINES)("letters that go out, on %s", (engine) => {
  let house: TestHouse;
  let letterId: string;
  let conversationId: string;
  beforeAll(async () => {
    process.env.JAM_SMTP_OUT = "smtp://127.0.0.1:25";
    house = await testHouse(engine);
    const [taken] = await takeIn(
      house.db,
      [
        {
          raw: Buffer.from(
            "From: Ada Lund <ada@beech.example>\r\nTo: ines@house.example\r\nSubject: Swing chains\r\nMessage-ID: <q2@beech.example>\r\nReferences: <q1@beech.example>\r\nDate: Mon, 23 Nov 2026 09:00:00 +0000\r\n\r\nCould you send us the price by Friday?\r\n",
          ),
        },
      ],
      house.shared,
      NOW,
    );
    letterId = taken && "letterId" in taken ? taken.letterId : "";
    const [row] = await rowsOf<{ id: string }>(
      house.db,
      sql`select conversation_id as id from letter where id = ${letterId}`,
    );
    conversationId = row!.id;
  });
  afterAll(() => house.close());

  const actor = () => ({ personId: house.ines, now: NOW });
  const write = (more: Record<string, unknown> = {}) =>
    perform(house.db, actor(), "write", {
      to: [{ name: "Ada Lund", address: "ada@beech.example" }],
      cc: [],
      subject: "Re: Swing chains",
      text: "It is 140 euros.",
      from: "ines@house.example",
      answersId: letterId,
      taskId: null,
      finishes: false,
      dealsWith: false,
      ...more,
    });
  const states = (text = "%") =>
    rowsOf<{ state: string; said: string | null; tries: number; maybeTwice: boolean }>(
      house.db,
      sql`select state, said, tries, maybe_twice as "maybeTwice" from outgoing where text like ${text} order by created_at desc, id desc`,
    );

  test("a letter waits ten seconds, in which it can be taken back", async () => {
    const { carrier, got } = carrierThat(TAKEN);
    expect(await write({ dealsWith: true })).toMatchObject({ ok: true });
    expect(await sortCount(house.db, actor())).toBe(0);
    expect(await sendDue(house.db, carrier, () => NOW + 9_000)).toBe(0);
    expect(await perform(house.db, actor(), "undo", { entryId: null })).toMatchObject({ ok: true });
    expect(await sendDue(house.db, carrier, () => NOW + MINUTE)).toBe(0);
    expect(got).toEqual([]);
    expect(await states()).toEqual([]);
    // What was written is not lost: it is a draft again, where it was written.
    expect(await draftOf(house.db, actor(), `conversation ${conversationId}`)).toMatchObject({
      text: "It is 140 euros.",
      to: [{ name: "Ada Lund", address: "ada@beech.example" }],
    });
    expect(await sortCount(house.db, actor())).toBe(1);
  });

  test("it goes out with its threading, stands in its conversation, and can be taken back no more", async () => {
    const { carrier, got } = carrierThat(TAKEN);
    const written = await write();
    expect(await sendDue(house.db, carrier, () => NOW + MINUTE)).toBe(1);
    expect(got).toMatchObject([{ from: "ines@house.example", to: ["ada@beech.example"] }]);
    const sent = await parseLetter(got[0]!.raw);
    expect(sent).toMatchObject({
      ok: true,
      letter: {
        references: ["q1@beech.example", "q2@beech.example"],
        subject: "Re: Swing chains",
        text: "It is 140 euros.",
        from: { name: "Ines Valdarno", address: "ines@house.example" },
        automatic: null,
        problems: [],
      },
    });
    const letters = await rowsOf(
      house.db,
      sql`select 1 from letter where conversation_id = ${conversationId} and from_address = 'ines@house.example'`,
    );
    expect(letters).toHaveLength(1);
    expect(await perform(house.db, actor(), "undo", { entryId: written.ok ? written.entryId : "" })).toMatchObject({
      ok: false,
      says: expect.stringContaining("has gone out"),
    });
  });

  test("a refusal is final, a busy server is tried again with growing pauses, and then it is given up", async () => {
    await write({ text: "refused" });
    await sendDue(house.db, carrierThat({ kind: "refused", said: "550 No such user" }).carrier, () => NOW + MINUTE);
    expect((await states("refused"))[0]).toMatchObject({ state: "given up", said: "550 No such user", tries: 1 });
    await write({ text: "busy" });
    const busy = carrierThat({ kind: "not now", said: "451 Later" });
    let at = NOW + MINUTE;
    const pauses: number[] = [];
    for (let i = 0; i < 20; i += 1) {
      const began = at;
      while ((await sendDue(house.db, busy.carrier, () => at)) === 0 && at - began < 30 * 60 * MINUTE) at += MINUTE;
      const [row] = await states("busy");
      if (row!.state === "given up") break;
      pauses.push(at - began);
    }
    expect((await states("busy"))[0]).toMatchObject({ state: "given up", said: "451 Later" });
    expect(busy.got.length).toBe(11);
    expect(pauses.slice(2)).toEqual([...pauses.slice(2)].sort((a, b) => a - b));
  });

  test("where the server's answer is lost, or we died while sending, it goes out at most once more, and marked", async () => {
    await write({ text: "lost" });
    const lost = carrierThat({ kind: "answer lost", said: "connection closed" });
    for (let at = NOW + MINUTE; at < NOW + 500 * MINUTE; at += MINUTE) await sendDue(house.db, lost.carrier, () => at);
    expect(lost.got).toHaveLength(2);
    expect(lost.got[0]!.raw.equals(lost.got[1]!.raw)).toBe(true);
    expect((await states("lost"))[0]).toMatchObject({ state: "given up", maybeTwice: true });

    await write({ text: "died" });
    await house.db.execute(
      sql`update outgoing set state = 'sending', tries = 1, handed_over = true where text = 'died'`,
    );
    await openOutbox(house.db, () => NOW + MINUTE, true);
    expect((await states("died"))[0]).toMatchObject({ state: "waiting", maybeTwice: true });
    const { carrier, got } = carrierThat(TAKEN);
    await sendDue(house.db, carrier, () => NOW + 2 * MINUTE);
    expect(got).toHaveLength(1);
    expect((await states("died"))[0]).toMatchObject({ state: "sent", maybeTwice: true });
  });

  test("line ends in subjects and names begin no header, and an address that is none is said", async () => {
    const { carrier, got } = carrierThat(TAKEN);
    await write({
      subject: "Hello\r\nBcc: everybody@elm.example",
      to: [{ name: "Ada\r\nX-Evil: 1", address: "ada@beech.example" }],
    });
    await sendDue(house.db, carrier, () => NOW + MINUTE);
    const head = got[0]!.raw.toString().split("\r\n\r\n")[0]!;
    expect(head).not.toMatch(/^(?:bcc|x-evil):/im);
    expect(got[0]!.to).toEqual(["ada@beech.example"]);
    expect(await write({ to: [{ name: "", address: "nobody" }] })).toMatchObject({
      ok: false,
      says: "“nobody” is no mail address. Nothing was sent; your letter is still here.",
    });
    expect(await write({ to: [] })).toMatchObject({ ok: false });
    expect(await write({ text: " " })).toMatchObject({ ok: false });
    expect(await write({ from: "suki@house.example" })).toMatchObject({ ok: false });
  });

  test("a letter about a task carries its link to our own people, and to nobody else", async () => {
    process.env.JAM_URL = "https://jam.house.example/";
    const made = await perform(house.db, actor(), "make task", {
      title: "Look at the gate",
      ownerId: house.ines,
      due: null,
      priority: "normal",
      projectId: null,
      workstreamId: null,
    });
    const task = made.ok ? made.made[0]! : null;
    const suki = { name: "Suki", address: "suki@house.example" };
    await write({ taskId: task!.id, answersId: null, to: [suki], text: "inside" });
    await write({
      taskId: task!.id,
      answersId: null,
      to: [suki],
      cc: [{ name: "", address: "ada@beech.example" }],
      text: "outside",
    });
    process.env.JAM_URL = "";
    const { carrier, got } = carrierThat(TAKEN);
    await sendDue(house.db, carrier, () => NOW + MINUTE);
    const texts = got.map((one) => one.raw.toString());
    expect(texts.find((text) => text.includes("inside"))).toContain(`https://jam.house.example/tasks/${task!.slug}`);
    expect(texts.find((text) => text.includes("outside"))).not.toContain("jam.house.example");
  });

  test("a task is answered and finished in one step, and both are taken back in one", async () => {
    const made = await perform(house.db, actor(), "make task", {
      title: "Price for chains",
      ownerId: house.ines,
      due: null,
      priority: "normal",
      projectId: null,
      workstreamId: null,
    });
    const taskId = made.ok ? made.made[0]!.id : "";
    const state = async () =>
      (await rowsOf<{ state: string }>(house.db, sql`select state from task where id = ${taskId}`))[0]?.state;
    expect(await write({ taskId, finishes: true })).toMatchObject({ ok: true });
    expect(await state()).toBe("done");
    await perform(house.db, actor(), "undo", { entryId: null });
    expect(await state()).toBe("to begin");
  });
});
