import { describe, expect, test } from "vitest";
import { Following, followConversation } from "@/core/following/follow";
import { after, HUGH, letter, ODA, people, TWO, WIL } from "./bindery";

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
