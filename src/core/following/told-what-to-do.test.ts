import { expect, test } from "vitest";
import { tellingWords } from "../finding/telling-words";
import { isToldWhatToDo } from "./told-what-to-do";

const asked = (quote: string) => ({ kind: "question" as const, quote, words: tellingWords(quote) });

// Common practice: who asks what to do is told what to do.
test.each([
  ["Where should we put the boxes?", "Put them in the cellar.", true],
  ["What do we do about the flour?", "Throw the flour away.", true],
  ["Shall I order new ones?", "Don't order anything.", true],
  ["Where should we put the boxes?", "Please order more tape.", false],
  ["Where should we put the boxes?", "Could you send me the list?", false],
  ["Is the gate open?", "Shut it.", false],
  ["Where should we put the boxes?", "They are in the cellar.", false],
])("%s %s %s", (question, order, isTold) => {
  expect(isToldWhatToDo(order, asked(question))).toBe(isTold);
});
