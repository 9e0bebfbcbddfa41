import { tellingWords } from "../../finding/telling-words";
import type { FoundSlip } from "../../reading/slip";
import { isByWordingAlone } from "../../reading/weighing/sense";
import { sharesOf, type Weights } from "../../reading/weighing/shares";
import { POINTS_AT_IT, TURNS_TO } from "../bare-answer";
import type { ItemChange, OpenItem } from "../item";
import { likeness } from "../likeness";
import type { Opened } from "../opened-by";
import { isSame, meet } from "../stretch";
import { timeOf } from "./forms";
import newness from "./newness.json";
import { step } from "./steps";
import type { Looked, Reading } from "./sureness";

/** A letter in a conversation where something is open: what it was found to change, and what the rules take for new. */
export interface Answering extends Reading {
  readonly changes: readonly ItemChange[];
  /** Slips that no rule takes for something that was open, … */
  readonly fresh: readonly Opened[];
  /** … and those of them that are plain enough. */
  readonly plain: readonly Opened[];
  /** Slips that beyond doubt speak of what was open. */
  readonly old: readonly FoundSlip[];
}

const atMost = (most: number, count: number) => Math.min(most, count);

/** What the rules make of it. */
function ofRules({ fresh, plain }: Answering, slip: FoundSlip): string[] {
  const rules = plain.some(isSame(slip)) ? "new" : fresh.some(isSame(slip)) ? "not plain" : "not new";
  const wording = isByWordingAlone(slip.rule);
  return [
    slip.kind,
    rules,
    `${slip.kind} ${rules}`,
    `${slip.kind} ${wording}`,
    `${slip.kind} ${wording} ${rules}`,
    `by ${slip.rule}`,
    `${slip.kind} sure ${Math.round(slip.confidence * 10)}`,
  ];
}

/** Words in common with the likest of some items, as a share and as a count. */
function alike(words: ReadonlySet<string>, items: readonly OpenItem[]): string {
  const shares = items.map((item) => [
    Math.round(likeness(words, item.words) * 3),
    atMost(3, [...words].filter((word) => item.words.has(word)).length),
  ]);
  const [share, count] = shares.sort(([a, m], [b, n]) => b! - a! || n! - m!)[0] ?? [0, 0];
  return `${share} ${count}`;
}

/** What is open, and how far the slip could speak of it. */
function ofOpen({ context, looked, changes }: Answering, slip: FoundSlip, quote: string): string[] {
  const { sides, writer } = context;
  const owed = looked.filter(({ item }) => sides.owes(writer, item));
  const wanted = looked.filter(({ item }) => sides.wants(writer, item));
  const spoken = looked.filter((one) => owed.includes(one) || wanted.includes(one));
  const items = (some: readonly Looked[]) => some.map(({ item }) => item);
  const saying = spoken.filter(({ weighed }) => weighed?.segments.some((segment) => meet(segment, slip)));
  const likeliest = saying.reduce<Looked | null>(
    (best, one) => ((one.weighed?.whether ?? 0) > (best?.weighed?.whether ?? 0) ? one : best),
    null,
  );
  const said = likeliest ? `${owed.includes(likeliest) ? "owed" : "wanted"} ${likeliest.item.kind}` : "nothing";
  const change = changes.find((one) => meet(one, slip));
  const changed = spoken.find(({ item }) => item.id === change?.item);
  const words = tellingWords(quote);
  const asks = owed.some(({ item }) => item.kind !== "trouble");
  const { kind, owner, due } = slip;
  const hasOwner = items(spoken).some((item) => item.owner === owner);
  const whose = owner === null ? "nobody" : owner === writer ? "writer" : hasOwner ? "somebody asked" : "somebody new";
  const day = due === null ? "no day" : items(spoken).some((item) => item.due === due.day) ? "same day" : "other day";
  return [
    `answers ${asks} ${kind}`,
    `open ${atMost(3, spoken.length)} ${kind}`,
    `owed ${atMost(3, owed.length)} ${kind}`,
    `wanted ${atMost(3, wanted.length)} ${kind}`,
    `of open ${step(likeliest?.weighed?.whether ?? 0)} ${kind}`,
    `of ${said} ${kind}`,
    `changes ${change?.change ?? "nothing"} ${kind}`,
    `changes ${change?.change ?? "nothing"} ${changed?.item.kind ?? ""} ${kind}`,
    `changes named ${change?.isNamed ?? "-"} by rule ${changed?.chosen?.isRuled ?? "-"} ${kind}`,
    `changes: ${change?.reason ?? "nothing"} ${kind}`,
    `like owed ${alike(words, items(owed))} ${kind}`,
    `like wanted ${alike(words, items(wanted))} ${kind}`,
    `words ${atMost(4, words.size)} ${kind}`,
    `words ${atMost(3, words.size)} like ${alike(words, items(spoken))} ${kind}`,
    `${whose} ${kind}`,
    `${day} ${kind}`,
  ];
}

/** How it is put, and what stands around it. */
function ofPlace({ context, slips, changes }: Answering, { start, end, kind }: FoundSlip, quote: string): string[] {
  const words = quote.toLowerCase().match(/[\p{L}'’]+/gu) ?? [];
  const before = context.letter.text.slice(0, start).trimEnd();
  const last = context.segments.findLast((segment) => segment.end <= start);
  const changedBefore = last && changes.find((change) => meet(change, last));
  const elsewhere = changes.filter((change) => !meet(change, { start, end })).length;
  return [
    `asks ${/\?$/.test(quote)} ${kind}`,
    `length ${atMost(6, Math.floor(quote.split(" ").length / 3))} ${kind}`,
    `points ${POINTS_AT_IT.test(quote)} ${kind}`,
    `turns ${TURNS_TO.test(quote)} ${kind}`,
    `${timeOf(quote)} ${kind}`,
    `begins ${words[0] ?? ""} ${kind}`,
    `begins ${words.slice(0, 2).join(" ")} ${kind}`,
    ...words.flatMap((word) => [`"${word}"`, `"${word}" ${kind}`]),
    `begins a sentence ${before === "" || /[.!?:\n]$/.test(before)} ${kind}`,
    `behind ${changedBefore?.change ?? "nothing"} ${kind}`,
    `elsewhere ${atMost(3, elsewhere)}`,
    `elsewhere ${atMost(3, elsewhere)} ${kind}`,
    `slips ${atMost(4, slips.length)} ${kind}`,
  ];
}

/** Names of what tells whether a slip is new in its conversation. */
export function newnessNames(answer: Answering, slip: FoundSlip): string[] {
  const quote = answer.context.letter.text.slice(slip.start, slip.end).replace(/\s+/g, " ");
  return [...ofRules(answer, slip), ...ofOpen(answer, slip, quote), ...ofPlace(answer, slip, quote)];
}

/**
 * How likely it is that a slip is something new, and not a word about what was open, from 0 to 1: learnt (`npm run learn:newness`)
 * above all from conversations that the weights of following were not learnt from, since strangers' are as new to it as these.
 */
export function newnessOf(answer: Answering, slip: FoundSlip, learnt: Weights = newness): number {
  return sharesOf(learnt, newnessNames(answer, slip))[1]!;
}
