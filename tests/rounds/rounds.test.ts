import { expect, test } from "vitest";
import { smtpRounds } from "./smtp-rounds";

test("ten times killed with -9 while letters come in: every letter that got 250 is there once, byte for byte", async () => {
  const result = await smtpRounds(10, 3_970, 42, () => {});
  console.log(`${result.rounds} rounds: ${result.tried} letters tried, ${result.acknowledged} acknowledged`);
  expect(result.acknowledged).toBeGreaterThan(20);
  expect(result.lost).toEqual([]);
  expect(result.doubled).toEqual([]);
}, 300_000);
