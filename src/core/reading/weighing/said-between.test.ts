import { expect, test } from "vitest";
import { saidBetween } from "./said-between";

// How letters begin and end by common practice.
test("names alone above and below a letter say nothing", () => {
  const between = (...texts: readonly string[]) => {
    const { first, behind } = saidBetween(texts.map((text, block) => ({ text, block })));
    return texts.slice(first, behind);
  };
  expect(between("Karin,", "The pump leaks.", "F. Noll")).toEqual(["The pump leaks."]);
  expect(between("Ms Okafor, Emeka,", "Send it.", "Hal Pemberton", "Kofi")).toEqual(["Send it."]);
  expect(between("Karin, the pump leaks,", "Done.")).toEqual(["Karin, the pump leaks,", "Done."]);
  expect(between("Kofi")).toEqual([]);
});

test("a name that ends a paragraph belongs to what is said", () => {
  const clauses = [
    { text: "the pump leaks", block: 1 },
    { text: "Kofi", block: 1 },
  ];
  expect(saidBetween(clauses)).toEqual({ first: 0, behind: 2 });
});
