import fc from "fast-check";
import { expect, test } from "vitest";
import type { Outcome, RowValues } from "../outcome";
import type { SlipFacts } from "../task";
import { addSlip } from "./add-slip";
import { changeField, type FieldChange, type FieldFacts } from "./change-fields";
import { backToSort, brushOff, nothingToDo } from "./deal-with";
import { keepSlips } from "./keep-slips";
import { makeTask } from "./make-task";
import { undo } from "./undo";

const NOW = "2026-11-24T11:20:00.000Z";

function slip(id: string, more: Partial<SlipFacts> = {}): SlipFacts {
  return {
    id,
    conversationId: "c",
    passage: { letterId: "l", start: 3, end: 9 },
    kind: "ask",
    title: `Title ${id}`,
    owner: { side: "ours", personId: "suki" },
    due: { day: "2026-11-27", time: null, zone: "Europe/London" },
    priority: "normal",
    estimate: null,
    projectId: null,
    workstreamId: null,
    state: "proposed",
    changes: null,
    ...more,
  };
}

function written(outcome: Outcome) {
  if (!outcome.ok) throw new Error(outcome.refusal.code);
  return outcome.writes;
}

const keepFacts = (slips: readonly SlipFacts[]) => ({
  conversationId: "c",
  conversationProjectId: "p",
  slips,
  numbers: [417, 418, 419],
  ids: ["t1", "t2", "t3"],
  actorId: "ines",
});

test("a kept slip is a task with its owner, due, passage and project; the last one takes the conversation out of Sort", () => {
  const writes = written(keepSlips(keepFacts([slip("a"), slip("b")]), { slipIds: ["a", "b"] }, NOW));
  expect(writes.map((write) => write.row)).toEqual(["task", "slip", "task", "slip", "conversation"]);
  expect(writes[0]!.values).toMatchObject({
    number: 417,
    title: "Title a",
    ownerId: "suki",
    dueDay: "2026-11-27",
    letterId: "l",
    start: 3,
    end: 9,
    projectId: "p",
    state: "to begin",
  });
  expect(writes.at(-1)!.values).toMatchObject({ place: "dealt with", outcome: "kept", dealtBy: "ines" });
});

test("a conversation with something open stays in Sort, and what is kept already is not kept twice", () => {
  expect(
    written(keepSlips(keepFacts([slip("a"), slip("b")]), { slipIds: ["a"] }, NOW)).some(
      (write) => write.row === "conversation",
    ),
  ).toBe(false);
  expect(keepSlips(keepFacts([slip("a", { state: "kept" })]), { slipIds: ["a"] }, NOW)).toMatchObject({
    ok: false,
    refusal: { code: "invalid" },
  });
  expect(keepSlips(keepFacts([slip("a")]), { slipIds: ["z"] }, NOW)).toMatchObject({
    ok: false,
    refusal: { code: "not found" },
  });
});

test("a promise from outside becomes a wait, with somebody here who waits", () => {
  const [task] = written(
    keepSlips(keepFacts([slip("a", { owner: { side: "theirs", correspondentId: "colm" } })]), { slipIds: ["a"] }, NOW),
  );
  expect(task!.values).toMatchObject({ side: "theirs", theirsId: "colm", ownerId: "ines" });
});

test("brushing off, nothing to do and back to Sort", () => {
  const facts = {
    conversationId: "c",
    place: "sort" as const,
    slips: [slip("a"), slip("b", { state: "kept" })],
    actorId: "ines",
  };
  expect(written(brushOff(facts, { slipId: "a" }, NOW)).map((write) => write.row)).toEqual(["slip", "conversation"]);
  expect(written(nothingToDo({ ...facts, slips: [slip("a"), slip("b")] }, NOW)).at(-1)!.values).toMatchObject({
    outcome: "nothing to do",
  });
  expect(written(nothingToDo(facts, NOW)).at(-1)!.values).toMatchObject({ outcome: "kept" });
  expect(backToSort(facts, NOW)).toMatchObject({ ok: false });
  expect(
    written(backToSort({ ...facts, place: "dealt with", slips: [slip("a", { state: "brushed off" })] }, NOW)).map(
      (write) => write.values,
    ),
  ).toMatchObject([{ state: "proposed" }, { place: "sort" }]);
});

function fields(now: RowValues): FieldFacts {
  return {
    row: "task",
    id: "t",
    about: ["t"],
    isOpen: true,
    now,
    lastChangedBy: "Suki Aldane",
    actorId: "ines",
    say: (field, columns) => String(columns[field] ?? columns.dueDay ?? "none"),
  };
}

test("what somebody else has changed meanwhile is not written over unseen", () => {
  const change: FieldChange = { field: "title", to: "Mine" };
  expect(changeField(fields({ title: "Theirs" }), change, { title: "Old" }, NOW)).toMatchObject({
    ok: false,
    refusal: { code: "changed meanwhile", by: "Suki Aldane", yours: "Mine", theirs: "Theirs" },
  });
  expect(written(changeField(fields({ title: "Old" }), change, { title: "Old" }, NOW))).toHaveLength(1);
  expect(written(changeField(fields({ title: "Mine" }), change, { title: "Old" }, NOW))).toHaveLength(0);
});

