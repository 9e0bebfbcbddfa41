import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { tellingWords } from "../finding/telling-words";
import type { Letter } from "../letters/letter";
import { parseLetter } from "../letters/parse-letter";
import { isSure, type People } from "../reading/slip";
import { Following, followConversation } from "./follow";
import { passedTo } from "./passed-to";
import { Sides } from "./sides";

// A bindery: another trade than the demo's and than the labelled letters'. What happens to what is open is common practice
// of offices; each letter was written for what it does before it was tried.
const person = (key: string, name: string, house: string) => ({ id: key, name, address: `${key}@${house}.example` });
const people: People = {
  team: [person("wil", "Wil Tarn", "bindery"), person("oda", "Oda Pike", "bindery")],
  outside: [person("hugh", "Hugh Marl", "archive")],
};
const WIL = "wil@bindery.example";
const ODA = "oda@bindery.example";
const HUGH = "hugh@archive.example";

async function letter(day: number, from: string, to: string, text: string, more = ""): Promise<Letter> {
  const date = new Date(Date.UTC(2026, 10, day, 9)).toUTCString().replace("GMT", "+0000");
  const raw = `From: ${from}\r\nTo: ${to}\r\nDate: ${date}\r\nSubject: Ledgers\r\n${more}\r\n${text}\r\n`;
  const parsed = await parseLetter(Buffer.from(raw));
  if (!parsed.ok) throw new Error(parsed.why);
  return parsed.letter;
}

/** What a second letter does to what the first one opened: "kind of change, day, owner" by the place of the item. */
async function after(first: string, from: string, second: string, more = "") {
  const [opened, then] = followConversation(
    [await letter(2, HUGH, WIL, first), await letter(3, from, from === HUGH ? WIL : HUGH, second, more)],
    people,
  );
  const placeOf = new Map(opened!.opens.map((item, i) => [item.id, i + 1]));
  return {
    opened: opened!.opens.length,
    opens: then!.opens.map((item) => item.kind),
    changes: then!.changes.map((one) => [placeOf.get(one.item), one.change, one.due, one.owner]),
  };
}

const TWO = "Could you rebind the two ledgers by Friday? Please also send the price of the vellum.";

/** The changes of an answer of Wil's to one ask, and how sure each is. */
async function answered(first: string, text: string) {
  const [, then] = followConversation([await letter(2, HUGH, WIL, first), await letter(3, WIL, HUGH, text)], people);
  return then!.changes.map(({ change, confidence }) => [change, isSure({ confidence })]);
}

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
});

