import { readLetter } from "@/core/reading/read-letter";
import { PLAIN_READING, type ReadingSettings } from "@/core/reading/settings";
import { type FoundSlip, isSure, type People } from "@/core/reading/slip";
import { LEARNT_WORDING } from "@/core/reading/weighing/learnt";
import type { WordingWeights } from "@/core/reading/weighing/shares";
import { type Label, type LabelledLetter, PEOPLE } from "./labelled";
import { f1, overlap, squash } from "./overlap";

/** How well letters are read: shares from 0 to 1, and every mistake in words. */
export interface ReadingScore {
  readonly labels: number;
  readonly found: number;
  readonly finding: number;
  readonly kind: number;
  readonly owner: number;
  readonly due: number;
  readonly priority: number;
  readonly anything: number;
  /** Slips that the reader is sure of, and the share of them that are labelled. */
  readonly sure: number;
  readonly sureRight: number;
  readonly mistakes: readonly string[];
}

/** Matches what was found to the labels: texts that share half of the shorter, best first, each once. */
function matched(labels: readonly Label[], slips: readonly (FoundSlip & { quote: string })[]): [number, number][] {
  const pairs = labels.flatMap((label, l) =>
    slips.flatMap((slip, s) => {
      const share = overlap(squash(label.quote), squash(slip.quote));
      return share >= 0.5 ? [{ l, s, share, isSame: label.kind === slip.kind }] : [];
    }),
  );
  pairs.sort((a, b) => Number(b.isSame) - Number(a.isSame) || b.share - a.share);
  const taken: [number, number][] = [];
  for (const { l, s } of pairs) if (!taken.some(([tl, ts]) => tl === l || ts === s)) taken.push([l, s]);
  return taken;
}

/** Reads labelled letters, by default with all that was learnt, and holds what is found against the labels. */
export function scoreReading(
  letters: readonly LabelledLetter[],
  learnt: WordingWeights = LEARNT_WORDING,
  { people = PEOPLE, ...more }: { people?: People } & Pick<ReadingSettings, "readsLists" | "houseWording"> = {},
): ReadingScore {
  const sum = {
    gold: 0,
    found: 0,
    hits: 0,
    kind: 0,
    owner: 0,
    due: 0,
    priority: 0,
    anything: 0,
    sure: 0,
    sureRight: 0,
  };
  const mistakes: string[] = [];
  for (const { name, letter, labels, people: own = people } of letters) {
    const slips = readLetter(
      letter,
      own,
      { at: letter.sentAt ?? 0, zone: letter.offset },
      { ...PLAIN_READING, ...more, wording: learnt },
    ).map((slip) => ({
      ...slip,
      quote: letter.text.slice(slip.start, slip.end),
    }));
    const pairs = matched(labels, slips);
    sum.gold += labels.length;
    sum.found += slips.length;
    sum.hits += pairs.length;
    sum.anything += Number(labels.length > 0 === slips.length > 0);
    for (const [s, slip] of slips.entries()) {
      if (!isSure(slip)) continue;
      sum.sure += 1;
      sum.sureRight += Number(pairs.some((pair) => pair[1] === s));
    }
    for (const [l, s] of pairs) {
      const label = labels[l]!;
      const slip = slips[s]!;
      const isDueRight = label.due.length === 0 ? slip.due === null : label.due.includes(slip.due?.day ?? "");
      const right = {
        kind: slip.kind === label.kind,
        owner: slip.owner === label.owner,
        due: isDueRight,
        priority: slip.priority === label.priority,
      };
      sum.kind += Number(right.kind);
      sum.owner += Number(right.owner);
      sum.due += Number(right.due);
      sum.priority += Number(right.priority);
      const wrong = [
        ...(right.kind ? [] : [`${slip.kind} for ${label.kind}`]),
        ...(right.owner ? [] : [`owner ${slip.owner}`]),
        ...(right.due ? [] : [`due ${slip.due?.day} for ${label.due}`]),
        ...(right.priority ? [] : [`priority ${slip.priority}`]),
      ];
      if (wrong.length > 0) mistakes.push(`${name}: ${wrong.join(", ")}: ${squash(label.quote)}`);
    }
    for (const [l, label] of labels.entries())
      if (!pairs.some((pair) => pair[0] === l)) mistakes.push(`${name}: missed ${label.kind}: ${squash(label.quote)}`);
    for (const [s, slip] of slips.entries())
      if (!pairs.some((pair) => pair[1] === s))
        mistakes.push(`${name}: in excess ${slip.kind} (${slip.reason}): ${squash(slip.quote)}`);
  }
  return {
    labels: sum.gold,
    found: sum.found,
    finding: f1(sum.hits, sum.gold, sum.found),
    kind: f1(sum.kind, sum.gold, sum.found),
    owner: sum.owner / sum.hits,
    due: sum.due / sum.hits,
    priority: sum.priority / sum.hits,
    anything: sum.anything / letters.length,
    sure: sum.sure,
    sureRight: sum.sureRight / sum.sure,
    mistakes,
  };
}
