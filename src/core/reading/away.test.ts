import { expect, test } from "vitest";
import type { Letter } from "../letters/letter";
import { parseLetter } from "../letters/parse-letter";
import { readAway } from "./away";
import { PLAIN_READING } from "./settings";

/** Tuesday 24 November 2026, nine in the morning at the writer's. */
const SENT = { at: Date.UTC(2026, 10, 24, 8), zone: "+01:00" };

async function reply(text: string, headers = "Auto-Submitted: auto-replied\r\n"): Promise<Letter> {
  const raw = `From: ada@beech.example\r\nTo: ines@house.example\r\nSubject: Out of office\r\n${headers}Content-Type: text/plain; charset=utf-8\r\nDate: Tue, 24 Nov 2026 09:00:00 +0100\r\n\r\n${text}\r\n`;
  const parsed = await parseLetter(Buffer.from(raw));
  if (!parsed.ok) throw new Error(parsed.why);
  return parsed.letter;
}

// Common practice of such replies, in words of our own.
test.each([
  ["I am away until Friday 4 December.", "2026-12-04"],
  ["I am out from 23 November to 27 November and back in the office on Monday 30 November.", "2026-11-30"],
  ["I will be returning on 7 December 2026.", "2026-12-07"],
  ["On leave through 11 December. For urgent matters ring the yard.", "2026-12-11"],
  ["Ich bin bis zum 4. Dezember 2026 nicht im Büro.", "2026-12-04"],
  ["Je suis absente jusqu'au 4 décembre 2026.", "2026-12-04"],
  ["Thank you for your message. I will answer soon.", null],
  ["I was away until Friday 20 November 2026.", null],
  ["I am away until 4 December 2031.", null],
])("%s", async (text, day) => expect(readAway(await reply(text), SENT, PLAIN_READING)).toBe(day));

test("a person's letter sets nobody away, whatever it says", async () => {
  const letter = await reply("I am away until Friday 4 December.", "");
  expect(readAway({ ...letter, automatic: null }, SENT, PLAIN_READING)).toBeNull();
});
