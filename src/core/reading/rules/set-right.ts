import type { KindRule } from "../kind-rule";
import { phraseOf } from "../lessons";
import type { SlipKind } from "../slip";
import type { HouseExample } from "../weighing/house-example";

const NAME = "these words were set right before";

/** Of each phrase of a writer that people set right: the kind that it was kept as most often. */
export function kindsSetRight(writer: string | null, examples: readonly HouseExample[]): ReadonlyMap<string, SlipKind> {
  const counted = new Map<string, Map<SlipKind, number>>();
  const setRight = new Set<string>();
  for (const { writer: of, phrase, read, rule, sense, times } of examples) {
    if (of !== writer || read === null || sense === "nothing") continue;
    const kinds = counted.get(phrase) ?? new Map<SlipKind, number>();
    counted.set(phrase, kinds.set(sense, (kinds.get(sense) ?? 0) + times));
    if (sense !== read || rule === NAME) setRight.add(phrase);
  }
  return new Map(
    [...setRight].map((phrase) => {
      const [most] = [...counted.get(phrase)!].sort((a, b) => b[1] - a[1]);
      return [phrase, most![0]] as const;
    }),
  );
}

/** Passages whose kind people set right in earlier letters of the same writer. */
export function setRightBefore(kinds: ReadonlyMap<string, SlipKind>): KindRule {
  return {
    name: NAME,
    confidence: 0.8,
    isCertain: true,
    find: ({ text }) => kinds.get(phraseOf(text)) ?? null,
  };
}
