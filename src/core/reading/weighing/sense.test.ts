import { describe, expect, test } from "vitest";
import { clausesIn } from "../clauses";
import type { KindRule, LetterGround } from "../kind-rule";
import { LEARNT_WORDING } from "./learnt";
import { judge, NO_WORDING, SENSES } from "./sense";
import { asShares, sharesOf, type WordingWeights } from "./shares";
import { weighWording } from "./weigh-wording";
import { wordingOf } from "./wording";

const ground: LetterGround = { writer: null, to: [], people: { team: [], outside: [] } };
const clause = (text: string) => clausesIn(text, [{ kind: "new", start: 0, end: text.length }])[0]!;
const says = (kind: "ask" | "trouble" | "nothing", confidence: number, isCertain = false): KindRule => ({
  name: `a rule that says ${kind}`,
  confidence,
  isCertain,
  find: () => kind,
});
/** Weights under which the word "mend" speaks for an ask, and "fine" for nothing. */
const learnt: WordingWeights = {
  bias: SENSES.map(() => 0),
  meaning: new Map(),
  runs: null,
  inLetter: null,
  weights: { mend: [0, 4, 0, 0, 0], fine: [4, 0, 0, 0, 0], "* short": [0.5, 0, 0, 0, 0] },
};
const judged = (text: string, rules: KindRule[] = [], weights = learnt) =>
  judge(clause(text), ground, rules, weights, weighWording(clause(text), weights));

test("the wording of a clause: words, pairs, triples, endings, figures as one", () => {
  expect(wordingOf({ text: "Mend 12 leaking pipes!", isListItem: true })).toEqual([
    ...["mend", "#", "leaking", "pipes", "!"],
    ...["-ing", "-ng", "-pes", "-es"],
    ...["< mend", "< mend #", "mend #", "mend # leaking", "# leaking", "# leaking pipes"],
    ...["leaking pipes", "leaking pipes !", "pipes !", "pipes ! >", "! >"],
    "* list",
  ]);
  expect(wordingOf({ text: "word ".repeat(10_000), isListItem: false }).length).toBeLessThan(200);
});

test("shares add up to one, follow the weights, and know no names that objects are born with", () => {
  expect(asShares([0, Math.log(3)])).toEqual([expect.closeTo(0.25), expect.closeTo(0.75)]);
  const shares = sharesOf(learnt, ["mend", "mend", "constructor"]);
  expect(shares.reduce((a, b) => a + b)).toBeCloseTo(1);
  expect(shares[1]! / shares[0]!).toBeCloseTo(Math.exp(4));
});

test("weighed word by word it is the same as by names, whatever the words are", () => {
  const texts = [
    "Could you send us the list by Friday?",
    "The pump's leaking again",
    "constructor __proto__ 12 a",
    "",
    "…",
  ];
  for (const text of texts)
    for (const isListItem of [true, false]) {
      const one = { text, isListItem };
      const [fast, plain] = [
        asShares(weighWording(one, { ...LEARNT_WORDING, meaning: new Map(), runs: null })),
        sharesOf(LEARNT_WORDING, wordingOf(one)),
      ];
      for (const [i, share] of plain.entries()) expect([text, fast[i]]).toEqual([text, expect.closeTo(share, 10)]);
    }
});

describe("what a clause is judged to be", () => {
  test("by its wording alone it is never sure, and the words that speak for it are named", () => {
    expect(judged("The pipe wants somebody to mend it.")).toEqual({
      kind: "ask",
      rule: "worded like an ask",
      words: ["mend"],
      confidence: 0.7,
    });
    expect(judged("The pipe is fine.")).toBeNull();
    expect(judged("The pipe is old.")).toBeNull();
  });
  test("a rule that agrees is as sure as it is; one that the wording doubts is less", () => {
    expect(judged("Mend the pipe now.", [says("ask", 0.85)])?.confidence).toBe(0.85);
    const doubted = judged("The pipe is old.", [says("trouble", 0.7)]);
    expect(doubted?.kind).toBe("trouble");
    expect(doubted!.confidence).toBeLessThan(0.5);
  });
  test("a weak rule against plain wording loses, a certain one does not", () => {
    expect(judged("All is fine.", [says("trouble", 0.7)])).toBeNull();
    expect(judged("All is fine.", [says("trouble", 0.7, true)])?.kind).toBe("trouble");
    expect(judged("Mend the pipe.", [says("nothing", 1)])).toBeNull();
  });
  test("without anything learnt the rules count alone", () => {
    expect(judged("All is fine.", [says("trouble", 0.7)], NO_WORDING)).toMatchObject({
      kind: "trouble",
      confidence: 0.7,
    });
    expect(judged("Mend the pipe.", [], NO_WORDING)).toBeNull();
  });
});

test("what is proposed has half of the share, trouble more", () => {
  const speaksFor = (sense: number, by: number): WordingWeights => ({
    ...learnt,
    bias: SENSES.map((_, k) => (k === sense ? by : 0)),
    weights: {},
  });
  const needed = SENSES.slice(1).map((_, i) =>
    [0.5, 1, 1.5, 2, 2.5, 3].find((by) => judged("Something", [], speaksFor(i + 1, by)) !== null),
  );
  // Half of the share is needed: e^1.5 is more than the four others together, e^1 is not. Of trouble e^2 is six tenths and more.
  expect(needed).toEqual([1.5, 1.5, 1.5, 2]);
});
