import fc from "fast-check";
import { expect, test } from "vitest";
import { whoHears } from "../hearing/who-hears";
import { type Chain, type Holding, handedBack, handedBackIn, handedOn, linkToOwner, peopleIn, takenOn } from "./chain";
import { changeField } from "./decisions/change-fields";
import { askBack, type HandFacts, handBack, handOver, takeOn } from "./decisions/hand-over";
import type { Outcome, RowValues } from "./outcome";

const NOW = "2026-11-24T11:20:00.000Z";
const own: Holding = { ownerId: null, chain: [] };
const say = (holding: Holding) => peopleIn(holding).join(" → ");

test("each who passes it on is a link; back to a former owner the chain is shorter; taken away, the taken is none", () => {
  const given = handedOn(own, "ines", "suki", NOW, "only sheet 3");
  expect(say(given)).toBe("ines → suki");
  expect(given.chain[0]).toMatchObject({ answer: "needs-action", note: "only sheet 3" });
  const passed = handedOn(given, "suki", "jonah", NOW);
  expect(say(passed)).toBe("ines → suki → jonah");
  expect(passed.chain.map((link) => link.answer)).toEqual(["delegated", "needs-action"]);
  expect(say(handedOn(passed, "jonah", "suki", NOW))).toBe("ines → suki");
  expect(handedOn(passed, "jonah", "suki", NOW).chain[0]).toMatchObject({ answer: "accepted", note: "only sheet 3" });
  expect(handedOn(passed, "jonah", "ines", NOW)).toEqual({ ownerId: "ines", chain: [] });
  expect(say(handedOn(passed, "ines", "kofi", NOW))).toBe("ines → kofi");
  expect(say(handedOn(passed, "mair", "kofi", NOW))).toBe("ines → suki → mair → kofi");
  expect(handedOn(own, "kofi", "kofi", NOW)).toEqual({ ownerId: "kofi", chain: [] });
});

test("handed back it is nobody's and stands before who gave it; a second owner follows the giver", () => {
  const back = handedBack(handedOn(own, "ines", "suki", NOW), "needs an installer's card", NOW);
  expect(back.ownerId).toBeNull();
  expect(handedBackIn(back)).toMatchObject({ by: "ines", to: "suki", reason: "needs an installer's card" });
  expect(say(handedOn(back, "ines", "kofi", NOW))).toBe("ines → kofi");
  expect(say(handedOn(back, "mair", "kofi", NOW))).toBe("ines → mair → kofi");
  expect(handedBackIn(handedOn(back, "ines", "suki", NOW))).toBeNull();
  expect(linkToOwner(takenOn(handedOn(back, "ines", "suki", NOW), NOW))?.answer).toBe("accepted");
});

test("a chain of thirty stays a chain, and the first can take it all back", () => {
  const people = Array.from({ length: 31 }, (_, i) => `p${i}`);
  const long = people.slice(1).reduce((holding, to, i) => handedOn(holding, `p${i}`, to, NOW), own);
  expect(peopleIn(long)).toEqual(people);
  expect(handedOn(long, "p0", "p0", NOW)).toEqual({ ownerId: "p0", chain: [] });
});

// ---- generated sequences of acts, held against a naive account of who has it

const PEOPLE = ["ines", "suki", "kofi", "mair", "jonah"] as const;
const person = fc.constantFrom(...PEOPLE);
const step = fc.oneof(
  fc.record({ act: fc.constant("hand over" as const), by: person, to: person }),
  fc.record({ act: fc.constant("free" as const), by: person }),
  fc.record({ act: fc.constantFrom("take on", "hand back", "ask back", "done", "reopen"), by: person }),
);
type Step = typeof step extends fc.Arbitrary<infer S> ? S : never;

interface TaskNow {
  readonly row: RowValues;
  readonly log: { before: RowValues; after: RowValues }[];
}

function factsOf(row: RowValues, actorId: string): HandFacts {
  const holding = { ownerId: row.ownerId as string | null, chain: row.chain as unknown as Chain };
  return {
    id: "t",
    about: ["t"],
    reference: "quince 417",
    state: row.state as "done",
    holding,
    actorId,
    doerId: actorId,
    ownerName: null,
  };
}

