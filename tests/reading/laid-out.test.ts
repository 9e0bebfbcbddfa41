import { expect, test } from "vitest";
import { laidOutLetters } from "./laid-out";
import { scoreReading } from "./score";

test("messages as programs and people lay them out are read: tables, tickets, lists, forwarded and answered ones", async () => {
  const letters = await laidOutLetters();
  expect(letters).toHaveLength(28);
  const { mistakes, ...score } = scoreReading(letters);
  console.log(
    `${letters.length} letters, ${score.labels} labels: finding ${score.finding.toFixed(3)}, kind ${score.kind.toFixed(3)}, owner ${score.owner.toFixed(3)}, due ${score.due.toFixed(3)}`,
  );
  expect(score.labels).toBeGreaterThan(60);
  for (const [field, floor] of [
    ["finding", 0.88],
    ["kind", 0.88],
    ["owner", 0.95],
    ["due", 0.93],
    ["priority", 0.95],
    ["anything", 0.95],
  ] as const)
    expect([field, score[field] >= floor ? "enough" : mistakes]).toEqual([field, "enough"]);
});
