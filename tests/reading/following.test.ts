import { describe, expect, test } from "vitest";
import { Following } from "@/core/following/follow";
import { after, answered, HUGH, letter, ODA, people, TWO, WIL } from "./bindery";

describe("a letter that says nothing else, of somebody who owes something", () => {
  const asked = "Could you find a price for twelve gilded spines?";
  test.each(["340, lettering and all.", "Third offer: 290 with the cloth."])("%s", async (text) => {
    expect(await answered(asked, text)).toEqual([["done", false]]);
  });
  test.each(["Chur.", "Safe journey!", "Thank you for your letter, Hugh.", "Perfect. Thank you both!"])(
    "%s: courtesy says nothing of it",
    async (text) => {
      expect(await answered(asked, text)).toEqual([]);
    },
  );
});

test("who only promises to be heard of has not promised the work; that is a promise of its own", async () => {
  const asked = "Could you rebind the two ledgers by Friday?";
  const { opens, changes } = await after(asked, WIL, "I have to ask the gilder first. You will hear from me tomorrow.");
  expect([opens, changes]).toEqual([["promise"], []]);
});

describe("an answer to what was asked (2 November 2026 is a Monday)", () => {
  test.each([
    ["The ledgers will be with you on Friday.", [[1, "promised", "2026-11-06", null]]],
    ["The ledgers need another week, you will have them on the 13th.", [[1, "moved", "2026-11-13", null]]],
    ["The vellum price is attached.", [[2, "done", null, null]]],
    ["I am afraid we cannot rebind the ledgers.", [[1, "declined", null, null]]],
    ["Oda does the vellum, she will write to you.", [[2, "passed", null, ODA]]],
    ["2: attached.", [[2, "done", null, null]]],
    ["One of the ledgers was posted today, the other follows on Monday.", [[1, "part", "2026-11-09", null]]],
    ["Thanks a lot!", []],
  ])("%s", async (text, changes) => {
    expect(await after(TWO, WIL, text)).toEqual({ opened: 2, opens: [], changes });
  });

  test("whoever asked reminds, calls off, asks for another day, and confirms", async () => {
    expect((await after(TWO, HUGH, "Where are the ledgers?")).changes).toEqual([[1, "reminded", null, null]]);
    expect((await after(TWO, HUGH, "We no longer need the vellum.")).changes).toEqual([[2, "called off", null, null]]);
    expect((await after(TWO, HUGH, "The ledgers have arrived.")).changes).toEqual([[1, "done", null, null]]);
    expect((await after(TWO, HUGH, "We need the ledgers by Thursday instead.")).changes).toEqual([
      [1, "moved", "2026-11-05", null],
    ]);
  });

  test("a day that is asked for by how much earlier moves it; that it is off calls it off", async () => {
    const DATED = "Could you rebind the two ledgers by Friday? And we need a price for the vellum.";
    expect((await after(DATED, HUGH, "Can the ledgers come two days earlier?")).changes).toEqual([
      [1, "moved", "2026-11-04", null],
    ]);
    expect((await after(DATED, HUGH, "The vellum has been cancelled by the bishop.")).changes).toEqual([
      [2, "called off", null, null],
    ]);
  });

  test("who is content with what was promised changes nothing, nor does a thumb", async () => {
    const following = new Following(people);
    following.read(await letter(2, HUGH, WIL, "Could you rebind the two ledgers by Friday?"));
    following.read(await letter(3, WIL, HUGH, "The ledgers will be with you on Monday."));
    expect(following.read(await letter(4, HUGH, WIL, "Monday is in order.")).changes).toEqual([]);
    expect(following.read(await letter(5, HUGH, WIL, "👍")).changes).toEqual([]);
  });

  test("words that may well speak of what is open are no order; where nothing is open they are", async () => {
    const PUT_BY = "Put aside, with your name on the box.";
    const asked = await after("And I'd like to try two of the calf skins that you keep talking about.", WIL, PUT_BY);
    expect(asked).toMatchObject({ opened: 1, opens: [], changes: [[1, "done", null, null]] });
    const following = new Following(people);
    expect(following.read(await letter(2, WIL, HUGH, PUT_BY)).opens).toHaveLength(1);
  });
  test("what only may be an ask opens nothing from whoever owes an answer; from somebody who owes none it does", async () => {
    const HALF = "It might be nice to have the lease of the shop longer by a year.";
    expect((await after(TWO, WIL, HALF)).opens).toEqual([]);
    const following = new Following(people);
    expect(following.read(await letter(2, HUGH, WIL, HALF)).opens).toHaveLength(1);
  });

  test("what ends with “please” answers a question, and asks nothing", async () => {
    const found = await after(
      "How stiff should the cloth of the covers be?",
      WIL,
      "As stiff as you can make it, please.",
    );
    expect([found.opens, found.changes]).toEqual([[], [[1, "done", null, null]]]);
  });

  test("the same ask again opens nothing, a new one does", async () => {
    const again = await after(TWO, HUGH, "Could you rebind the two ledgers, please?");
    expect([again.opens, again.changes]).toEqual([[], [[1, "reminded", null, null]]]);
    expect((await after(TWO, HUGH, "Could you also letter the spine of the atlas?")).opens).toEqual(["ask"]);
  });

  test("a day without a word of putting off moves nothing, and “Noted” says nothing", async () => {
    const wishes = await after(
      "Please give me your wishes for the rota by Friday.",
      WIL,
      "Monday off, mornings otherwise.",
    );
    expect(wishes.changes.map(([, change]) => change)).not.toContain("moved");
    expect((await after("Could you rebind the two ledgers by Friday?", WIL, "Not before Monday.")).changes).toEqual([
      [1, "moved", "2026-11-09", null],
    ]);
    expect((await after(TWO, WIL, "Noted, thank you.")).changes).toEqual([]);
  });

  test("initials below a letter answer nothing, nor does what is only felt", async () => {
    const ONE = "Could you tell me early how many ledgers there are?";
    expect((await after(ONE, WIL, "I am mortified.\n\nW.")).changes).toEqual([]);
    expect((await after(ONE, WIL, "Eleven.\n\nW.T.")).changes).toEqual([[1, "done", null, null]]);
  });

  test("that nothing has come yet is a reminder, whatever day it is; who gives somebody time orders nothing", async () => {
    expect((await after(TWO, HUGH, "No ledgers so far.")).changes).toEqual([[1, "reminded", null, null]]);
    const friday = await after(
      "Could you rebind the two ledgers by Friday?",
      HUGH,
      "It is Tuesday afternoon and I have heard nothing from you.",
    );
    expect([friday.opens, friday.changes]).toEqual([[], [[1, "reminded", null, null]]]);
    const later = await after("Could you send the ledgers over this morning?", WIL, "Give him fifteen minutes.");
    expect(later.opens).toEqual([]);
  });

  test("a figure that is asked for is answered by a figure, and a day alone with its mark is a question", async () => {
    const size = await after("Please send me the size of the atlas.", WIL, "30 by 42 centimetres, as the old one.");
    expect(size.changes).toEqual([[1, "done", null, null]]);
    expect((await after(TWO, WIL, "Thursday?")).opens).toEqual(["question"]);
  });

  test("a machine's answer changes nothing", async () => {
    const done = await after(TWO, WIL, "The ledgers will be with you on Friday.", "Auto-Submitted: auto-replied\r\n");
    expect([done.opens, done.changes]).toEqual([[], []]);
  });

  test("what is over is not changed again by thanks and praise; what is withdrawn is promised anew", async () => {
    const following = new Following(people);
    following.read(await letter(2, HUGH, WIL, "Could you rebind the two ledgers by Friday?"));
    expect(following.read(await letter(3, WIL, HUGH, "The ledgers are attached.")).changes).toHaveLength(1);
    for (const text of [
      "Many thanks for the ledgers.",
      "The two ledgers look splendid.",
      "Thank you, the ledgers came.",
    ])
      expect([text, following.read(await letter(4, HUGH, WIL, text)).changes]).toEqual([text, []]);
    // Who did it may say so once more.
    expect(following.read(await letter(5, WIL, HUGH, "The ledgers are attached once more.")).changes).toEqual([]);
    expect(following.read(await letter(6, WIL, HUGH, "The two ledgers were sent.")).changes).toEqual([]);
    expect(following.read(await letter(5, WIL, HUGH, "The ledgers will come on Friday.")).changes).toMatchObject([
      { change: "promised", due: "2026-11-06" },
    ]);
  });

  test("what was hardly sure to be over is spoken of as if it were open; what was answered is not answered again", async () => {
    const following = new Following(people);
    following.read(await letter(2, HUGH, WIL, "Could you rebind the two ledgers by Friday?"));
    const [hardly] = following.read(await letter(3, WIL, HUGH, "They are drying on the shelf.")).changes;
    expect(hardly).toMatchObject({ change: "done" });
    expect(hardly!.confidence).toBeLessThan(0.6);
    expect(following.read(await letter(4, WIL, HUGH, "The ledgers will be with you on Monday.")).changes).toMatchObject(
      [{ change: "moved", due: "2026-11-09" }],
    );
    const asked = new Following(people);
    asked.read(await letter(2, HUGH, WIL, "How stiff should the cloth be?"));
    expect(asked.read(await letter(3, WIL, HUGH, "As stiff as a board.")).changes).toMatchObject([{ change: "done" }]);
    expect(asked.read(await letter(4, WIL, HUGH, "The kettle is still cold.")).changes).toEqual([]);
  });

  test("who will ask somebody has promised an answer; the rest that came makes it whole; who agrees has done no work", async () => {
    const asked = await after(
      "How stiff should the cloth be?",
      WIL,
      "I'll have a word with the gilder and tell you tomorrow.",
    );
    expect(asked.changes).toEqual([[1, "promised", "2026-11-04", null]]);
    const parts = new Following(people);
    parts.read(await letter(2, HUGH, WIL, "Could you bring us ten ledgers by Friday?"));
    parts.read(
      await letter(3, WIL, HUGH, "Seven ledgers were delivered this morning, the other three come on Monday."),
    );
    expect(parts.read(await letter(9, WIL, HUGH, "The last three have been delivered.")).changes).toMatchObject([
      { change: "done" },
    ]);
    expect(
      (await after("Could you rebind the six ledgers?", WIL, "That suits us even better.")).changes,
    ).not.toContainEqual([1, "done", null, null]);
  });
});
