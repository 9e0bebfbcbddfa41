import { expect, test } from "vitest";
import { isDigestDue } from "./digest-times";
import { digestLetter, type MailedTask, noticeLetter } from "./notice-letter";

const TASK: MailedTask = {
  reference: "quince 417",
  title: "Send the drawing",
  due: "Wed 25 Nov, tomorrow",
  project: "Harbour Green",
  link: "http://jam.example/tasks/quince-417",
  answerLink: "http://jam.example/answer/k",
  notices: [{ by: "Ines Valdarno", words: "gave it to you: “Only sheet 3 changed.”", why: "own it" }],
};

test("a letter about one task says who did what, by when, where to answer, and why it comes", () => {
  expect(noticeLetter(TASK)).toEqual({
    subject: "quince 417: Send the drawing",
    text: [
      "Ines Valdarno gave it to you: “Only sheet 3 changed.”",
      "",
      "Send the drawing (quince 417)",
      "due Wed 25 Nov, tomorrow, Harbour Green",
      "  Take it on, hand it back or ask: http://jam.example/answer/k",
      "http://jam.example/tasks/quince-417",
      "",
      "An answer to this letter stands on the task.",
      "You hear of this because you own it. “Mail about your tasks” in the menu says how and when.",
    ].join("\n"),
  });
});

test("the digest gathers what could wait, by task, each with its link", () => {
  const other = {
    ...TASK,
    reference: "pear 2",
    answerLink: null,
    due: null,
    project: null,
    notices: [
      { by: "Kofi Brandt", words: "finished it", why: "handed it over" },
      { by: "Bea Thornquist", words: "wrote: “38 panels.”", why: "handed it over" },
    ],
  };
  const { subject, text } = digestLetter([TASK, other]);
  expect(subject).toBe("3 things you should hear, of 2 tasks");
  expect(text).toContain("  Kofi Brandt finished it.\n  Bea Thornquist wrote: “38 panels.”\nhttp://jam.example");
  expect(text).toContain("because you own it, or because you handed it over.");
  expect(digestLetter([{ ...TASK, notices: TASK.notices }]).subject).toBe("1 thing you should hear, of 1 task");
});

test("a digest is due once at each of its wall times, in the zone of whoever reads it, also on the days the clocks change", () => {
  const at = (text: string) => Date.parse(text);
  const due = (from: string, to: string, zone = "Europe/London") =>
    isDigestDue(["08:00", "13:00"], at(from), { at: at(to), zone });
  expect(due("2026-11-24T07:59:00Z", "2026-11-24T08:00:00Z")).toBe(true);
  expect(due("2026-11-24T08:00:00Z", "2026-11-24T08:01:00Z")).toBe(false);
  expect(due("2026-11-24T07:59:00Z", "2026-11-24T08:01:00Z", "Asia/Kolkata")).toBe(false);
  expect(due("2026-11-24T02:29:00Z", "2026-11-24T02:31:00Z", "Asia/Kolkata")).toBe(true);
  expect(due("2026-11-20T00:00:00Z", "2026-11-24T02:00:00Z")).toBe(true);
  let count = 0;
  const end = at("2026-10-27T00:00:00Z");
  for (let from = at("2026-10-24T00:00:00Z"); from < end; from += 600_000)
    if (isDigestDue(["08:00", "13:00"], from, { at: from + 600_000, zone: "Europe/London" })) count += 1;
  expect(count).toBe(6);
});
