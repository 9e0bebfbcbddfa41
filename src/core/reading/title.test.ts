import { describe, expect, test } from "vitest";
import { titleOf } from "./title";

// A letter to a ropery, of somebody who asks: what a colleague would write of it is common practice of offices.
const ada = { id: "ada", name: "Ada Strand", address: "ada@chandler.example" };

describe("a title ends where what is to be done ends", () => {
  test.each([
    ["Please tell me if you take the hemp, then I put it on the cart.", "Tell Ada if you take the hemp"],
    ["could you send the care sheet for the net, i think i lost it", "Send the care sheet for the net"],
    ["Please splice the long one, its eye is gone.", "Splice the long one"],
    ["Please have the winch mended, the pawl was bent in the storm.", "Have the winch mended"],
    ["We need your answer on the January price two days before that.", "Get Ada your answer on the January price"],
  ])("%s", (clause, title) => {
    expect(titleOf("ask", clause, ada, null)).toBe(title);
  });
});

describe("what belongs to it stays", () => {
  test.each([
    ["Please tell me whether Mo, Ann and Bo are coming.", "Tell Ada whether Mo, Ann and Bo are coming"],
    ["Please bring tar, twine and chalk.", "Bring tar, twine and chalk"],
    ["Please wind up the hawser, the one that lies on the quay.", "Wind up the hawser, the one that lies on the quay"],
  ])("%s", (clause, title) => {
    expect(titleOf("ask", clause, ada, null)).toBe(title);
  });
});

test("a day stays where without it nobody would know what the rest is about", () => {
  expect(titleOf("promise", "On Thursday week with the morning barge.", ada, "On Thursday week")).toBe(
    "On Thursday week with the morning barge",
  );
  expect(titleOf("promise", "On Friday I will send you the twine.", ada, "On Friday")).toBe("Send us the twine");
  expect(titleOf("promise", "On Friday, with the tide, we will send you the twine.", ada, "On Friday")).not.toContain(
    "Friday",
  );
});
