import { phraseOf } from "@/core/reading/lessons";
import { readLetter } from "@/core/reading/read-letter";
import { PLAIN_READING } from "@/core/reading/settings";
import type { FoundSlip } from "@/core/reading/slip";
import type { HouseExample } from "@/core/reading/weighing/house-example";
import type { Sense } from "@/core/reading/weighing/sense";
import type { NameWeights } from "@/core/reading/weighing/shares";
import { letterOf, PEOPLE } from "./labelled";

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

/** A way of writing that a house takes otherwise than the reader does: what it is there, in three turns. */
interface Habit {
  readonly is: Sense;
  readonly turns: readonly ((thing: string, place: string) => string)[];
}

/** Ways of writing that a house takes otherwise than the reader does, in three turns each. */
export const HABITS: readonly Habit[] = [
  {
    is: "nothing",
    turns: [
      (thing, place) => `The ${thing} for ${place} needs a look in the spring.`,
      (thing, place) => `The ${thing} of ${place} needs greasing every month.`,
      (thing, place) => `The ${thing} at ${place} needs a second coat every autumn.`,
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

export async function slipsIn(sentence: string, houseWording: readonly NameWeights[] = []): Promise<FoundSlip[]> {
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
export async function corrected(habit: Habit, writers: number): Promise<HouseExample[]> {
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

/** The same habit of things that were never named before: how many sentences, and the share of them that is read as it is there. */
export async function newOfHabit(
  { is, turns }: Habit,
  houseWording: readonly NameWeights[],
): Promise<{ sentences: number; right: number }> {
  const fresh = NEW_THINGS.flatMap((thing) => PLACES.flatMap((place) => turns.map((turn) => turn(thing, place))));
  let right = 0;
  for (const sentence of fresh) {
    const [slip] = await slipsIn(sentence, houseWording);
    right += Number((slip?.kind ?? "nothing") === is);
  }
  return { sentences: fresh.length, right: right / fresh.length };
}
