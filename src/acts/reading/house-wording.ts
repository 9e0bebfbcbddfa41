import type { HouseExample } from "../../core/reading/weighing/house-example";
import { learnHouseWording } from "../../core/reading/weighing/house-wording";
import type { HouseWording, NameWeights } from "../../core/reading/weighing/shares";

const NOTHING_TAUGHT: HouseWording = { everybody: new Map(), writers: new Map() };

let learnt = { from: "", wording: NOTHING_TAUGHT };

/** The organisation's wording by its examples; learnt anew only when these have changed. */
export function houseWordingOf(examples: readonly HouseExample[]): HouseWording {
  if (examples.length === 0) return NOTHING_TAUGHT;
  const from = JSON.stringify(examples);
  if (from !== learnt.from) learnt = { from, wording: learnHouseWording(examples) };
  return learnt.wording;
}

/** What counts in a letter of one writer. */
export function weightsFor({ everybody, writers }: HouseWording, writer: string | null): readonly NameWeights[] {
  return [everybody, writer === null ? undefined : writers.get(writer)].flatMap((one) => (one?.size ? [one] : []));
}
