import { expect, test } from "vitest";
import { ACT_NAMES, historyWords } from "./history-words";
import type { Change, RowValues } from "./outcome";
import { refusalWords } from "./refusal-words";

const NAMES: Record<string, string> = {
  suki: "Suki Aldane",
  kofi: "Kofi Brandt",
  colm: "Colm Hartnell",
  hg: "Harbour Green",
};
const nameOf = (id: string) => NAMES[id] ?? null;
const changed = (before: RowValues | null, after: RowValues | null): Change[] => [
  { row: "task", id: "t", before, after },
];
const say = (act: string, before: RowValues | null, after: RowValues | null) =>
  historyWords(act, changed(before, after), "t", nameOf, "ines");

test("what happened to a task is one line in words, each kind of change once", () => {
  expect(say("change task", { title: "Old" }, { title: "New" })).toBe("changed the title from “Old” to “New”");
  expect(say("change task", { ownerId: "suki", theirsId: null }, { ownerId: "kofi", theirsId: null })).toBe(
    "took it from Suki Aldane and gave it to Kofi Brandt",
  );
  expect(say("change task", { ownerId: "suki", theirsId: null }, { ownerId: null, theirsId: null })).toBe(
    "took it from Suki Aldane: nobody has it",
  );
  expect(say("change task", { ownerId: "suki", theirsId: null }, { ownerId: "suki", theirsId: "colm" })).toBe(
    "now waits for Colm Hartnell",
  );
  expect(say("change task", { dueDay: "2026-11-25", dueTime: null }, { dueDay: "2026-11-27", dueTime: "14:00" })).toBe(
    "moved the due date from Wed 25 Nov to Fri 27 Nov, 14:00",
  );
  expect(say("change task", { dueDay: "2026-11-25" }, { dueDay: null })).toBe(
    "moved the due date from Wed 25 Nov to no date",
  );
  expect(say("change task", { priority: "normal" }, { priority: "top" })).toBe(
    "changed the priority from normal to top",
  );
  expect(say("change task", { state: "to begin" }, { state: "done" })).toBe("finished it");
  expect(say("change task", { state: "done" }, { state: "under way" })).toBe("took it up again, under way");
  expect(say("change task", { state: "to begin" }, { state: "called off" })).toContain("its letters stay");
  expect(say("change task", { projectId: null, workstreamId: null }, { projectId: "hg", workstreamId: null })).toBe(
    "moved it to Harbour Green",
  );
  expect(say("keep", null, { side: "ours", ownerId: "suki" })).toBe("kept it from the letter, for Suki Aldane");
  expect(say("keep", null, { side: "ours", ownerId: null })).toBe("kept it from the letter, without an owner yet");
  expect(say("keep", null, { side: "theirs", ownerId: "suki", theirsId: "colm" })).toBe(
    "kept it from the letter, to wait for Colm Hartnell",
  );
  expect(say("make task", null, { title: "x" })).toBe("made it by hand");
  expect(say("undo", { state: "done" }, { state: "to begin" })).toBe("undid a change: took it up again, to begin");
});

test("no act is without words", () => {
  for (const act of ACT_NAMES) expect(historyWords(act, [], "t", nameOf, "ines").length).toBeGreaterThan(3);
});

test("every refusal says what was kept or what to do", () => {
  const refusals = [
    { code: "not found" },
    { code: "not allowed" },
    { code: "built upon", by: "Suki" },
    { code: "already undone" },
    { code: "nothing to undo" },
    { code: "invalid", why: "A reason in words." },
    { code: "changed meanwhile", by: "Suki", what: "title", yours: "A", theirs: "B" },
  ] as const;
  const said = refusals.map(refusalWords);
  expect(new Set(said).size).toBe(refusals.length);
  for (const sentence of said) expect(sentence).toMatch(/^[A-Z].*\.$/s);
});
