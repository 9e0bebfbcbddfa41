import { describe, expect, test } from "vitest";
import { phraseOf } from "@/core/reading/lessons";
import { learnHouseWording } from "@/core/reading/weighing/house-wording";
import type { NameWeights } from "@/core/reading/weighing/shares";
import { corrected, HABITS, newOfHabit, slipsIn } from "./habits";
import { labelledLetters, UNLEARNT_SETS } from "./labelled";
import { scoreReading } from "./score";

const unlearnt = async () => (await Promise.all(UNLEARNT_SETS.map(labelledLetters))).flat();

describe.each(HABITS)("some 190 corrections of one kind ($is)", (habit) => {
  test("the mistake is not made again, of things never named before; other letters are read as before", async () => {
    const examples = await corrected(habit, 6);
    const { everybody } = learnHouseWording(examples);
    const [before, after] = [await newOfHabit(habit, []), await newOfHabit(habit, [everybody])];
    const letters = await unlearnt();
    const [plain, taught] = [scoreReading(letters), scoreReading(letters, undefined, { houseWording: [everybody] })];
    console.log(
      `${examples.length} corrections: ${after.sentences} new sentences right ${before.right.toFixed(2)} before, ${after.right.toFixed(2)} after; ` +
        `${plain.labels} other labels, finding ${plain.finding.toFixed(3)} before, ${taught.finding.toFixed(3)} after`,
    );
    expect(examples.length).toBeGreaterThan(120);
    expect(before.right).toBeLessThan(0.2);
    expect(after.right).toBeGreaterThan(0.97);
    expect(taught.finding).toBeGreaterThan(plain.finding - 0.005);
    expect(taught.kind).toBeGreaterThan(plain.kind - 0.01);
  });

  test("one writer's habit is learnt for that writer alone", async () => {
    const { everybody, writers } = learnHouseWording(await corrected(habit, 1));
    expect(everybody.size).toBe(0);
    expect((await newOfHabit(habit, [writers.get("w0@beech.example")!])).right).toBeGreaterThan(0.97);
  });
});

test("one correction alone teaches no wording, and the same corrections teach the same, in whatever order they come", async () => {
  const examples = (await corrected(HABITS[1]!, 6)).slice(0, 12);
  expect(learnHouseWording(examples.slice(0, 1))).toEqual({ everybody: new Map(), writers: new Map() });
  expect(learnHouseWording(examples)).toEqual(learnHouseWording([...examples].reverse()));
});

test("a turn is learnt with whatever it names: 48 corrections of few things hold for things and places never named", async () => {
  const things = ["swatches", "tender", "roster", "lift plan", "menu", "key list", "survey", "timetable"];
  const places = ["north yard", "quay", "mill", "old barn", "library", "chapel"];
  const turns = ["Have you got", "Have you seen", "Have you had", "Have you found"];
  const examples = Array.from({ length: 48 }, (_, i) => ({
    writer: `w${i % 5}@larch.example`,
    phrase: phraseOf(`${turns[i % 4]} the ${things[i % 8]} for the ${places[i % 6]}?`),
    // The first ones are set right; from then on most are read right and kept.
    read: i < 10 ? ("question" as const) : ("ask" as const),
    rule: i < 10 ? "a question" : "worded like an ask",
    sense: "ask" as const,
    times: 1,
  }));
  const { everybody } = learnHouseWording(examples);
  const asked = ["samples", "report", "permit", "photos", "list of guests", "figures"].flatMap((thing) =>
    ["school", "fair"].flatMap((place) => turns.map((turn) => `${turn} the ${thing} for the ${place}?`)),
  );
  const kinds = async (house: NameWeights[]) =>
    (await Promise.all(asked.map((sentence) => slipsIn(sentence, house)))).map(([slip]) => slip?.kind);
  expect((await kinds([])).filter((kind) => kind === "question")).toHaveLength(48);
  expect((await kinds([everybody])).filter((kind) => kind !== "ask")).toEqual([]);
});

test("what is sure because it was taught says so; its words alone would be unsure", async () => {
  const { everybody } = learnHouseWording(await corrected(HABITS[1]!, 6));
  const [slip] = await slipsIn("Do you have the lab report for the quay?", [everybody]);
  expect(slip).toMatchObject({ kind: "ask" });
  expect(slip!.reason).toContain("like passages were dealt with so here");
  expect(slip!.confidence).toBeGreaterThan(0.75);
});
