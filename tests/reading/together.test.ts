import { expect, test } from "vitest";
import { CONVERSATION_SETS, type ConversationSet, scoreFollowing, UNLEARNT_CONVERSATIONS } from "./conversations";
import { type LabelledLetter, LETTER_SETS, labelledLetters, UNLEARNT_SETS } from "./labelled";
import { scoreReading } from "./score";

// A single set turns by a label or two whenever something is learnt anew; many together say more of what a change brings.

const lettersOf = async (sets: readonly (typeof LETTER_SETS)[number][]): Promise<LabelledLetter[]> =>
  (await Promise.all(sets.map(labelledLetters))).flat();

test.each([
  ["all", LETTER_SETS, { labels: 2000, finding: 0.94, kind: 0.928, owner: 0.975, due: 0.958, anything: 0.99 }],
  [
    "those that nothing is learnt from",
    UNLEARNT_SETS,
    { labels: 170, finding: 0.895, kind: 0.87, owner: 0.94, due: 0.96, anything: 0.97 },
  ],
] as const)("labelled letters together, %s: what is asked, of whom, by when", async (_, sets, floor) => {
  const { mistakes: _mistakes, ...score } = scoreReading(await lettersOf(sets));
  console.log(
    `${score.labels} labels, finding ${score.finding.toFixed(3)}, kind ${score.kind.toFixed(3)}, owner ${score.owner.toFixed(3)}, due ${score.due.toFixed(3)}, anything ${score.anything.toFixed(3)}`,
  );
  for (const field of ["labels", "finding", "kind", "owner", "due", "anything"] as const)
    expect({ [field]: score[field] }).toSatisfy(() => score[field] >= floor[field]);
});

/** Of several sets, each counted by how much is in it: what they open, and what they change. */
async function followedTogether(sets: readonly ConversationSet[]) {
  const scores = await Promise.all(sets.map((set) => scoreFollowing(set)));
  const sum = (of: (score: (typeof scores)[number]) => number) => scores.reduce((all, one) => all + of(one), 0);
  const [opens, changes] = [sum((one) => one.opens), sum((one) => one.changes)];
  return {
    changes,
    opening: sum((one) => one.opening * one.opens) / opens,
    change: sum((one) => one.change * one.changes) / changes,
  };
}

test.each([
  ["all", CONVERSATION_SETS, { changes: 1000, opening: 0.942, change: 0.825 }],
  ["those that nothing is learnt from", UNLEARNT_CONVERSATIONS, { changes: 290, opening: 0.9, change: 0.72 }],
] as const)(
  "labelled conversations together, %s: what each letter opens, and what it changes",
  async (_, sets, floor) => {
    const score = await followedTogether(sets);
    console.log(`${score.changes} changes: opening ${score.opening.toFixed(3)}, changes ${score.change.toFixed(3)}`);
    for (const field of ["changes", "opening", "change"] as const)
      expect({ [field]: score[field] }).toSatisfy(() => score[field] >= floor[field]);
  },
);
