import { expect, test } from "vitest";
import { handedOn } from "./chain";
import { changeSteps, type StepChange } from "./decisions/change-steps";
import { type Step, sayProgress, stepsDone } from "./steps";

const NOW = "2026-11-24T11:20:00.000Z";
const step = (id: string, doneAt = ""): Step => ({ id, text: `Step ${id}`, doneAt });
const facts = (steps: readonly Step[], more: object = {}) => ({
  id: "t",
  about: ["t"],
  reference: "quince 417",
  state: "to begin" as const,
  holding: handedOn({ ownerId: null, chain: [] }, "ines", "suki", NOW),
  actorId: "suki",
  doerId: "suki",
  ownerName: "Suki Aldane",
  steps,
  newId: "n",
  ...more,
});
const change = (steps: readonly Step[], to: StepChange, more: object = {}) => {
  const outcome = changeSteps(facts(steps, more), to, NOW);
  return outcome.ok ? outcome.writes[0]?.values : outcome.refusal;
};

test("steps are added, ticked and taken away; the first tick of its owner begins the task and takes it on", () => {
  expect(change([], { kind: "add", text: "  Take the\nheights " })).toMatchObject({
    steps: [{ id: "n", text: "Take the heights", doneAt: "" }],
  });
  expect(change([step("a"), step("b")], { kind: "tick", stepId: "b", isDone: true })).toMatchObject({
    steps: [{ doneAt: "" }, { doneAt: NOW }],
    state: "under way",
    chain: [{ answer: "accepted" }],
  });
  const byOther = change([step("a")], { kind: "tick", stepId: "a", isDone: true }, { actorId: "ines" });
  expect(byOther).not.toHaveProperty("state");
  expect(change([step("a", "2026-11-20T09:00:00.000Z")], { kind: "tick", stepId: "a", isDone: true })).toMatchObject({
    steps: [{ doneAt: "2026-11-20T09:00:00.000Z" }],
  });
  expect(change([step("a"), step("b")], { kind: "remove", stepId: "a" })).toMatchObject({ steps: [{ id: "b" }] });
});

test("empty, endless and unknown steps are refused; progress is said while there are steps", () => {
  expect(change([], { kind: "add", text: " " })).toMatchObject({ code: "invalid" });
  expect(change([], { kind: "add", text: "x".repeat(301) })).toMatchObject({ code: "invalid" });
  expect(
    change(
      Array.from({ length: 60 }, (_, i) => step(`${i}`)),
      { kind: "add", text: "one more" },
    ),
  ).toMatchObject({
    code: "invalid",
  });
  expect(change([], { kind: "tick", stepId: "a", isDone: true })).toEqual({ code: "not found" });
  expect([sayProgress([]), sayProgress([step("a"), step("b", NOW)])]).toEqual(["", "1 of 2"]);
  expect(stepsDone([step("a", NOW)])).toEqual({ done: 1, all: 1 });
});
