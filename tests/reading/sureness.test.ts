import { expect, test } from "vitest";
import sureness from "@/core/following/weighing/sureness.json";
import { isSureChange } from "@/core/reading/slip";
import { type ConversationSet, UNLEARNT_CONVERSATIONS, UNLEARNT_PLAIN } from "./conversations";
import { learnSureness, surenessChanges, surenessExamples } from "./learning/sureness";

test("how sure changes are is what the labels of letters teach that following did not learn from", async () => {
  const examples = await surenessExamples();
  console.log(`${examples.length} changes`);
  expect(examples.length).toBeGreaterThan(1_000);
  expect(learnSureness(examples)).toEqual(sureness);
}, 120_000);

// Nothing is learnt from these: neither what is changed, nor how sure it is.
const UNLEARNT: readonly ConversationSet[] = [...UNLEARNT_CONVERSATIONS, ...UNLEARNT_PLAIN];

test("of strangers' letters, what is sure is nearly always right, and of what is less sure as much is right as is said", async () => {
  const changes = await surenessChanges(UNLEARNT);
  const share = (some: readonly { isRight: boolean }[]) => some.filter(({ isRight }) => isRight).length / some.length;
  const sure = changes.filter(({ change }) => isSureChange(change));
  console.log(
    `${changes.length} changes, ${share(changes).toFixed(3)} right; ${sure.length} sure, ${share(sure).toFixed(3)}`,
  );
  expect(changes.length).toBeGreaterThan(790);
  expect(sure.length).toBeGreaterThan(285);
  expect(share(sure)).toBeGreaterThan(0.915);
  for (const [from, to] of [
    [0, 0.4],
    [0.4, 0.6],
    [0.6, 0.8],
    [0.8, 1],
  ] as const) {
    const some = changes.filter(({ change: { confidence } }) => confidence >= from && confidence < to);
    const said = some.reduce((sum, { change }) => sum + change.confidence, 0) / some.length;
    console.log(`from ${from} to ${to}: ${some.length}, said ${said.toFixed(2)}, right ${share(some).toFixed(2)}`);
    expect(some.length).toBeGreaterThan(50);
    expect(Math.abs(share(some) - said)).toBeLessThan(0.1);
  }
}, 120_000);
