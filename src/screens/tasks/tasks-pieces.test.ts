import { describe, expect, test } from "vitest";
import type { FieldChange } from "../../core/tasks/decisions/change-fields";
import { PLAIN_WEEK } from "../../core/time/day";
import type { HouseView, PersonView, TaskRow } from "../../core/views/views";
import { columnsSeen, taskWithChange, withChange } from "../words/field-change";
import { groupByDay, groupByPerson } from "./day-groups";
import { originOf } from "./task-row";
import { lookInAddress } from "./tasks-data";

const person = (id: string, name: string): PersonView => ({
  id,
  name,
  initials: name.slice(0, 2),
  address: `${id}@yard.example`,
  work: "",
  nicknames: [],
  away: null,
});
const rosa = person("rosa", "Rosa Beck");
const piet = person("piet", "Piet Holm");
const mole = {
  id: "mole",
  name: "Mo Lester-Quay",
  initials: "ML",
  address: "mo@quay.example",
  firm: null,
  awayUntil: null,
};
const house = {
  team: [rosa, piet],
  projects: [{ id: "keel", name: "New keel", workstreams: [], members: null }],
} as unknown as HouseView;

function task(values: Partial<TaskRow> & { day?: string | null }): TaskRow {
  const { day, ...rest } = values;
  return {
    id: rest.id ?? "t",
    reference: "quince 417",
    slug: "quince-417",
    title: "Varnish the tiller",
    side: "ours",
    owner: rosa,
    theirs: null,
    due: day ? { day, time: null, zone: "Europe/London" } : null,
    priority: "normal",
    estimate: null,
    state: "to begin",
    projectId: null,
    project: null,
    workstreamId: null,
    kind: "ask",
    writer: null,
    trouble: null,
    finishedAt: null,
    chain: [],
    doubt: null,
    startDay: null,
    percent: null,
    heldBy: null,
    chasePlan: null,
    steps: [],
    repeats: null,
    putUntil: null,
    returnedAt: null,
    createdAt: 0,
    ...rest,
  };
}

describe("the day gutter", () => {
  const group = (days: readonly (string | null)[]) =>
    groupByDay(
      days.map((day, i) => task({ id: String(i), day })),
      "2026-11-24",
      "Europe/London",
      PLAIN_WEEK,
      false,
    );

  test("names each day once, with its distance; late days stand together", () => {
    const rows = group(["2026-11-20", "2026-11-23", "2026-11-24", "2026-11-24", "2026-11-25", "2026-11-30", null]);
    expect(rows.map((row) => row.head && [row.head.name, row.head.note])).toEqual([
      ["Over", "2 tasks"],
      null,
      ["Today", "Tue 24 Nov"],
      null,
      ["Wed 25 Nov", "tomorrow"],
      ["Mon 30 Nov", "in 4 working days"],
      ["No date", "nobody is reminded"],
    ]);
    expect(rows.map((row) => row.look)).toEqual(["over", "over", "today", "today", "day", "day", "none"]);
    expect(rows.map((row) => row.isLast)).toEqual([false, true, false, true, true, true, true]);
  });
  test("has nothing to say of an empty list, and one task over is one task", () => {
    expect(group([])).toEqual([]);
    expect(group(["2026-11-20"])[0]!.head).toEqual({ name: "Over", note: "1 task" });
  });
  test("goes by the day of finishing where only finished ones are shown, on the wall of our zone", () => {
    // 23:30 UTC is the next day in Auckland.
    const rows = groupByDay(
      [task({ state: "done", finishedAt: Date.parse("2026-11-23T23:30:00Z"), day: "2026-11-20" })],
      "2026-11-24",
      "Pacific/Auckland",
      PLAIN_WEEK,
      true,
    );
    expect(rows[0]!.head).toEqual({ name: "Tue 24 Nov", note: "today" });
  });
});

test("an origin says in a few words whose letter a task comes from", () => {
  const from = (values: Partial<TaskRow>) => originOf(task({ writer: "Fenna Dahl", ...values }));
  expect(from({})).toBe("from Fenna’s letter");
  expect(from({ kind: "question" })).toBe("Fenna asks");
  expect(from({ kind: "trouble" })).toBe("trouble in Fenna’s letter");
  expect(from({ side: "theirs", kind: "promise" })).toBe("promised by Fenna");
  expect(from({ side: "theirs" })).toBe("asked by Fenna");
  expect(from({ writer: null })).toBe("");
});

