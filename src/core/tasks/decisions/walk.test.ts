import fc from "fast-check";
import { expect, test } from "vitest";
import type { Change, Outcome, RowValues } from "../outcome";
import type { SlipFacts } from "../task";
import { backToSort, brushOff, nothingToDo } from "./deal-with";
import { keepSlips } from "./keep-slips";
import { undo } from "./undo";

// Walks every state that a conversation with its slips can reach by the acts of Sort and their undoing, over a table of rows
// in memory, and checks the rules at each stop: a second, naive implementation of what the database does with an outcome.

type Table = Map<string, RowValues>;

interface Entry {
  readonly seq: number;
  readonly changes: readonly Change[];
  readonly about: readonly string[];
  readonly undoes: number | null;
}

const CONVERSATION = "c";
const NOW = "2026-11-24T11:20:00.000Z";

class House {
  rows: Table = new Map();
  history: Entry[] = [];
  private nextNumber = 101;

  constructor(slipCount: number) {
    this.rows.set(CONVERSATION, {
      place: "sort",
      outcome: null,
      dealtAt: null,
      dealtBy: null,
      cameAt: NOW,
      putUntil: null,
      returnedAt: null,
    });
    for (let i = 0; i < slipCount; i += 1) this.rows.set(`s${i}`, { state: "proposed", taskId: null, setAside: null });
  }

  slips(): SlipFacts[] {
    return [...this.rows].flatMap(([id, row]) =>
      id.startsWith("s")
        ? [
            {
              id,
              conversationId: CONVERSATION,
              passage: { letterId: "l", start: 0, end: 5 },
              kind: "ask" as const,
              title: `Title of ${id}`,
              owner: { side: "ours" as const, personId: null },
              due: null,
              priority: "normal" as const,
              estimate: null,
              projectId: null,
              workstreamId: null,
              state: row.state as SlipFacts["state"],
              changes: null,
            },
          ]
        : [],
    );
  }

  facts() {
    const place = this.rows.get(CONVERSATION)!.place as "sort" | "dealt with";
    return { conversationId: CONVERSATION, place, slips: this.slips(), actorId: "ines" };
  }

  isUndone(seq: number): boolean {
    return this.history.some((entry) => entry.undoes === seq && !this.isUndone(entry.seq));
  }

  /** Writes an outcome down, or nothing at all where it is a refusal. */
  write(outcome: Outcome): boolean {
    if (!outcome.ok) return false;
    const changes: Change[] = outcome.writes.map((write) => {
      const row = this.rows.get(write.id) ?? null;
      if (write.values === null) {
        this.rows.delete(write.id);
        return { row: write.row, id: write.id, before: row, after: null };
      }
      const before =
        write.isNew || !row
          ? null
          : Object.fromEntries(Object.keys(write.values).map((name) => [name, row[name] ?? null]));
      this.rows.set(write.id, { ...(row ?? {}), ...write.values });
      return { row: write.row, id: write.id, before, after: write.values };
    });
    this.history.push({
      seq: this.history.length + 1,
      changes,
      about: outcome.about,
      undoes: outcome.undoes ?? null,
    });
    return true;
  }

  keep(ids: readonly string[]): boolean {
    const numbers = ids.map((_, i) => this.nextNumber + i);
    this.nextNumber += ids.length;
    return this.write(
      keepSlips(
        { ...this.facts(), conversationProjectId: null, numbers, ids: numbers.map((number) => `t${number}`) },
        { slipIds: ids },
        NOW,
      ),
    );
  }

  undoLast(): boolean {
    const entry = this.history.findLast((one) => one.undoes === null && !this.isUndone(one.seq));
    if (!entry) return false;
    return this.write(
      undo({
        entry: { seq: entry.seq, isUndone: false, changes: entry.changes, about: entry.about },
        rows: this.rows,
        touchedLater: new Map(),
      }),
    );
  }

  /** What a person sees: where everything is, without the moments at which it was put there. */
  picture(): string {
    return JSON.stringify([...this.rows].sort(([a], [b]) => (a < b ? -1 : 1)));
  }
}

