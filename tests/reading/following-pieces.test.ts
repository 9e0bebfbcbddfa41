import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { tellingWords } from "@/core/finding/telling-words";
import { Following } from "@/core/following/follow";
import { passedTo } from "@/core/following/passed-to";
import { Sides } from "@/core/following/sides";
import { after, HUGH, letter, ODA, people, TWO, WIL } from "./bindery";

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