test("a look is in the address only as far as it differs from the usual one", () => {
  const usual = { whose: "everyone", projectId: null, show: "open" } as const;
  expect(lookInAddress(usual)).toBe("");
  expect(lookInAddress({ ...usual, whose: "mine" })).toBe("?whose=mine");
  expect(lookInAddress({ whose: "everyone", personId: "rosa", projectId: "keel", show: "done" })).toBe(
    "?person=rosa&project=keel&show=done",
  );
});

describe("a field changed on the screen before it is saved", () => {
  const one = task({ day: "2026-11-24", projectId: "keel", project: "New keel" });
  const changes: readonly FieldChange[] = [
    { field: "title", to: "Sand the tiller" },
    { field: "owner", to: { side: "ours", personId: "piet" } },
    { field: "owner", to: { side: "ours", personId: null } },
    { field: "due", to: { day: "2026-12-01", time: "14:00", zone: "Europe/London" } },
    { field: "due", to: null },
    { field: "priority", to: "top" },
    { field: "estimate", to: 90 },
    { field: "project", to: { projectId: null, workstreamId: null } },
    { field: "state", to: "done" },
    { field: "kind", to: "trouble" },
  ];

  test("changes that field and no other, and never the row it was given", () => {
    const before = JSON.stringify(one);
    for (const change of changes) {
      const next = taskWithChange(one, change, house);
      const changed = Object.keys(one).filter(
        (key) => JSON.stringify(one[key as keyof TaskRow]) !== JSON.stringify(next[key as keyof TaskRow]),
      );
      const allowed: Record<FieldChange["field"], string[]> = {
        title: ["title"],
        owner: ["owner"],
        due: ["due"],
        priority: ["priority"],
        estimate: ["estimate"],
        project: ["projectId", "project"],
        state: ["state"],
        kind: ["kind"],
      };
      expect([change.field, changed.sort()]).toEqual([change.field, allowed[change.field].sort()]);
    }
    expect(JSON.stringify(one)).toBe(before);
  });

  test("given to somebody outside it becomes a wait, and the one of us who waits stays named", () => {
    const wait = taskWithChange(
      task({ theirs: mole, side: "theirs" }),
      {
        field: "owner",
        to: { side: "theirs", correspondentId: "mole" },
      },
      house,
    );
    expect([wait.side, wait.theirs?.id, wait.owner?.id]).toEqual(["theirs", "mole", "rosa"]);
    const ours = taskWithChange(wait, { field: "owner", to: { side: "ours", personId: "piet" } }, house);
    expect([ours.side, ours.theirs, ours.owner?.id]).toEqual(["ours", null, "piet"]);
    const slip = withChange(one, { field: "owner", to: { side: "theirs", correspondentId: "mole" } }, house, [mole]);
    expect([slip.owner, slip.theirs?.id]).toEqual([null, "mole"]);
  });

  test("what was seen is named by the columns it would overwrite", () => {
    const seen = Object.fromEntries(changes.map(({ field }) => [field, columnsSeen(one, field)]));
    expect(seen).toEqual({
      title: { title: "Varnish the tiller" },
      owner: { ownerId: "rosa", theirsId: null },
      due: { dueDay: "2026-11-24", dueTime: null },
      priority: { priority: "normal" },
      estimate: { estimate: null },
      project: { projectId: "keel", workstreamId: null },
      state: { state: "to begin" },
      kind: { kind: one.kind },
    });
  });
});

test("what was given to others stands under whoever has it, with how many are over", () => {
  const suki = { id: "suki", name: "Suki Aldane", initials: "SA", address: "", work: "", nicknames: [], away: null };
  const due = (day: string) => ({ day, time: null, zone: "Europe/London" });
  const rows = groupByPerson(
    [
      task({ id: "1", owner: null }),
      task({ id: "2", owner: suki, due: due("2026-11-20") }),
      task({ id: "3", owner: suki, due: due("2026-11-27") }),
    ],
    "2026-11-24",
  );
  expect(rows.map((row) => [row.head, row.isLast])).toEqual([
    [{ name: "Nobody", note: "1 task" }, true],
    [{ name: "Suki Aldane", note: "2 tasks, 1 over" }, false],
    [null, true],
  ]);
});
