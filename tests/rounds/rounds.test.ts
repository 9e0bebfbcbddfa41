import { expect, test } from "vitest";
import { imapRounds } from "./imap-rounds";
import { outboxRounds } from "./outbox-rounds";
import { smtpRounds } from "./smtp-rounds";

test("ten times killed with -9 while letters come in: every letter that got 250 is there once, byte for byte", async () => {
  const result = await smtpRounds(10, 3_970, 42, () => {});
  console.log(`${result.rounds} rounds: ${result.tried} letters tried, ${result.acknowledged} acknowledged`);
  expect(result.acknowledged).toBeGreaterThan(20);
  expect(result.lost).toEqual([]);
  expect(result.doubled).toEqual([]);
}, 600_000);

test("ten times killed with -9 while sending, against a server that loses answers: each letter arrives, at most twice, and marked", async () => {
  const result = await outboxRounds(10, 42);
  console.log(`${result.letters} letters, ${result.kills} kills, ${result.lostAnswers} answers lost`);
  expect(result.lostAnswers).toBeGreaterThan(1);
  expect(result.missing).toEqual([]);
  expect(result.tooOften).toEqual([]);
  expect(result.unmarked).toEqual([]);
}, 600_000);

test("an IMAP server that breaks off in the middle of ten fetches: nothing is lost, nothing doubled", async () => {
  const result = await imapRounds(10, 3_976, 42);
  console.log(`${result.letters} letters, ${result.breaks} breaks`);
  expect(result.breaks).toBeGreaterThan(6);
  expect(result).toMatchObject({ here: result.letters, lost: 0 });
}, 600_000);
