import { sql } from "drizzle-orm";
import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { perform } from "@/acts/perform";
import { takeIn } from "@/acts/take-in";
import { letterFor } from "@/data/queries/letters";
import { conversationFor } from "@/data/queries/sort";
import { taskSheet } from "@/data/queries/tasks";
import { rowsOf } from "@/data/rows";
import { ENGINES, NOW, type TestHouse, testHouse } from "./test-house";

describe.each(ENGINES)("a blind copy of one's own letter, on %s", (engine) => {
  let house: TestHouse;
  let count = 0;
  beforeAll(async () => {
    house = await testHouse(engine);
  });
  afterAll(() => house.close());

  const viewer = () => ({ personId: house.ines });
  /** A letter that a member wrote in another program, with our address as a blind copy: in the envelope, and in no header. */
  const comes = async (to: string, words: string) => {
    count += 1;
    const raw = Buffer.from(
      `From: Ines Valdarno <ines@house.example>\r\nTo: ${to}\r\nSubject: Letter ${count}\r\nMessage-ID: <bcc-${count}@house.example>\r\nDate: Tue, 24 Nov 2026 09:00:00 +0000\r\n\r\n${words}\r\n`,
    );
    const envelope = { from: "ines@house.example", to: ["hello@in.house.example"], peer: "127.0.0.1", checks: null };
    const [taken] = await takeIn(house.db, [{ raw }], [{ wayInId: house.shared, envelope }], NOW);
    if (!taken || !("letterId" in taken)) throw new Error("It was not taken in.");
    const { conversationId } = (await letterFor(house.db, viewer(), taken.letterId))!;
    return (await conversationFor(house.db, viewer(), conversationId))!;
  };

  test("what it asks of somebody outside is offered as a wait, also of somebody who never wrote to us", async () => {
    const words = "Dear Ada,\n\ncould you send me the list of trees by Friday?\n\nInes";
    const { id: conversationId, slips } = await comes("Ada Lund <ada@beech.example>", words);
    expect(slips).toMatchObject([
      { kind: "ask", title: "Send Ines the list of trees", theirs: { name: "Ada Lund" }, due: { day: "2026-11-27" } },
    ]);
    const kept = await perform(house.db, { ...viewer(), now: NOW }, "keep", {
      conversationId,
      slipIds: slips.map((slip) => slip.id),
    });
    if (!kept.ok) throw new Error(kept.says);
    const sheet = await taskSheet(house.db, viewer(), Number(kept.made[0]!.slug.split("-")[1]));
    expect(sheet?.task).toMatchObject({
      side: "theirs",
      theirs: { name: "Ada Lund" },
      owner: { name: "Ines Valdarno" },
    });
  });

  test("what it promises is one's own task", async () => {
    const { slips } = await comes("ada@beech.example", "Dear Ada,\n\nI will send you the plan on Thursday.\n\nInes");
    expect(slips).toMatchObject([{ kind: "promise", owner: { name: "Ines Valdarno" }, theirs: null }]);
  });

  test("the house's own addresses are nobody outside", async () => {
    await comes("hello@house.example, plum-7@in.house.example, cy@elm.example", "Hello,\n\nfor the file.\n\nInes");
    const known = await rowsOf<{ address: string }>(house.db, sql`select address from correspondent order by address`);
    expect(known.map((one) => one.address)).toEqual(["ada@beech.example", "cy@elm.example"]);
  });

  test("of several who are asked nobody is guessed", async () => {
    const both = "Ada Lund <ada@beech.example>, Bo Rask <bo@oak.example>";
    const { slips } = await comes(both, "Hello both,\n\ncould you send me the price?\n\nInes");
    expect(slips).toMatchObject([{ kind: "ask", owner: null, theirs: null }]);
  });
});
