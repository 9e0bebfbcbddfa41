import { describe, expect, test } from "vitest";
import { answered } from "../../../tests/reading/bindery";

// What people who owe something write of it while it is half done, in hand, or with somebody else: common practice of offices.
describe("of what was asked it is said", () => {
  test.each([
    ["Please correct the title page.", "Will be corrected.", "promised"],
    ["Could you gild twelve spines?", "They're on the press.", "promised"],
    ["Could you gild twelve spines?", "Next on the bench.", "promised"],
    ["Could you gild twelve spines?", "The spines are being gilded.", "promised"],
    ["Please send the contract.", "In tomorrow's post.", "promised"],
    ["Please send the contract.", "In today's post.", "done"],
    ["Does your vellum stand damp?", "That I'd have to look up.", "promised"],
    ["Please name a gilder who works on Sundays.", "I shall have to ask around.", "promised"],
    ["You would have to fetch the ledgers before the 20th.", "I'd come on Friday with the van.", "promised"],
    ["Could you settle the bill for the glue?", "He has paid half of the bill.", "part"],
    ["Kindly send two samples of the vellum.", "One is enclosed; the second has been requested.", "part"],
    ["Do you know if the archive lends its press?", "I've asked the curator about the press.", "promised"],
    ["Do you know if the archive lends its press?", "I've asked about the press, and the curator says yes.", "done"],
    ["Kindly settle the bill for the glue.", "The bill for the glue we shan't pay.", "declined"],
    ["Could you arrange a day with the printer?", "The printer and I have settled on the 7th.", "done"],
    ["May the seal be removed?", "The seal is a matter for our archivist, who will write to you.", "passed"],
  ])("%s – %s: %s", async (asked, said, change) => {
    expect((await answered(asked, said)).map(([one]) => one)).toEqual([change]);
  });
});
