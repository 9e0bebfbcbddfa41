import { expect, test } from "vitest";
import { answerInWords } from "./answer-in-words";

// Common practice of short answers; no published set is known.
test("yes, no with its reason, done and a question are answers; anything else only stands on the task", () => {
  const acts: [string, string | null][] = [
    ["Yes", "take on"],
    ["Hi Ines,\n\nok, will do.\n\nSuki", "take on"],
    ["I'll do it this afternoon", "take on"],
    ["No problem.", "take on"],
    ["Ines,\n\nI'm on it", "take on"],
    ["No, I am on the roof until Friday.", "hand back"],
    ["Sorry, no room this week", "hand back"],
    ["I can't, the model is with Jonah", "hand back"],
    ["Done.", "done"],
    ["Sent it this morning", "done"],
    ["Which revision do you mean?", "ask back"],
    ["Yes? Which one?", "ask back"],
    ["The route is in, the kerb is still too steep.", null],
    ["Noted.", null],
    ["Donald rang about it.", null],
    ["", null],
    [`Yes ${"and more ".repeat(100)}`, null],
  ];
  expect(acts.map(([text]) => [text, answerInWords(text)?.act ?? null])).toEqual(acts);
  expect(answerInWords("Sorry,\nno room this week")).toEqual({ act: "hand back", reason: "Sorry, no room this week" });
});
