import { expect, test } from "vitest";
import { tellingWords } from "../finding/telling-words";
import type { FoundSlip, SlipKind } from "../reading/slip";
import { handedWhole, isPassedOn } from "./handed-whole";
import type { OpenItem } from "./item";
import { goesOnInSentence, promisedFor } from "./promised-for";

// A bindery, as in following.test.ts; each sentence was written for what it is. What belongs to what is common practice.
const item = (id: string, kind: SlipKind, quote: string) =>
  ({ id, kind, quote, asker: "hugh", words: tellingWords(quote) }) as unknown as OpenItem;
const trouble = item("t", "trouble", "One of the four ledgers was not in the box.");
const bill = item("b", "ask", "Please pay the vellum within ten days.");
const question = item("q", "question", "Do you letter spines?");
const meant = (quote: string, left: readonly OpenItem[]) =>
  promisedFor({ quote, words: tellingWords(quote) }, left)?.id ?? null;

test("a promise that names or points at it cures the one trouble there is", () => {
  expect(meant("It goes out with the Thursday run.", [trouble, question])).toBe("t");
  expect(meant("The ledger leaves us on Monday.", [trouble])).toBe("t");
  expect(meant("I'll send you the photographs on Friday.", [trouble])).toBeNull();
  expect(meant("It goes out with the Thursday run.", [trouble, bill])).toBeNull();
});

test("money that is promised is for the one bill that is to be paid", () => {
  expect(meant("Your money goes out on Monday.", [bill, question])).toBe("b");
  expect(meant("Your money goes out on Monday.", [bill, item("c", "ask", "Please pay the glue too.")])).toBeNull();
  expect(meant("The glue goes out on Monday.", [bill])).toBeNull();
});

test("a promise in the sentence in which its writer promised something goes on with that", () => {
  const text = "You get them tomorrow, I'll drive myself. I'll bring glue.";
  const at = (words: string) => ({ start: text.indexOf(words), end: text.indexOf(words) + words.length });
  const changes = [{ ...at("You get them tomorrow"), item: "b", change: "promised" }] as never;
  const slip = (words: string) => ({ ...at(words), kind: "promise" }) as FoundSlip;
  expect(goesOnInSentence(slip("I'll drive myself"), changes, [bill], text)).toBe(true);
  expect(goesOnInSentence(slip("I'll bring glue"), changes, [bill], text)).toBe(false);
  expect(goesOnInSentence(slip("I'll drive myself"), changes, [trouble], text)).toBe(false);
});

test("what is asked with a letter that is passed on hands on the one thing that is left of it", () => {
  const ask = { kind: "ask", owner: "oda" } as FoundSlip;
  expect(handedWhole(ask, "wil", [bill, question])?.id).toBe("b");
  expect(handedWhole(ask, "wil", [bill, item("c", "ask", "Please letter the spine.")])).toBeUndefined();
  expect(handedWhole(ask, "oda", [bill])).toBeUndefined();
  const letter = (subject: string) => ({ passedOn: null, parts: [], subject }) as never;
  expect([isPassedOn(letter("FW: Ledgers")), isPassedOn(letter("Forward planning"))]).toEqual([true, false]);
});
