import { expect, test } from "vitest";
import { type PriorityLesson, priorityMeant, withPriorities } from "./priorities";
import type { FoundSlip } from "./slip";

const ada = "ada@beech.example";
const lesson = (values: Partial<PriorityLesson>): PriorityLesson => ({
  writer: ada,
  read: "normal",
  keptAs: "high",
  kept: 3,
  ...values,
});

test("a priority is another from the third time on, as long as that is the more frequent one", () => {
  const meant = (...lessons: PriorityLesson[]) => priorityMeant(ada, "normal", lessons)?.keptAs ?? null;
  expect(meant(lesson({ kept: 2 }))).toBeNull();
  expect(meant(lesson({}))).toBe("high");
  expect(meant(lesson({}), lesson({ keptAs: "normal", kept: 2 }))).toBe("high");
  expect(meant(lesson({}), lesson({ keptAs: "normal", kept: 3 }))).toBeNull();
  expect(meant(lesson({ writer: "bo@oak.example" }))).toBeNull();
  expect(meant(lesson({ read: "high", keptAs: "low" }))).toBeNull();
});

test("the slip says why, and what its priority was read as", () => {
  const slip = { priority: "normal", reason: "an order" } as FoundSlip;
  expect(withPriorities([slip], ada, [lesson({})])).toEqual([
    {
      priority: "high",
      readPriority: "normal",
      reason: "an order, of high priority since this writer’s were kept so before",
    },
  ]);
  expect(withPriorities([slip], null, [lesson({})])).toEqual([slip]);
  expect(withPriorities([{ ...slip, priority: "low" }], ada, [lesson({})])).toEqual([{ ...slip, priority: "low" }]);
});
