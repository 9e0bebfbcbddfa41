import { expect, test } from "vitest";
import { CHANGES } from "../../core/following/item";
import { TASK_STATES } from "../../core/tasks/task";
import type { SlipView } from "../../core/views/views";
import { changeBecomes, changedWords, keepVerb } from "./change-words";

const rosa = { id: "rosa", name: "Rosa Beck" } as NonNullable<SlipView["owner"]>;
const slip = (changes: Partial<NonNullable<SlipView["changes"]>>, more: Partial<SlipView> = {}) =>
  ({
    owner: null,
    theirs: null,
    due: null,
    changes: {
      change: "done",
      side: "ours",
      state: "to begin",
      reference: "fig 7",
      slug: "fig-7",
      title: "x",
      ...changes,
    },
    ...more,
  }) as SlipView;
const friday = { due: { day: "2026-11-27", time: null, zone: "Europe/London" } };

test("every change on every task has its sentence, its verb and what is said after it, with the reference in place", () => {
  let count = 0;
  for (const change of CHANGES)
    for (const state of TASK_STATES)
      for (const side of ["ours", "theirs"] as const) {
        const one = slip({ change, state, side });
        for (const words of [changeBecomes(one), changedWords([one])!]) {
          expect(words).toContain("fig 7");
          expect(words).not.toContain("#");
        }
        expect(keepVerb(one)).toMatch(/^[A-Z]\w+( \w+)+$/);
        count += 1;
      }
  expect(count).toBe(64);
});

test("nothing is promised that is not done: a wait is not passed to one of us, and nobody is freed of what others owe", () => {
  const passed = { change: "passed" } as const;
  expect(keepVerb(slip(passed, { owner: rosa }))).toBe("Pass it on");
  expect(keepVerb(slip({ ...passed, side: "theirs" }, { owner: rosa }))).toBe("Note it");
  expect(keepVerb(slip(passed))).toBe("Note it");
  expect(changeBecomes(slip({ change: "declined" }))).toBe("frees fig 7");
  expect(changeBecomes(slip({ change: "declined", side: "theirs" }))).toBe("a note on fig 7");
  expect([keepVerb(slip({ change: "promised" })), keepVerb(slip({ change: "promised" }, friday))]).toEqual([
    "Note it",
    "Move it",
  ]);
  expect(changeBecomes(slip({ state: "done" }))).toBe("fig 7 is over already");
  expect(changeBecomes(slip({ change: "part", state: "done", wasOver: true }))).toBe("opens fig 7 again");
});

test("what was kept is said in one sentence, and only of changes", () => {
  const plain = { ...slip({}), changes: null } as SlipView;
  expect(changedWords([plain])).toBeNull();
  expect(changedWords([plain, slip({})])).toBe("fig 7 is done.");
  expect(changedWords([slip({}), slip({})])).toMatch(/^2 tasks /);
});