function check(house: House): void {
  const conversation = house.rows.get(CONVERSATION)!;
  const slips = house.slips();
  const tasks = [...house.rows].filter(([id]) => id.startsWith("t"));
  const kept = slips.filter((slip) => slip.state === "kept");
  // Every kept slip has its own task, every task its slip; nothing is made twice, and nothing is lost.
  expect(kept.map((slip) => house.rows.get(slip.id)!.taskId).sort()).toEqual(tasks.map(([id]) => id).sort());
  expect(new Set(tasks.map(([, row]) => row.number)).size).toBe(tasks.length);
  for (const [, row] of tasks) expect([row.side, row.ownerId, row.theirsId]).toEqual(["ours", null, null]);
  // A conversation that is dealt with leaves nothing proposed behind; one that came back to Sort is not counted as dealt with.
  if (conversation.place === "dealt with") {
    expect(slips.filter((slip) => slip.state === "proposed")).toEqual([]);
    expect([conversation.dealtBy, conversation.outcome !== null]).toEqual(["ines", true]);
    if (kept.length > 0) expect(conversation.outcome).toBe("kept");
  } else expect([conversation.outcome, conversation.dealtAt, conversation.dealtBy]).toEqual([null, null, null]);
}

type Step =
  | { readonly act: "keep"; readonly which: readonly number[] }
  | { readonly act: "brush off"; readonly which: number }
  | { readonly act: "nothing" | "back" | "undo" };

const step: fc.Arbitrary<Step> = fc.oneof(
  fc.record({
    act: fc.constant("keep" as const),
    which: fc.uniqueArray(fc.nat(3), { minLength: 1, maxLength: 4 }),
  }),
  fc.record({ act: fc.constant("brush off" as const), which: fc.nat(3) }),
  fc.record({ act: fc.constantFrom("nothing" as const, "back" as const, "undo" as const) }),
);

function take(house: House, one: Step): boolean {
  switch (one.act) {
    case "keep": {
      const ids = one.which.map((n) => `s${n}`).filter((id) => house.rows.has(id));
      return ids.length > 0 && house.keep(ids);
    }
    case "brush off":
      return house.write(brushOff(house.facts(), { slipId: `s${one.which}` }, NOW));
    case "nothing":
      return house.write(nothingToDo(house.facts(), NOW));
    case "back":
      return house.write(backToSort(house.facts(), NOW));
    case "undo":
      return house.undoLast();
  }
}

test("the rules hold at every stop of every walk through Sort, and undoing all of it leads back to the start", () => {
  let stops = 0;
  let refusals = 0;
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 4 }), fc.array(step, { maxLength: 14 }), (slipCount, steps) => {
      const house = new House(slipCount);
      const start = house.picture();
      for (const one of steps) {
        const before = house.picture();
        if (take(house, one)) check(house);
        else {
          // What is refused changes nothing.
          expect(house.picture()).toBe(before);
          refusals += 1;
        }
        stops += 1;
      }
      for (let left = house.history.length; left > 0 && house.undoLast(); left -= 1) check(house);
      expect(house.picture()).toBe(start);
    }),
    { seed: 20261124, numRuns: 900 },
  );
  expect(stops).toBeGreaterThan(3_000);
  expect(refusals).toBeGreaterThan(300);
});

test("every state that slips and conversation can have together is reached by some walk", () => {
  const seen = new Set<string>();
  const queue: Step[][] = [[]];
  const acts: Step[] = [
    { act: "keep", which: [0] },
    { act: "keep", which: [1] },
    { act: "brush off", which: 0 },
    { act: "brush off", which: 1 },
    { act: "nothing" },
    { act: "back" },
  ];
  // Breadth first, so that each state is met by its shortest walk.
  for (let steps = queue.shift(); steps; steps = queue.shift()) {
    const house = new House(2);
    for (const one of steps) take(house, one);
    const state = `${house.rows.get(CONVERSATION)!.place}: ${house
      .slips()
      .map((slip) => slip.state)
      .join(", ")}`;
    if (seen.has(state)) continue;
    seen.add(state);
    if (steps.length < 5) for (const one of acts) queue.push([...steps, one]);
  }
  const slipStates = ["proposed", "kept", "brushed off"];
  const inSort = slipStates.flatMap((a) => slipStates.map((b) => `sort: ${a}, ${b}`));
  for (const state of inSort.filter((one) => one.includes("proposed")))
    expect([state, seen.has(state)]).toEqual([state, true]);
  for (const state of ["kept, kept", "kept, brushed off", "brushed off, kept", "brushed off, brushed off"])
    expect([state, seen.has(`dealt with: ${state}`)]).toEqual([state, true]);
  expect([...seen].filter((state) => state.startsWith("dealt with") && state.includes("proposed"))).toEqual([]);
});
