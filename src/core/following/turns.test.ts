import { expect, test } from "vitest";
import { askerTurn, thankedFor } from "./asker-turns";
import { ownerTurn } from "./owner-turns";
import { isSmallTalk } from "./small-talk";
import { whole } from "./turns";

const ask = { kind: "ask", quote: "Please mend the gate." } as const;
const loan = { kind: "ask", quote: "Could you lend us the projector?" } as const;

test.each([
  ["I'm sorry, but that's not possible.", "declined"],
  ["Unfortunately we can't do that any more.", "declined"],
  ["The guarantee has run out, there's nothing we can do.", "declined"],
  ["I can't do it this week.", "moved"],
  ["It won't be ready by Friday.", "moved"],
  ["We need another week.", "moved"],
  ["We are working on it.", "promised"],
  ["You should have it by now.", "done"],
  ["Everything is fully booked on the 12th.", "declined"],
  ["There are no rooms left for that night.", "declined"],
  // Said for good, of another time, or of nothing that is open.
  ["I can't do that this week or at all.", null],
  ["We can't wait to see it.", null],
  ["There's no time to lose.", null],
  ["That was not possible in the old hall?", null],
  ["It is being reprinted and will be late.", null],
])("whoever owes a thing says of it: %s", (text, change) => {
  expect(ownerTurn(text, ask, { isOfWords: false, isNamed: true })?.change ?? null).toBe(change);
});

test("what somebody wants to have for a while is not to be had where it is broken or lent; other things are no less broken for it", () => {
  for (const text of ["It's broken, I'm afraid.", "We've already lent it to the school.", "It's already taken."]) {
    expect(ownerTurn(text, loan, { isOfWords: false, isNamed: false })?.change).toBe("declined");
    expect(ownerTurn(text, ask, { isOfWords: false, isNamed: false })).toBeNull();
  }
});

test("who was asked in words has no answer, or looks for one", () => {
  const question = { kind: "question", quote: "Is the hall free?" } as const;
  expect(ownerTurn("I'm sorry, I can't say.", question, { isOfWords: true, isNamed: true })?.change).toBe("declined");
  expect(ownerTurn("I'd have to ask the caretaker first.", question, { isOfWords: true, isNamed: true })?.change).toBe(
    "promised",
  );
  expect(ownerTurn("We are fully booked.", question, { isOfWords: true, isNamed: true })).toBeNull();
  expect(ownerTurn("I have to ask the caretaker first.", ask, { isOfWords: false, isNamed: true })).toBeNull();
});

test.each([
  ["We've changed our minds.", "called off"],
  ["You needn't come any more.", "called off"],
  ["That mail was meant for somebody else.", "called off"],
  ["I've repaired it myself in the meantime.", "called off"],
  ["We found another projector.", "called off"],
  ["There's no need to hurry.", "moved"],
  ["Tuesday will do too.", "moved"],
  ["Could you give me an update?", "reminded"],
  ["The gate still isn't repaired.", "reminded"],
  ["You wanted to drop off the papers yesterday.", "reminded"],
  ["You said you'd ring the council.", "reminded"],
  ["Have you made a decision?", "reminded"],
  ["You wanted to know the price.", null],
  ["We have received it, thank you.", "done"],
  ["Nora has sent us the list.", "done"],
  // Agreement to a day, an ask, and thanks are none of it.
  ["Tuesday is fine.", null],
  ["Please let us have a signed copy.", null],
  ["You needn't answer before Monday.", null],
  ["No need to apologise.", null],
])("whoever wants a thing says of it: %s", (text, change) => {
  expect(askerTurn(text, true)?.change ?? null).toBe(change);
});

test.each([
  "We have found another mistake in the offer.",
  "We've got a problem now.",
  "You needn't send the originals, copies will do.",
  "There's no need to print it in colour.",
  "Please leave the key under the mat.",
  "The old form is no longer needed.",
  "Please remember the gate code is 4411.",
  "Could you give me a lift?",
  "We've got the wrong one.",
  "Nora has given us a fright.",
])("whoever wants a thing that is not named says nothing of it: %s", (text) => {
  expect(askerTurn(text, false)).toBeNull();
});

test.each([
  "The museum is sold out.",
  "There's no chance of rain.",
  "We don't do things by halves.",
  "We can't thank you enough for coming in time.",
  "I won't forget it this week.",
  "I can't wait until Monday.",
  "You can't go wrong this week.",
  "No problem, before Friday you will have it.",
  "Let me see, there were nine of us.",
])("whoever owes a thing that is not named says nothing of it: %s", (text) => {
  for (const isOfWords of [true, false]) expect(ownerTurn(text, ask, { isOfWords, isNamed: false })).toBeNull();
});

test("thanks are given for what has come", () => {
  expect(thankedFor("Thank you for sending the price list so quickly.")).toBe("price list");
  expect(thankedFor("Thanks for the drawings.")).toBe("drawings");
  expect(thankedFor("Thanks a lot.")).toBeNull();
});

test.each([
  "Thank you for your mail.",
  "I hope you had a good weekend.",
  "It's been raining here all day.",
  "It was nice to meet you.",
  "We had a quiet week.",
  "See you on Friday.",
])("it is talk: %s", (text) => {
  expect(isSmallTalk(text)).toBe(true);
});

test.each([
  "I hope you have found the invoice.",
  "It's warm again in room 4.",
  "It's still cold in here.",
  "The storm has taken the roof.",
  "We had to wait a week.",
  "Thank you for the price list.",
  "I hope it is fine if we send it on Monday.",
  "See you on Friday with the drawings.",
  "Looking forward to your answer.",
  "The heat is back on.",
])("it is no talk: %s", (text) => {
  expect(isSmallTalk(text)).toBe(false);
});

test("a pattern that names nothing known is refused", () => {
  expect(() => whole("<nobody>")).toThrow("nobody");
});