test("what is set right to a promise is its writer's; set right to something else, it is theirs no more", () => {
  const writer = { side: "theirs", correspondentId: "mole" } as const;
  const owners = (to: "promise" | "ask", now: Record<string, string | null>) => {
    const facts = { ...fields({ kind: "ask", ownerId: null, theirsId: null, ...now }), row: "slip" as const, writer };
    const [write] = written(changeField(facts, { field: "kind", to }, null, NOW));
    return write?.values;
  };
  expect(owners("promise", {})).toEqual({ kind: "promise", ownerId: null, theirsId: "mole" });
  expect(owners("promise", { ownerId: "suki" })).toEqual({ kind: "promise", ownerId: null, theirsId: "mole" });
  expect(owners("ask", { kind: "promise", theirsId: "mole" })).toEqual({ kind: "ask", ownerId: null, theirsId: null });
  expect(owners("ask", { kind: "promise", ownerId: "suki" })).toEqual({ kind: "ask" });
});

test("the reader's title is written anew with the kind; one that somebody wrote stays", () => {
  const titles = { taken: "Answer Ada: which colour?", setRight: "Tell Ada which colour" };
  const titled = (title: string) => {
    const facts = { ...fields({ kind: "question", title }), row: "slip" as const, titles };
    return written(changeField(facts, { field: "kind", to: "ask" }, null, NOW))[0]?.values;
  };
  expect(titled(titles.taken)).toEqual({ kind: "ask", title: titles.setRight });
  expect(titled("Colours")).toEqual({ kind: "ask" });
});

test("titles and days that cannot be are refused with what was kept", () => {
  for (const [change, word] of [
    [{ field: "title", to: "x".repeat(5_000) }, "5000"],
    [{ field: "title", to: "   " }, "needs a title"],
    [{ field: "due", to: { day: "2026-02-30", time: null, zone: "UTC" } }, "2026-02-30"],
  ] as [FieldChange, string][]) {
    const outcome = changeField(fields({ title: "Old" }), change, null, NOW);
    expect(!outcome.ok && outcome.refusal.code === "invalid" && outcome.refusal.why).toContain(word);
  }
  expect(
    makeTask(
      { id: "t", number: 1, actorId: "a" },
      { title: "", ownerId: null, due: null, priority: "normal", projectId: null, workstreamId: null },
      NOW,
    ),
  ).toMatchObject({ ok: false });
  expect(
    addSlip(
      { id: "s", conversationId: "c", projectId: null, textLength: 10, phrase: null },
      {
        title: "x",
        passage: { letterId: "l", start: 5, end: 50 },
        owner: { side: "ours", personId: null },
        due: null,
        priority: "normal",
      },
    ),
  ).toMatchObject({ ok: false });
});

test("finishing notes when, taking up again forgets it", () => {
  expect(
    written(changeField(fields({ state: "to begin" }), { field: "state", to: "done" }, null, NOW))[0]!.values,
  ).toMatchObject({ state: "done", finishedAt: NOW });
  expect(
    written(changeField(fields({ state: "done" }), { field: "state", to: "under way" }, null, NOW))[0]!.values,
  ).toMatchObject({ finishedAt: null });
});

test("undoing any run of changes, last first, gives back every row as it was", () => {
  const value = fc.oneof(fc.string(), fc.integer(), fc.constant(null));
  let steps = 0;
  fc.assert(
    fc.property(
      fc.array(fc.record({ field: fc.constantFrom("title", "priority", "dueDay"), to: value }), {
        minLength: 1,
        maxLength: 12,
      }),
      (changes) => {
        let row: RowValues = { title: "Old", priority: "normal", dueDay: null };
        const first = row;
        const entries = changes.map(({ field, to }) => {
          const entry = {
            row: "task" as const,
            id: "t",
            before: { [field]: row[field] ?? null },
            after: { [field]: to },
          };
          row = { ...row, [field]: to };
          return entry;
        });
        for (const entry of entries.reverse()) {
          const writes = written(
            undo({
              entry: { seq: 7, isUndone: false, changes: [entry], about: ["t"] },
              rows: new Map([["t", row]]),
              touchedLater: new Map(),
            }),
          );
          row = { ...row, ...writes[0]!.values };
          steps += 1;
        }
        expect(row).toEqual(first);
      },
    ),
    { numRuns: 100, seed: 420 },
  );
  expect(steps).toBeGreaterThan(200);
});

test("an undo never takes what somebody built on since", () => {
  const made = { row: "task" as const, id: "t", before: null, after: { title: "New" } };
  const facts = {
    entry: { seq: 7, isUndone: false, changes: [made], about: ["t"] },
    rows: new Map([["t", { title: "New" }]]),
    touchedLater: new Map([["t", "Suki Aldane"]]),
  };
  expect(undo(facts)).toMatchObject({ ok: false, refusal: { code: "built upon", by: "Suki Aldane" } });
  expect(undo({ ...facts, touchedLater: new Map() })).toMatchObject({ ok: true, writes: [{ id: "t", values: null }] });
  expect(undo({ ...facts, entry: { ...facts.entry, seq: 7, isUndone: true } })).toMatchObject({
    ok: false,
    refusal: { code: "already undone" },
  });
  expect(undo({ ...facts, entry: null })).toMatchObject({ ok: false, refusal: { code: "nothing to undo" } });
});
