import type { ChangeKind } from "./item";

/** What a letter does to a task, in a word or two: the head of what is offered. */
export const CHANGE_WORDS: Readonly<Record<ChangeKind, string>> = {
  done: "Done",
  "called off": "No longer wanted",
  declined: "Cannot or will not",
  passed: "Passed on",
  moved: "Another day",
  part: "A part of it",
  promised: "Promised",
  reminded: "Asked for again",
};
