import { expect, test } from "vitest";
import { CHANGES } from "../following/item";
import { effectOfChange } from "./change-effect";
import { changeByLetter } from "./decisions/change-by-letter";
import type { Write } from "./outcome";
import { type ChangedTask, type Due, type Owner, type SlipFacts, TASK_STATES, type TaskState } from "./task";

const NOW = "2026-11-24T11:20:00.000Z";
const FRIDAY: Due = { day: "2026-11-27", time: null, zone: "Europe/London" };
const ROSA: Owner = { side: "ours", personId: "rosa" };
const NOBODY: Owner = { side: "ours", personId: null };
const MILL: Owner = { side: "theirs", correspondentId: "mill" };
const open = (side: ChangedTask["side"]): ChangedTask => ({ side, state: "to begin", wasOver: false });

function slip(owner: Owner, due: Due | null): SlipFacts {
  return {
    id: "s",
    conversationId: "c",
    passage: { letterId: "l", start: 0, end: 5 },
    kind: "ask",
    title: "Title",
    owner,
    due,
    priority: "normal",
    estimate: null,
    projectId: null,
    workstreamId: null,
    state: "proposed",
    changes: null,
  };
}

/** The states of a task; what is over may have been so when the letter was written, or have come to be so since. */
const STATES = TASK_STATES.flatMap((state): [TaskState, boolean][] =>
  state === "done" || state === "called off"
    ? [
        [state, false],
        [state, true],
      ]
    : [[state, false]],
);

/** Every kind of change on every kind of task, with every kind of owner, with and without a day. */
const CASES = CHANGES.flatMap((change) =>
  (["ours", "theirs"] as const).flatMap((side) =>
    STATES.flatMap(([state, wasOver]) =>
      [ROSA, NOBODY, MILL].flatMap((owner) =>
        [null, FRIDAY].map((due) => {
          const effect = effectOfChange(change, { side, state, wasOver }, owner, due !== null);
          const writes = changeByLetter(
            slip(owner, due),
            {
              change,
              quote: "the words",
              task: { id: "t", side, state, wasOver, holding: { ownerId: "suki", chain: [] } },
            },
            { commentId: "n", actorId: "ines", now: NOW },
          );
          return { change, side, state, wasOver, owner, due, effect, writes };
        }),
      ),
    ),
  ),
);
const taskOf = (writes: readonly Write[]) => writes.find((write) => write.row === "task")?.values;
const noteOf = (writes: readonly Write[]) => writes.find((write) => write.row === "comment")?.values;

test("keeping does what the screen says: each row once, a note where there is more to say, nothing to what is over", () => {
  expect(CASES).toHaveLength(8 * 2 * 6 * 3 * 2);
  for (const { effect, due, writes, state, wasOver, change } of CASES) {
    expect(new Set(writes.map((write) => write.id)).size).toBe(writes.length);
    expect(writes.length === 0).toBe(effect === "nothing");
    const isOver = state === "done" || state === "called off";
    expect(effect === "open again").toBe(isOver && wasOver && !/^(?:done|called off|declined)$/.test(change));
    expect(effect === "nothing").toBe(isOver && effect !== "open again");
    expect(noteOf(writes) !== undefined).toBe(/^(?:note|free|open again)$/.test(effect));
    expect(taskOf(writes)?.state).toBe(
      { finish: "done", "call off": "called off", "open again": "to begin" }[effect as string],
    );
    if (effect === "open again") expect(taskOf(writes)).toMatchObject({ finishedAt: null });
    if (effect === "move") expect(taskOf(writes)).toMatchObject({ dueDay: due!.day });
    if (effect === "free") expect(taskOf(writes)).toEqual({ ownerId: null, changedAt: NOW });
  }
  expect(new Set(CASES.map(({ effect }) => effect)).size).toBe(8);
});

test("a task goes only to somebody named of its own side; who waits for something stays whoever waited", () => {
  expect(effectOfChange("passed", open("ours"), ROSA, false)).toBe("pass on");
  expect(effectOfChange("passed", open("theirs"), MILL, false)).toBe("pass on");
  for (const [side, owner] of [
    ["ours", NOBODY],
    ["ours", MILL],
    ["theirs", ROSA],
  ] as const)
    expect([side, effectOfChange("passed", open(side), owner, false)]).toEqual([side, "note"]);
  for (const { effect, side, writes } of CASES)
    if (side === "theirs" && effect !== "nothing") expect(taskOf(writes) ?? {}).not.toHaveProperty("ownerId");
});

test("a part leaves the task open with a note, and the day of its rest where one is named", () => {
  const parts = CASES.filter(({ change, effect }) => change === "part" && effect === "note");
  for (const { due, writes } of parts) {
    expect(noteOf(writes)?.text).toBe("A part of it: “the words”");
    expect(taskOf(writes)?.dueDay).toBe(due?.day);
  }
  expect(parts).toHaveLength(2 * 2 * 3 * 2);
});
