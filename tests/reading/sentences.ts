import fs from "node:fs";
import path from "node:path";
import { clausesIn } from "@/core/reading/clauses";
import type { LetterGround } from "@/core/reading/kind-rule";
import { KIND_RULES } from "@/core/reading/rules/list";
import type { SlipKind } from "@/core/reading/slip";
import { LEARNT_WORDING } from "@/core/reading/weighing/learnt";
import { judge } from "@/core/reading/weighing/sense";
import type { WordingWeights } from "@/core/reading/weighing/shares";
import { weighWording } from "@/core/reading/weighing/weigh-wording";

type SentenceKind = SlipKind | "nothing";

const person = (name: string, house: string) => {
  const address = `${name.split(" ")[0]!.toLowerCase()}@${house}.example`;
  return { id: address, name, address };
};

/** The people whom the sentences name, and who writes to whom. */
const GROUND: LetterGround = (() => {
  const team = ["Ines Valdarno", "Paul Reker", "Teresa Bohm", "Marco Pells", "Hanne Vik", "Ewa Lis"].map((name) =>
    person(name, "ours"),
  );
  const outside = [person("Lena Orb", "theirs"), person("Olaf Writer", "theirs")];
  return { writer: outside[1]!, to: [team[0]!], people: { team, outside } };
})();

/** Labelled sentences by their kind, one a line (sentences.txt). */
export function labelledSentences(): { kind: SentenceKind; sentence: string }[] {
  const text = fs.readFileSync(path.join(import.meta.dirname, "sentences.txt"), "utf8");
  return text
    .split(/^===== /m)
    .slice(1)
    .flatMap((block) => {
      const [kind = "", ...sentences] = block.trim().split("\n");
      return sentences.map((sentence) => ({ kind: kind as SentenceKind, sentence }));
    });
}

/** What is found in a sentence: the kind of each of its clauses that has one. */
function kindsIn(sentence: string, learnt: WordingWeights): SlipKind[] {
  return clausesIn(sentence, [{ kind: "new", start: 0, end: sentence.length }]).flatMap((clause) => {
    const found = judge(clause, GROUND, KIND_RULES, learnt, weighWording(clause, learnt));
    return found ? [found.kind] : [];
  });
}

export interface SentenceScore {
  count: number;
  right: number;
  mistakes: string[];
}

/** How many sentences of each kind are read for what they are. */
export function scoreSentences(learnt: WordingWeights = LEARNT_WORDING): Map<SentenceKind, SentenceScore> {
  const scores = new Map<SentenceKind, SentenceScore>();
  for (const { kind, sentence } of labelledSentences()) {
    const score = scores.get(kind) ?? { count: 0, right: 0, mistakes: [] };
    scores.set(kind, score);
    score.count += 1;
    const found = kindsIn(sentence, learnt);
    const isRight = kind === "nothing" ? found.length === 0 : found.length > 0 && found.every((one) => one === kind);
    if (isRight) score.right += 1;
    else score.mistakes.push(`${found.join(", ") || "nothing"} for ${kind}: ${sentence}`);
  }
  return scores;
}
