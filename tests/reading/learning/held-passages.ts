import { SENSES } from "@/core/reading/weighing/sense";
import { ALL_SETS, passagesOfSet } from "./passages";

/** How many passages an organisation's own learning is held against: with fewer, other readings begin to suffer. */
const HELD = 5000;

/** Sets whose words are those of real people stay out of what goes with the product. */
const OF_REAL_PEOPLE = ["lists", "public"];

/** Labelled passages of every kind, each kind with its share, evenly from all sets, as plain text. */
export async function passagesHeld(): Promise<string[]> {
  const sets = ALL_SETS.filter((set) => !OF_REAL_PEOPLE.includes(set));
  const all = (await Promise.all(sets.map(passagesOfSet))).flat();
  return SENSES.flatMap((sense) => {
    const texts = all.filter(({ is }) => is === sense).map(({ clause }) => clause.text.replace(/\s+/g, " "));
    const wanted = Math.round((HELD * texts.length) / all.length);
    return Array.from({ length: wanted }, (_, i) => texts[Math.floor(((i + 0.5) * texts.length) / wanted)]!);
  });
}
