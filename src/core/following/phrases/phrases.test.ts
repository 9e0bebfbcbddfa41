import { expect, test } from "vitest";
import { bared } from "../bared";
import { type Turn, turnOf } from "../turns";
import { cureBegun, isSoAgain, MISTAKEN, STILL_BAD } from "./of-trouble";
import { ASKED_AGAIN, DO_IT_MYSELF, FOUND, isAskedAgain, OF_WANTED } from "./of-wanted";
import { LOOKS_FOR_ANSWER, OF_WORK_ALONE } from "./of-work";

const said = (turns: readonly Turn[], text: string) => turnOf(turns, bared(text), false)?.change ?? null;

// Common practice: what people say in a few words, and what only sounds like it.

test.each([
  ["Right away.", "promised"],
  ["Top of my list.", "promised"],
  ["I'm loading them now.", "promised"],
  ["I won't forget.", "promised"],
  ["On its way.", "done"],
  ["Signed, sealed and filed.", "done"],
  ["Sanna has sent it.", "done"],
  ["Tuned.", "done"],
  ["Repaired yesterday.", "done"],
  ["They're as good as yours.", "promised"],
  ["That goes without saying.", "promised"],
  ["We're running behind.", "moved"],
  ["That's beyond our budget.", "declined"],
  ["Cancelled.", null],
  ["Received.", null],
  ["Postponed.", null],
  ["Booked.", null],
  ["Too late.", "declined"],
  ["You'll have to find somebody else.", "declined"],
  ["All but the last page.", "part"],
  ["No need.", "called off"],
  ["We're moving to a new office on Friday.", null],
  ["We're changing our address.", null],
  ["It's off.", null],
  ["Delighted and honoured.", null],
  ["The milk has gone off.", null],
])("of work: %s", (text, change) => {
  expect(said(OF_WORK_ALONE, text)).toBe(change);
});

test.each([
  ["Never mind.", "called off"],
  ["We have one now.", "called off"],
  ["We got some from somebody else.", "called off"],
  ["The concert's off.", "called off"],
  ["It won't be necessary.", "called off"],
  ["The lid's off.", null],
  ["No lemons have turned up.", "reminded"],
  ["The 12th is getting close.", "reminded"],
  ["No complaints have reached you, I hope?", null],
  ["Just checking.", "reminded"],
  ["Friday was yesterday.", "reminded"],
  ["I've been waiting since Monday.", "reminded"],
  ["My mistake, I meant Friday.", null],
  ["We have a new one on the list.", null],
  ["Friday is fine.", null],
])("of what is wanted: %s", (text, change) => {
  expect(said(OF_WANTED, text)).toBe(change);
});

test.each([
  ["I've called the fitter.", "promised"],
  ["The part has been ordered.", "promised"],
  ["He's coming at ten.", "promised"],
  ["I've told you so.", null],
  ["I've called the fitter, but nobody answers.", null],
  ["Ruben is coming for the tasting.", null],
])("of trouble, its cure: %s", (text, change) => {
  expect(cureBegun(bared(text))?.change ?? null).toBe(change);
});

test("of trouble, by whoever reported it", () => {
  expect(said([STILL_BAD], "It's worse today.")).toBe("reminded");
  expect(said([STILL_BAD], "It's better today.")).toBeNull();
  expect(said([MISTAKEN], "My mistake, they were here.")).toBe("done");
  const damp = { words: new Set(["flour", "damp"]) } as never;
  expect(isSoAgain("It's damp again.", damp)).toBe(true);
  expect(isSoAgain("The flour is here again.", damp)).toBe(false);
});

test("who wants it does it, finds it, or asks again in the same words", () => {
  expect(DO_IT_MYSELF.test("Then I do it myself, just put them on my table.")).toBe(true);
  expect(DO_IT_MYSELF.test("I like it myself.")).toBe(false);
  expect(said([FOUND], "Found it.")).toBe("done");
  expect(said([ASKED_AGAIN], "Is it ready yet")).toBe("reminded");
  expect(said([LOOKS_FOR_ANSWER], "I'm asking around.")).toBe("promised");
  const hall = { kind: "question", quote: "Can we use the hall on Monday?" } as never;
  expect(isAskedAgain("So can we?", hall)).toBe(true);
  expect(isAskedAgain("Can you?", hall)).toBe(false);
});