describe("how an answer goes on", () => {
  test.each([
    [
      "what it turns to, and does not name, is the one thing left",
      TWO,
      "The ledgers will be with you on Friday. As for the other matter, I'll ask the tannery and tell you tomorrow.",
      [
        [1, "promised", "2026-11-06", null],
        [2, "promised", "2026-11-04", null],
      ],
      [],
    ],
    [
      "the day stands behind the words that move it",
      TWO,
      "The ledgers need another week, I am sorry: 13 November.",
      [[1, "moved", "2026-11-13", null]],
      [],
    ],
    [
      "a thing that nobody had asked for is a promise of its own",
      TWO,
      "You'll have the ledgers on Friday. I'll send you a swatch of the cloth tomorrow.",
      [[1, "promised", "2026-11-06", null]],
      ["promise"],
    ],
    [
      "what is still to come of a thing that is done leaves it half done",
      "Could you test the thread and the glue by Friday?",
      "The thread is tested, see the figures attached. The glue press is broken, and so its results come on Monday.",
      [[1, "part", "2026-11-09", null]],
      [],
    ],
    [
      "what they will get is what is left",
      "Could you rebind the two ledgers by Friday? Which glue do you use?",
      "Hide glue. You'll get them on Thursday.",
      [
        [1, "promised", "2026-11-05", null],
        [2, "done", null, null],
      ],
      [],
    ],
    [
      "who is away promises nothing",
      "Could Wil rebind the two ledgers by Friday?",
      "Wil is away until the 15th.",
      [],
      [],
    ],
    ["who writes says nothing yet", TWO, "Hello Hugh, Wil here.", [], []],
    ["to be sorry answers no question", "Which glue do you use?", "I'm so sorry to hear that.", [], []],
    ["what one needs for it is no promise of it", TWO, "I'll need the old spines for that.", [], ["ask"]],
  ])("%s", async (_, first, second, changes, opens) => {
    const found = await after(first, WIL, second);
    expect({ changes: [...found.changes].sort(), opens: found.opens }).toEqual({ changes, opens });
  });

  test("who is called by name is not what a sentence is about: the thing is handed to them", async () => {
    const following = new Following(people);
    const [, labels] = following.read(
      await letter(2, HUGH, WIL, "Please mend the clasp of the atlas. Please remove the old shelf labels too."),
    ).opens;
    const { opens, changes } = following.read(await letter(3, WIL, ODA, "Oda, please do the shelf labels."));
    expect([opens, changes.map((one) => [one.item, one.change, one.owner])]).toEqual([
      [],
      [[labels!.id, "passed", ODA]],
    ]);
  });

  test("what is put as a question is asked, also by who owes an answer", async () => {
    const { opens, changes } = await after(TWO, WIL, "Can I have the ledgers for two weeks? The vellum is 40 a sheet.");
    expect([opens, changes]).toEqual([["ask"], [[2, "done", null, null]]]);
  });

  test("what is promised where one thing is open is promised of that", async () => {
    const [one] = (
      await after(
        "Could you get the atlas to us before noon?",
        WIL,
        "The van is warming up. It'll be in your yard by ten.",
      )
    ).changes;
    expect(one?.slice(0, 2)).toEqual([1, "promised"]);
  });

  test("yes to another day that its owner proposes answers the question and moves the thing", async () => {
    const following = new Following(people);
    const [ledgers] = following.read(await letter(2, HUGH, WIL, "Could you rebind the two ledgers by Friday?")).opens;
    const [question] = following.read(await letter(3, WIL, HUGH, "May I bring them on Monday the 9th?")).opens;
    const answer = async (text: string) => {
      const { changes } = following.read(await letter(4, HUGH, WIL, text));
      return changes.map((one) => [one.item, one.change, one.due]).sort();
    };
    expect(await answer("Monday is fine.")).toEqual([
      [ledgers!.id, "moved", "2026-11-09"],
      [question!.id, "done", null],
    ]);
  });

  test("a bare answer is to what was wanted last, wherever it was opened", async () => {
    const following = new Following(people);
    const [ledgers] = following.read(await letter(2, HUGH, WIL, TWO)).opens;
    const answer = "You'll have the ledgers on Friday. I'll send you a swatch of the cloth tomorrow.";
    expect(following.read(await letter(3, WIL, HUGH, answer)).opens).toHaveLength(1);
    following.read(await letter(4, HUGH, WIL, "We need the ledgers by Thursday instead."));
    expect(
      following.read(await letter(4, WIL, HUGH, "Tight, but yes, you'll have them by Thursday.")).changes,
    ).toMatchObject([{ item: ledgers!.id, change: "promised", due: "2026-11-05" }]);
  });

  test.each([
    [
      "what was sent and has not arrived is asked for again, and sent again",
      ["The ledgers were posted this morning.", "The ledgers have not arrived.", "I have just sent the ledgers again."],
      [["done"], ["reminded"], ["done"]],
    ],
    [
      "what only sounds like it wakes nothing that is over",
      ["The ledgers were posted this morning.", "Thank you, the archive is closed on Monday.", "Have a good weekend."],
      [["done"], [], []],
    ],
  ])("%s", async (_, letters, changes) => {
    const all = [await letter(2, HUGH, WIL, "Could you rebind the two ledgers by Friday?")];
    for (const [i, text] of letters.entries())
      all.push(await letter(3 + i, i === 1 ? HUGH : WIL, i === 1 ? WIL : HUGH, text));
    const followed = followConversation(all, people).slice(1);
    expect(followed.map((one) => one.changes.map(({ change }) => change))).toEqual(changes);
  });
});

