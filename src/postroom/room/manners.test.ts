import { expect, test } from "vitest";
import { parseLetter } from "../../core/letters/parse-letter";
import { readLetter } from "../../core/reading/read-letter";
import { answersTo, type Manner } from "./manners";

/** Tuesday 24 November 2026, noon in London. */
const AT = Date.UTC(2026, 10, 24, 12);
const HOUR = 3_600_000;
const asked = { at: AT, writer: "Ines Valdarno", text: "Could you confirm the day?" };
const told = { at: AT, writer: "Ines Valdarno", text: "The step is in the van." };
const answers = (manner: Manner, letter = asked, turn = 0) =>
  answersTo(letter, "Colm Hartnell", manner, "Europe/London", turn);

async function slipsIn(text: string): Promise<string[]> {
  const parsed = await parseLetter(
    Buffer.from(
      `From: Colm Hartnell <colm@tidewell.example>\r\nTo: ines@larkmoor.example\r\nSubject: Re: x\r\nDate: Tue, 24 Nov 2026 12:00:00 +0000\r\n\r\n${text}\r\n`,
    ),
  );
  if (!parsed.ok) throw new Error(parsed.why);
  return readLetter(parsed.letter, { team: [], outside: [] }, { at: AT, zone: "Europe/London" }).map(
    (slip) => slip.kind,
  );
}

test("everybody answers in their own time, one of them never", () => {
  const after = (manner: Manner) => answers(manner).map((one) => (one.at - AT) / HOUR);
  expect(after("never")).toEqual([]);
  expect(after("at once")[0]).toBeLessThan(0.1);
  expect(after("half")).toEqual([3]);
  expect(after("late")[0]).toBeGreaterThan(24);
  expect(after("away")).toHaveLength(2);
});

test("what comes back is read as what it is meant to be: a question, a promise, or mere thanks", async () => {
  expect(await slipsIn(answers("asks back")[0]!.text)).not.toEqual([]);
  expect(await slipsIn(answers("half")[0]!.text)).toContain("promise");
  expect(await slipsIn(answers("at once")[0]!.text)).toEqual([]);
  for (const manner of ["at once", "late", "half", "asks back"] as const)
    expect(await slipsIn(answers(manner, told)[0]!.text)).toEqual([]);
});

test("days that are promised are working days ahead, and the automatic reply is marked", () => {
  expect(answers("half")[0]!.text).toContain("by Fri 27 Nov");
  const [reply, later] = answers("away");
  expect(reply).toMatchObject({ isAutomatic: true, text: expect.stringContaining("back on Mon 30 Nov") });
  expect(later!.isAutomatic).toBe(false);
  expect(answers("at once", asked, 0)[0]!.text).not.toBe(answers("at once", asked, 1)[0]!.text);
});
