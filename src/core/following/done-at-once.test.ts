import { describe, expect, test } from "vitest";
import { itemAsked } from "../../../tests/reading/learning/made-up";
import { isWellAgain } from "./cure";
import { isDoneAsAsked } from "./done-as-asked";

// Common practice of offices, in a bindery's words.
describe("what was asked is done in other words", () => {
  test.each([
    ["Could you call the paper mill?", "I've just spoken to them", true],
    ["Tell the apprentices that we open at nine.", "I've told everybody", true],
    ["Please inform Hugh.", "Hugh knows about it", true],
    ["Please be there and let the engineer in.", "the engineer was here this morning", true],
    ["Please take the press to the workshop.", "it's at the workshop", true],
    ["Could you ring the paper mill?", "Got hold of them", true],
    ["Please tell the apprentices.", "Have told them both", true],
    ["Could you call the paper mill?", "Rang them just now", true],
    ["Could you call the paper mill?", "Rang them but nobody answers", false],
    ["Could you call the paper mill?", "Called off by the mayor", false],
    ["Could you call the paper mill?", "I've called them but nobody answers", false],
    ["Could you tell me the price?", "I've told Hugh", false],
    ["Please be there at nine.", "the engineer was not here", false],
    ["Please take the press to the workshop.", "it's still at the station", false],
    ["Please take the press to the workshop.", "it's with the printer in Leeds", false],
    ["May I ask you to trim the edges?", "I've asked the printer", false],
    ["Please trim the edges.", "I've spoken to them", false],
  ])("%s – %s: %s", (quote, said, is) => {
    expect(isDoneAsAsked(itemAsked("ask", "-", quote, 1), said)).toBe(is);
  });
});

describe("what was in trouble is well again", () => {
  test.each([
    ["It's working again.", true],
    ["The press runs as it should.", true],
    ["Everything has been repaired.", true],
    ["All sharp again.", true],
    ["No more noise.", true],
    ["Tightened two screws, runs fine now.", true],
    ["The press is back in service.", true],
    ["Works like new!", true],
    ["We hope that it runs properly.", false],
    ["The man who knows why it works properly is ill.", false],
    ["There's plenty of paper again.", true],
    ["The noise of the press is back.", false],
    ["It isn't working properly.", false],
    ["The alarm is ringing again.", false],
    ["The bin is full again.", false],
    ["The mould is there again.", false],
    ["It's leaking again.", false],
    ["It's broken again.", false],
    ["It works again, but not for long.", false],
    ["It's working again until Friday.", false],
    ["Is it working again?", false],
  ])("%s: %s", (text, is) => {
    expect(isWellAgain(text, /\bpress\b/.test(text))).toBe(is);
  });
});
