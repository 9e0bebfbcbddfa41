import { describe, expect, test } from "vitest";
import { itemAsked } from "../../../tests/reading/learning/made-up";
import { answeredShortly } from "./answered-shortly";

// Common practice of offices, in a bindery's words: a bare answer is one to what was asked last.
const open = itemAsked("question", "-", "Is the leather in?", 1);
const which = itemAsked("question", "-", "Which thread do you want?", 2);
const who = itemAsked("question", "-", "Who has the key?", 3);
const whether = itemAsked("ask", "-", "Ask Hugh whether he takes the spare copies.", 4);
const work = itemAsked("ask", "-", "Could you trim the edges?", 5);

describe("a bare answer", () => {
  test.each([
    ["Yes, since Monday.", [open, which], open],
    ["No, leave it for now.", [which, open], open],
    ["They are.", [open], open],
    ["He does.", [whether], whether],
    ["That was me.", [open, who], who],
    ["Hugh has it.", [who], who],
    // Asked later counts before asked first.
    ["Yes.", [open, { ...whether, raised: 3 }], { ...whether, raised: 3 }],
  ])("%s", (text, left, is) => {
    expect(answeredShortly(text, left)).toEqual(is);
  });
});

describe("what is no bare answer to a question", () => {
  test.each([
    ["yes to work that was asked with it", "Yes, I'll do it tomorrow.", [open, work]],
    ["a question of its own", "Yes?", [open]],
    ["of work that it names", "Yes, the edges are trimmed.", [open, work]],
    ["to what asks for more than yes or no", "Yes.", [which]],
    ["a whole sentence", "The leather came on Monday.", [open]],
  ])("%s", (_, text, left) => {
    expect(answeredShortly(text, left)).toBeNull();
  });
});
