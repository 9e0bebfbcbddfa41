import { sql } from "drizzle-orm";
import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { perform } from "@/acts/perform";
import { takeIn } from "@/acts/take-in";
import { likelyTasks } from "@/data/queries/likely-tasks";
import { conversationFor } from "@/data/queries/sort";
import { taskSheet } from "@/data/queries/tasks";
import { rowsOf } from "@/data/rows";
import { ENGINES, NOW, type TestHouse, testHouse } from "./test-house";

let minute = 9;
const letter = (id: string, subject: string, text: string, more = "") =>
  Buffer.from(
    `From: Ada Lund <ada@beech.example>\r\nTo: ines@house.example\r\nSubject: ${subject}\r\nMessage-ID: <${id}>\r\n${more}Date: Mon, 23 Nov 2026 09:${++minute}:00 +0000\r\n\r\n${text}\r\n`,
  );

describe.each(ENGINES)("conversations put on tasks and split, on %s", (engine) => {
  let house: TestHouse;
  beforeAll(async () => {
    house = await testHouse(engine);
  });
  afterAll(() => house.close());

  const actor = () => ({ personId: house.ines, now: NOW });
  const act = (name: string, input: unknown) => perform(house.db, actor(), name, input);
  const conversationOf = async (raw: Buffer) => {
    const [taken] = await takeIn(house.db, [{ raw }], house.shared, NOW);
    if (!taken || !("letterId" in taken)) throw new Error("refused");
    const [row] = await rowsOf<{ id: string }>(
      house.db,
      sql`select conversation_id as id from letter where id = ${taken.letterId}`,
    );
    return { letterId: taken.letterId, id: row!.id };
  };
  const lettersIn = async (id: string) => (await conversationFor(house.db, actor(), id))?.letters.length ?? 0;
  const taskFrom = async (conversationId: string) => {
    const slips = await rowsOf<{ id: string }>(
      house.db,
      sql`select id from slip where conversation_id = ${conversationId} and state = 'proposed'`,
    );
    const kept = await act("keep", { conversationId, slipIds: slips.map((slip) => slip.id) });
    if (!kept.ok) throw new Error(kept.says);
    return { id: kept.made[0]!.id, number: Number(kept.made[0]!.slug.split("-").at(-1)) };
  };

  test("a conversation joined to a task stands there, so do its answers, and undo takes all of it back", async () => {
    const first = await conversationOf(
      letter("gate-1@beech.example", "Gate hinges", "Could you send us the price for gate hinges?"),
    );
    const task = await taskFrom(first.id);
    const other = await conversationOf(
      letter("photo-22@beech.example", "Photographs", "Here are photographs of the gate hinges."),
    );
    const offered = await likelyTasks(house.db, actor(), other.id, "");
    expect(offered[0]).toMatchObject({ id: task.id, hasSamePeople: true });
    expect(await likelyTasks(house.db, actor(), other.id, "hing")).toMatchObject([{ id: task.id }]);

    expect(await act("join", { conversationId: other.id, taskId: task.id })).toMatchObject({ ok: true });
    expect(await lettersIn(first.id)).toBe(2);
    expect((await conversationFor(house.db, actor(), other.id))?.id).toBe(first.id);
    const answer = await conversationOf(
      letter("photo-333@beech.example", "Re: Photographs", "And one more.", "References: <photo-22@beech.example>\r\n"),
    );
    expect(answer.id).toBe(first.id);
    expect((await taskSheet(house.db, actor(), task.number))?.laterLetters.length).toBe(2);
    expect(await act("join", { conversationId: first.id, taskId: task.id })).toMatchObject({ ok: false });

    expect(await act("undo", { entryId: null })).toMatchObject({ ok: true });
    expect((await conversationFor(house.db, actor(), other.id))?.letters.map((one) => one.id)).toEqual([
      other.letterId,
    ]);
    const later = await conversationOf(
      letter("photo-4444@beech.example", "Re: Photographs", "The last.", "References: <photo-22@beech.example>\r\n"),
    );
    expect(later.id).toBe(other.id);
  });

  test("a task without letters gets the conversation as its own", async () => {
    const made = await act("make task", {
      title: "Paint the fence",
      ownerId: null,
      due: null,
      priority: "normal",
      projectId: null,
      workstreamId: null,
    });
    const task = made.ok ? made.made[0]! : null;
    const fence = await conversationOf(letter("fence-55555@beech.example", "Fence", "It needs green paint."));
    expect(await act("join", { conversationId: fence.id, taskId: task!.id })).toMatchObject({ ok: true });
    const sheet = await taskSheet(house.db, actor(), Number(task!.slug.split("-").at(-1)));
    expect(sheet).toMatchObject({ conversationId: fence.id, laterLetters: [{ id: fence.letterId }] });
  });

  test("a conversation is split from a letter on; later answers go with it; undo makes it one again", async () => {
    const first = await conversationOf(letter("van-1@beech.example", "The van", "The van is in the yard."));
    const second = await conversationOf(
      letter(
        "van-22@beech.example",
        "Re: The van",
        "Another thing: could you order bark?",
        "References: <van-1@beech.example>\r\n",
      ),
    );
    expect(second.id).toBe(first.id);
    expect(await act("split", { letterId: first.letterId })).toMatchObject({ ok: false });
    expect(await act("split", { letterId: second.letterId })).toMatchObject({ ok: true });
    expect(await lettersIn(first.id)).toBe(1);
    const third = await conversationOf(
      letter("van-333@beech.example", "Re: The van", "Bark it is.", "In-Reply-To: <van-22@beech.example>\r\n"),
    );
    expect(third.id).not.toBe(first.id);
    expect(await lettersIn(third.id)).toBe(2);
    const slips = await rowsOf<{ id: string }>(house.db, sql`select id from slip where conversation_id = ${third.id}`);
    expect(slips.length).toBeGreaterThan(0);
    // A letter has come into it since: undoing the split would leave it without a conversation.
    expect(await act("undo", { entryId: null })).toMatchObject({
      ok: false,
      says: expect.stringContaining("A later letter"),
    });
    const fourth = await conversationOf(
      letter("van-4444@beech.example", "Re: The van", "And the keys.", "References: <van-1@beech.example>\r\n"),
    );
    expect(await act("split", { letterId: fourth.letterId })).toMatchObject({ ok: true });
    expect(await lettersIn(first.id)).toBe(1);
    expect(await act("undo", { entryId: null })).toMatchObject({ ok: true });
    expect(await lettersIn(first.id)).toBe(2);
  });
});
