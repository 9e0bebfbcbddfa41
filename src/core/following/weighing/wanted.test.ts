import { describe, expect, test } from "vitest";
import { suitsWanted } from "./wanted";

// What a question wants: the coarse classes of Li & Roth 2002; the sentences are common practice of offices.
describe("whether words are of the sort that is wanted", () => {
  test.each([
    ["How many chairs are in the hall?", "118, unless somebody sat on one.", "wants number, there"],
    ["How many chairs are in the hall?", "On the 18th at ten.", "wants number, not there"],
    ["How many chairs are in the hall?", "By 4 March.", "wants number, not there"],
    ["What does it cost?", "Forty pounds a day.", "wants number, there"],
    ["When does the van come?", "Thursday, before noon.", "wants time, there"],
    ["When does the van come?", "It is green.", "wants time, not there"],
    ["Who plays the piano?", "That is Tom Reeve.", "wants person, there"],
    ["Where is the key?", "under the mat", "wants place, there"],
    ["Why was it sent back?", "Because of the stamp.", "wants reason, there"],
    ["Nadia, are there stairs?", "Not a single one.", "wants yes or no, there"],
    ["Is it paper or plastic now?", "paper, always paper", "wants a choice, made"],
    ["Is it paper or plastic now?", "we shall see", "wants a choice, not made"],
  ])("%s %s", (asked, said, found) => {
    expect(suitsWanted(asked, said)).toContain(found);
  });
  test("an order wants none of them", () => {
    expect(suitsWanted("Please mow the lawn.", "Mown.")).toEqual([]);
  });
});
