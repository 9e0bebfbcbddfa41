import { expect, test } from "vitest";
import { CHANGES, canBecome } from "./item";

test("a question is not put off, trouble not declined; an ask can become all", () => {
  expect(CHANGES.filter((change) => !canBecome("question", change))).toEqual(["called off", "declined", "moved"]);
  expect(CHANGES.filter((change) => !canBecome("trouble", change))).toEqual(["called off", "declined", "reminded"]);
  expect(CHANGES.every((change) => canBecome("ask", change))).toBe(true);
});