describe("its pieces", () => {
  test("what is promised cures the only trouble there is; how it will be done is no promise of its own", async () => {
    const TROUBLE = "One of the four ledgers was not in the box.";
    expect(
      await after(TROUBLE, WIL, "It stayed on the bench. The ledger goes out with the Thursday run."),
    ).toMatchObject({
      opens: [],
      changes: [[1, "promised", "2026-11-05", null]],
    });
    expect((await after(TWO, WIL, "You'll have the ledgers on Friday, I'll bring them myself.")).opens).toEqual([]);
  });

  test("a question hands nothing on; not to know changes nothing", async () => {
    expect((await after(TWO, WIL, "Not me.")).changes).toEqual([]);
    const handed = await after("Could you rebind the two ledgers by Friday?", WIL, "Oda, do we still rebind ledgers?");
    expect(handed.changes).toEqual([]);
  });

  test("who asks for more time tells no trouble by the reason", async () => {
    const asks = await after(TWO, WIL, "The glue has just been mixed up with the paste. Can I have until Monday noon?");
    expect(asks.opens).toEqual(["question"]);
  });

  test("words that tell things apart", () => {
    expect([...tellingWords("Could you please send the two ledgers' spines by Friday?")]).toEqual(["ledger", "spin"]);
    expect([...tellingWords("on the 20th, RAL 5010")]).toEqual(["20", "ral", "5010"]);
    for (const [one, other] of ["net nets", "book booked", "box boxes", "copy copies", "binding bindings"].map((pair) =>
      pair.split(" "),
    ))
      expect([one, [...tellingWords(one!)]]).toEqual([one, [...tellingWords(other!)]]);
  });

  test("who may speak for whom", () => {
    const sides = new Sides(people);
    const item = { owner: WIL, asker: HUGH, kind: "ask" } as Parameters<Sides["owes"]>[1];
    const who = [WIL, ODA, HUGH, "deputy@archive.example", "stranger@elsewhere.example"];
    expect(who.map((one) => sides.owes(one, item))).toEqual([true, true, false, false, false]);
    expect(who.map((one) => sides.wants(one, item))).toEqual([false, false, true, true, false]);
  });

  test("who takes a thing over", () => {
    const to = (text: string) => passedTo(text, people, WIL, new Set([HUGH]))?.person;
    expect(to("Oda will send it.")?.address).toBe(ODA);
    expect(to("This one I give to Oda.")?.address).toBe(ODA);
    expect(to("Oda reckons up the vellum and tells you the price.")?.address).toBe(ODA);
    expect(to("My colleague will write to you.")).toBeNull();
    expect(to("I will tell Hugh myself.")).toBeUndefined();
    expect(to("Oda liked the ledgers.")).toBeUndefined();
    expect(to("Oda liked the ledgers and writes that they are lovely.")).toBeUndefined();
  });

  test("no text makes it throw, and no letter changes one item twice", async () => {
    const words = fc.constantFrom(
      ...[
        "ledgers",
        "the",
        "by Friday",
        "attached",
        "?",
        ".",
        "\n",
        "> ",
        "1:",
        "we",
        "cannot",
        "will",
        "Oda",
        "🌱",
        "is",
      ],
    );
    await fc.assert(
      fc.asyncProperty(fc.array(words, { maxLength: 60 }), async (pieces) => {
        const following = new Following(people);
        following.read(await letter(2, HUGH, WIL, TWO));
        const { changes } = following.read(await letter(3, WIL, HUGH, pieces.join(" ")));
        expect(new Set(changes.map((one) => one.item)).size).toBe(changes.length);
      }),
      { numRuns: 150 },
    );
  });
});