function decide(row: RowValues, one: Step): Outcome {
  const facts = factsOf(row, one.by);
  const columns = { columns: row, togetherId: null, ids: ["x"], numbers: [] };
  const field = {
    row: "task" as const,
    id: "t",
    about: ["t"],
    isOpen: true,
    now: row,
    lastChangedBy: "Somebody",
    actorId: one.by,
    say: () => "",
  };
  switch (one.act) {
    case "hand over":
      return handOver({ ...facts, ...columns }, { toIds: [(one as { to: string }).to], note: "" }, NOW);
    case "free":
      return changeField(field, { field: "owner", to: { side: "ours", personId: null } }, null, NOW);
    case "take on":
      return takeOn(facts, NOW);
    case "hand back":
      return handBack(facts, { reason: "no room" }, NOW);
    case "ask back":
      return askBack({ ...facts, commentId: "c" }, { question: "Which sheet?" }, NOW);
    case "done":
      return changeField(field, { field: "state", to: "done" }, null, NOW);
    default:
      return changeField(field, { field: "state", to: "to begin" }, null, NOW);
  }
}

const START: RowValues = {
  ownerId: null,
  chain: [],
  state: "to begin",
  doubt: null,
  finishedAt: null,
  side: "ours",
  theirsId: null,
};

function heardTask(row: RowValues) {
  return { ...factsOf(row, "").holding, state: row.state as "done", doubt: null, due: "", fields: "" };
}

test("generated acts: one owner or none, a chain without rings, done told once to each above, undo and history exact", () => {
  let acts = 0;
  let dones = 0;
  fc.assert(
    fc.property(fc.array(step, { minLength: 20, maxLength: 60 }), (steps) => {
      let now: TaskNow = { row: START, log: [] };
      for (const one of steps) {
        const outcome = decide(now.row, one);
        if (!outcome.ok) continue;
        const write = outcome.writes.find((each) => each.row === "task");
        if (!write) continue;
        acts += 1;
        const after = write.values!;
        const before = Object.fromEntries(Object.keys(after).map((key) => [key, now.row[key] ?? null]));
        const old = now.row;
        const row = { ...old, ...after };
        const holding = factsOf(row, "").holding;
        // A naive account of the owner.
        const expected =
          one.act === "hand over"
            ? (one as { to: string }).to
            : one.act === "free" || one.act === "hand back"
              ? null
              : old.ownerId;
        expect(holding.ownerId).toBe(expected);
        const people = peopleIn(holding);
        expect(new Set(people).size).toBe(people.length);
        holding.chain.forEach((link, i) => {
          if (i > 0) expect(holding.chain[i - 1]!.to).toBe(link.by);
          if (i < holding.chain.length - 1) expect(link.answer).toBe("delegated");
        });
        if (holding.ownerId && holding.chain.length > 0) expect(holding.chain.at(-1)!.to).toBe(holding.ownerId);
        const heard = whoHears({
          before: heardTask(old),
          after: heardTask(row),
          actorId: one.by,
          isNoted: false,
          named: [],
          posted: ["lotte"],
          quiet: [],
        });
        expect(new Set(heard.map((each) => each.personId)).size).toBe(heard.length);
        expect(heard.some((each) => each.personId === one.by)).toBe(false);
        if (one.act === "done") {
          dones += 1;
          const told = heard.filter((each) => each.what === "done" && each.why !== "kept posted");
          const chain = new Set([...holding.chain.map((link) => link.by), holding.ownerId]);
          chain.delete(one.by);
          chain.delete(null);
          expect(new Set(told.map((each) => each.personId))).toEqual(chain);
        }
        // Taking it back gives exactly what was there, and the entries alone lead to what is.
        expect({ ...row, ...before, changedAt: null }).toEqual({ ...old, changedAt: null });
        now = { row, log: [...now.log, { before, after }] };
        expect(Object.assign({}, START, ...now.log.map((entry) => entry.after))).toEqual(now.row);
      }
    }),
    { numRuns: 300, seed: 20261124 },
  );
  expect(acts).toBeGreaterThan(2_000);
  expect(dones).toBeGreaterThan(150);
});
