import { expect, test } from "vitest";
import { type Holding, handedOn } from "../tasks/chain";
import { type HeardTask, hearersOf, whoHears } from "./who-hears";
import { willHear } from "./will-hear";

const NOW = "2026-11-24T11:20:00.000Z";
const give = (holding: Holding, by: string, to: string | null) => handedOn(holding, by, to, NOW);
const none: Holding = { ownerId: null, chain: [] };
const chain = give(give(none, "ines", "suki"), "suki", "jonah");
const task = (holding: Holding, more: Partial<HeardTask> = {}): HeardTask => ({
  ...holding,
  state: "to begin",
  doubt: null,
  due: "",
  fields: "",
  ...more,
});
const told = (more: Partial<Parameters<typeof whoHears>[0]>) =>
  whoHears({
    before: task(chain),
    after: task(chain),
    actorId: "jonah",
    isNoted: false,
    named: [],
    posted: [],
    quiet: [],
    ...more,
  }).map((one) => `${one.personId} ${one.what} ${one.loudness}`);

test("the owner hears of their own work at once, who gave it with the digest, of doubts the nearest giver at once", () => {
  const moved = { after: task(chain, { due: "friday" }) };
  expect(told({ ...moved, actorId: "ines" })).toEqual(["jonah moved at once", "suki moved later"]);
  expect(told({ after: task(chain, { doubt: "ill" }) })).toEqual(["suki in doubt at once", "ines in doubt later"]);
  expect(told({ isNoted: true, actorId: "suki", named: ["mair"], posted: ["lotte"] })).toEqual([
    "mair named at once",
    "jonah noted at once",
    "ines noted later",
    "lotte noted later",
  ]);
  expect(told({ after: task(chain, { fields: "title" }), actorId: "suki" })).toEqual(["jonah changed later"]);
});

test("taken up the chain, whoever had it and whoever is out of the chain hear of it", () => {
  expect(told({ after: task(give(chain, "ines", "kofi")), actorId: "ines" })).toEqual([
    "kofi given at once",
    "jonah taken away at once",
    "suki passed on later",
  ]);
});

test("who does not want to hear is left alone, but not of what becomes theirs, is taken, or falls due on another day", () => {
  const quiet = ["jonah", "suki", "kofi"];
  expect(told({ after: task(chain, { fields: "title" }), actorId: "ines", quiet })).toEqual([]);
  expect(told({ after: task(chain, { due: "friday" }), actorId: "ines", quiet })).toEqual(["jonah moved at once"]);
  expect(told({ after: task(give(chain, "ines", "kofi")), actorId: "ines", quiet })).toEqual([
    "kofi given at once",
    "jonah taken away at once",
  ]);
  expect(hearersOf(chain, ["lotte"], ["suki"])).toEqual([
    { personId: "jonah", why: "owns it", loudness: "at once" },
    { personId: "suki", why: "handed it over", loudness: "not" },
    { personId: "ines", why: "handed it over", loudness: "later" },
    { personId: "lotte", why: "kept posted", loudness: "later" },
  ]);
});

test("what is shown before a hand-over is what is told after it", () => {
  const people = ["ines", "suki", "jonah", "kofi", "mair"];
  const team = people.map((id) => ({
    id,
    name: `${id.charAt(0).toUpperCase()}${id.slice(1)}`,
    address: `${id}@x.example`,
  }));
  let shown = 0;
  for (const actorId of people)
    for (const to of people)
      for (const holding of [none, give(none, "ines", "suki"), chain]) {
        if (holding.ownerId === to) continue;
        const note = "ask Mair first";
        const before = willHear({ holding, actorId, toIds: [to], note, quiet: ["kofi"], mayHear: team });
        const after = whoHears({
          before: task(holding),
          after: task(give(holding, actorId, to)),
          actorId,
          isNoted: false,
          named: ["mair"],
          posted: [],
          quiet: ["kofi"],
        });
        expect(new Set(before)).toEqual(new Set(after));
        shown += before.length;
      }
  expect(shown).toBeGreaterThan(100);
  const both = willHear({
    holding: none,
    actorId: "ines",
    toIds: ["suki", "kofi"],
    note: "",
    quiet: [],
    mayHear: team,
  });
  expect(both.map((one) => [one.personId, one.what])).toEqual([
    ["suki", "given"],
    ["kofi", "given"],
  ]);
});
