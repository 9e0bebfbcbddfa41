import { describe, expect, test } from "vitest";
import { phraseOf } from "@/core/reading/lessons";
import { PLAIN_READING, readLetter } from "@/core/reading/read-letter";
import type { FoundSlip } from "@/core/reading/slip";
import type { HouseExample } from "@/core/reading/weighing/house-example";
import { learnHouseWording } from "@/core/reading/weighing/house-wording";
import type { Sense } from "@/core/reading/weighing/sense";
import type { NameWeights } from "@/core/reading/weighing/shares";
import { labelledLetters, letterOf, PEOPLE, UNLEARNT_SETS } from "./labelled";
import { scoreReading } from "./score";

const THINGS = ["drawings", "swatches", "key list", "tender", "roster", "floor plan", "parts list", "order form"];
const PLACES = [
  "the north yard",
  "Elm Street",
  "hall two",
  "the quay",
  "block C",
  "the mill",
  "gate four",
  "unit nine",
];
const NEW_THINGS = ["lab report", "crew list", "menu", "pallet note"];

/** Ways of writing that a house takes otherwise than the reader does, in three turns each. */
const HABITS: readonly { readonly is: Sense; readonly turns: readonly ((thing: string, place: string) => string)[] }[] =
  [
    {
      is: "nothing",
      turns: [
        (thing, place) => `The ${thing} for ${place} needs a look in the spring.`,
        (thing, place) => `The ${thing} of ${place} needs greasing every month.`,
        (thing, place) => `The ${thing} at ${place} will need a second coat one day.`,
      ],
    },
    {
      is: "ask",
      turns: [
        (thing, place) => `Do you have the ${thing} for ${place}?`,
        (thing, place) => `Have you got the ${thing} of ${place}?`,
        (thing, place) => `Is there any sign of the ${thing} at ${place}?`,
      ],
    },
    {
      is: "nothing",
      turns: [
        (thing, place) => `We will file the ${thing} of ${place} here.`,
        (thing, place) => `We will keep the ${thing} for ${place} here.`,
        (thing, place) => `We will archive the ${thing} of ${place} here.`,
      ],
    },
  ];

const HEAD = "kd -> nadia | Tue, 3 Mar 2026 09:00:00 +0100 | x";

async function slipsIn(sentence: string, houseWording: readonly NameWeights[] = []): Promise<FoundSlip[]> {
  const letter = await letterOf(HEAD, `Thank you for your letter. ${sentence} The weather has been mild.`);
  const slips = readLetter(
    letter,
    PEOPLE,
    { at: letter.sentAt ?? 0, zone: letter.offset },
    { ...PLAIN_READING, houseWording },
  );
  return slips.filter((slip) => letter.text.slice(slip.start, slip.end).includes(sentence.slice(4, 30)));
}

/** What people did with 192 sentences of one habit, written by so many people. */
async function corrected(habit: (typeof HABITS)[number], writers: number): Promise<HouseExample[]> {
  const examples: HouseExample[] = [];
  for (const thing of THINGS)
    for (const place of PLACES)
      for (const turn of habit.turns) {
        const [slip] = await slipsIn(turn(thing, place));
        if (!slip && habit.is === "nothing") continue;
        const { kind, rule } = slip ?? { kind: null, rule: null };
        const writer = `w${examples.length % writers}@beech.example`;
        const phrase = phraseOf(turn(thing, place));
        examples.push({ writer, phrase, read: kind, rule, sense: habit.is, times: 1 });
      }
  return examples;
}

const unlearnt = async () => (await Promise.all(UNLEARNT_SETS.map(labelledLetters))).flat();

describe.each(HABITS)("some 190 corrections of one kind ($is)", (habit) => {
  const fresh = NEW_THINGS.flatMap((thing) => PLACES.flatMap((place) => habit.turns.map((turn) => turn(thing, place))));

  async function rightIn(houseWording: readonly NameWeights[]): Promise<number> {
    let right = 0;
    for (const sentence of fresh) {
      const [slip] = await slipsIn(sentence, houseWording);
      right += Number((slip?.kind ?? "nothing") === habit.is);
    }
    return right / fresh.length;
  }

  test("the mistake is not made again, of things never named before; other letters are read as before", async () => {
    const examples = await corrected(habit, 6);
    const { everybody } = learnHouseWording(examples);
    const [before, after] = [await rightIn([]), await rightIn([everybody])];
    const letters = await unlearnt();
    const [plain, taught] = [scoreReading(letters), scoreReading(letters, undefined, { houseWording: [everybody] })];
    console.log(
      `${examples.length} corrections: ${fresh.length} new sentences right ${before.toFixed(2)} before, ${after.toFixed(2)} after; ` +
        `${plain.labels} other labels, finding ${plain.finding.toFixed(3)} before, ${taught.finding.toFixed(3)} after`,
    );
    expect(examples.length).toBeGreaterThan(120);
    expect(before).toBeLessThan(0.2);
    expect(after).toBeGreaterThan(0.97);
    expect(taught.finding).toBeGreaterThan(plain.finding - 0.01);
    expect(taught.kind).toBeGreaterThan(plain.kind - 0.01);
  });

  test("one writer's habit is learnt for that writer alone", async () => {
    const { everybody, writers } = learnHouseWording(await corrected(habit, 1));
    expect(everybody.size).toBe(0);
    expect(await rightIn([writers.get("w0@beech.example")!])).toBeGreaterThan(0.97);
  });
});

test("one correction alone teaches no wording, and the same corrections teach the same, in whatever order they come", async () => {
  const examples = (await corrected(HABITS[1]!, 6)).slice(0, 12);
  expect(learnHouseWording(examples.slice(0, 1))).toEqual({ everybody: new Map(), writers: new Map() });
  expect(learnHouseWording(examples)).toEqual(learnHouseWording([...examples].reverse()));
});

test("what is sure because it was taught says so; its words alone would be unsure", async () => {
  const { everybody } = learnHouseWording(await corrected(HABITS[1]!, 6));
  const [slip] = await slipsIn("Do you have the lab report for the quay?", [everybody]);
  expect(slip).toMatchObject({ kind: "ask" });
  expect(slip!.reason).toContain("like passages were dealt with so here");
  expect(slip!.confidence).toBeGreaterThan(0.75);
});
