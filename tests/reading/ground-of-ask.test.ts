import { expect, test } from "vitest";
import { read } from "./bakery";

/** The words of what is asked, its title and its day. */
const asked = (text: string) =>
  read(text).map((slip) => [text.slice(slip.start, slip.end), slip.title, slip.due?.day ?? null]);

test("what somebody else wants and who is to see to it, right behind, is asked once, of the thing and by the day that were named", () => {
  const text = "The surveyor wants the drawings of the mast by Friday. Could you send them to him?";
  expect(asked(text)).toEqual([[text, "Send the drawings of the mast to him", "2026-03-06"]]);
});

test("an ask with a thing of its own is another one, and so is one by whoever wants both", () => {
  expect(asked("The surveyor wants the drawings by Friday. Could you send us the bill for the mast?")).toHaveLength(2);
  const gate = "Please make sure that the gate is open.";
  expect(asked(`The surveyor needs the drawings. ${gate}`).at(-1)![0]).toBe(gate);
  expect(asked("We need the drawings by Friday. Could you also send them to the surveyor?")).toHaveLength(2);
});

test("what the writer lacks and is then asked for is one item", () => {
  const text = "I have still not had the rigging plan. Can you get it to me by Friday?";
  expect(asked(text)).toEqual([[text, "Get the rigging plan to Dov", "2026-03-06"]]);
  const inLines = "and i've still not had the rigging plan\ncan you get it to me by Friday";
  expect(asked(inLines).map(([, title]) => title)).toEqual(["Get the rigging plan to Dov"]);
});
