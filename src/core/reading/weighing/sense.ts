import type { Clause } from "../clauses";
import type { KindRule, LetterGround } from "../kind-rule";
import { SLIP_KINDS, type SlipKind } from "../slip";
import { asShares, type NameWeights, type WordingWeights } from "./shares";
import { wordingOf } from "./wording";

/** What a clause can be: nothing, or the kind of a slip. */
export const SENSES = ["nothing", ...SLIP_KINDS] as const;
export type Sense = (typeof SENSES)[number];

/** Nothing learnt: then the rules count alone. */
export const NO_WORDING: WordingWeights = {
  bias: SENSES.map(() => 0),
  weights: {},
  meaning: new Map(),
  runs: null,
  inLetter: null,
};

/** What a clause is taken for, by what, and how sure that is (0 to 1). */
export interface Judged {
  readonly kind: SlipKind;
  /** The rule by its name, or what the wording is like: what people are shown, and what lessons are kept by. */
  readonly rule: string;
  /** Words that speak for it most, where no rule does; none where a rule does. */
  readonly words: readonly string[];
  /** It is so because like passages were dealt with so in the organisation. */
  readonly isTaught?: boolean;
  readonly confidence: number;
}

/** What a rule's word counts against the wording: its own odds, times this, as letters show that no rule had seen. */
const RULE_COUNTS = 1.5;

/** What a rule counts for, in the logarithm of odds. */
export function ruleCounts({ confidence, counts }: Pick<KindRule, "confidence" | "counts">): number {
  return counts ?? RULE_COUNTS * Math.log(confidence / (1 - confidence));
}

/** Courtesy, releases and adverts are known by set words, which count for more. */
const NOTHING_COUNTS = 5;

/** What is known by its wording alone is never sure: of such slips on letters unseen before, two in three were right at best. */
const SUREST_WORDING = 0.7;

/** What people taught by many like passages can be sure. */
const SUREST_TAUGHT = 0.9;

/**
 * A share from which wording alone proposes something: below it half of what was proposed was nothing. Trouble must be plainer, since
 * talk of bad times sounds much like it.
 */
const WORDING_FROM = 0.5;
const TROUBLE_FROM = 0.6;

const LIKE: Readonly<Record<SlipKind, string>> = {
  ask: "worded like an ask",
  question: "worded like a question",
  promise: "worded like a promise",
  trouble: "worded like trouble",
};

/** Whether something was proposed by its wording alone, without a rule; by the rule of a slip. */
export function isByWordingAlone(rule: string): boolean {
  return Object.values(LIKE).includes(rule);
}

/** No rule counts for more than the surest, unless it is certain. */
const MOST_COUNTED = 0.95;

/** Words of a clause that says one thing alone, and what a rule that knows it for trouble counts more there: found by trying. */
const FEW_WORDS = 7;
const PLAINLY_SAID = 0.7;

/** Whether a text has few words. Every rule asks the same of one clause, one after the other. */
function isInFewWords(text: string): boolean {
  if (text !== lastAsked.text) lastAsked = { text, is: text.split(/\s+/).length <= FEW_WORDS };
  return lastAsked.is;
}

let lastAsked = { text: "", is: true };

/** What a rule counts for in a clause: trouble that is said in a few words is that more often than by a word in a long sentence. */
function countsIn({ text }: Clause, rule: KindRule): number {
  const isPlain = rule.says === "trouble" && isInFewWords(text);
  return ruleCounts(rule) + (isPlain ? PLAINLY_SAID : 0);
}

/** Whether a rule could make anything of a clause of these scores: where another sense is too plain for that, it is not asked. */
function canCount(rule: KindRule, clause: Clause, scores: readonly number[]): boolean {
  if (rule.isCertain) return true;
  if (!rule.says) return scores[0]! - Math.max(...scores.slice(1)) <= ruleCounts({ confidence: MOST_COUNTED });
  const said = scores[SENSES.indexOf(rule.says)]! + countsIn(clause, rule);
  return scores.every((score) => score <= said);
}

interface Ruled {
  readonly rule: KindRule;
  readonly said: SlipKind | "nothing";
}

function answerOf(rule: KindRule, clause: Clause, ground: LetterGround): Ruled | null {
  const said = rule.find(clause, ground);
  return said ? { rule, said } : null;
}

function firstAnswer(rules: readonly KindRule[], clause: Clause, ground: LetterGround): Ruled | null {
  for (const rule of rules) {
    const answer = answerOf(rule, clause, ground);
    if (answer) return answer;
  }
  return null;
}

/**
 * The first rule that answers, and its answer. One that only ever says "nothing" is asked when something speaks for a kind: of
 * most clauses nothing does.
 */
function ruledBy(
  clause: Clause,
  ground: LetterGround,
  rules: readonly KindRule[],
  scores: readonly number[] | null,
): Ruled | null {
  const denying: KindRule[] = [];
  for (const rule of rules) {
    if (rule.says === "nothing") denying.push(rule);
    else if (!scores || canCount(rule, clause, scores)) {
      const answer = answerOf(rule, clause, ground);
      if (answer) return firstAnswer(denying, clause, ground) ?? answer;
    }
  }
  return scores && scores[0]! < Math.max(...scores.slice(1)) ? firstAnswer(denying, clause, ground) : null;
}

/** What a word must weigh for a kind, more than for nothing, to be shown as speaking for it. */
const TELLING = 0.3;

/** Of "by" and "the" nobody would see why. */
const SAYS_SOMETHING = /\p{L}{4}/u;

/** How many words are shown as speaking for a kind. */
const WORDS_SHOWN = 2;

/** The words that make a clause this kind more than nothing, the strongest first; none that another holds already. */
function strongest(found: readonly string[], { weights }: WordingWeights, kind: SlipKind): string[] {
  const place = SENSES.indexOf(kind);
  const gain = (name: string) => (Object.hasOwn(weights, name) ? weights[name]![place]! - weights[name]![0]! : 0);
  const words = [...new Set(found.filter((name) => gain(name) > TELLING))]
    .filter((name) => SAYS_SOMETHING.test(name) && !/[<>#?!:,;.]/.test(name) && !name.startsWith("-"))
    .sort((a, b) => gain(b) - gain(a));
  return words
    .filter((word, i) => !words.slice(0, i).some((before) => before.includes(word) || word.includes(before)))
    .slice(0, WORDS_SHOWN);
}

/**
 * How far what an organisation taught must set one sense of a clause apart from another: below that it shares a word or two with what
 * was taught and is not like it, and is read as everywhere.
 */
const LIKE_TAUGHT_FROM = 1.5;

/** What the wording of a clause weighs in an organisation, beside what it weighs everywhere; null where it is like nothing taught there. */
function weighHere(clause: Clause, house: readonly NameWeights[]): number[] | null {
  const scores = SENSES.map(() => 0);
  const names = new Set(wordingOf(clause));
  for (const weights of house)
    for (const name of names) {
      const own = weights.get(name);
      if (own) for (let k = 0; k < scores.length; k += 1) scores[k]! += own[k]!;
    }
  return Math.max(...scores) - Math.min(...scores) < LIKE_TAUGHT_FROM ? null : scores;
}

/**
 * What an organisation taught that a clause is counts more than it was learnt with: it was learnt beside a clause alone, and letters make
 * it plainer. That it is nothing does not: to brush something off is done in haste.
 */
const TAUGHT_COUNTS = 1.6;

/** From here on what an organisation taught is why a clause is what it is, in the logarithm of odds. */
const TAUGHT_FROM = 1;

/** How much more than any other sense an organisation's own examples make a clause this one. */
function isTaughtHere(here: readonly number[] | null, place: number): boolean {
  if (!here) return false;
  const others = here.filter((_, k) => k !== place);
  return here[place]! - Math.max(...others) >= TAUGHT_FROM;
}

/**
 * What a clause is: by the rules, and by how it is worded, held against labelled passages (weighed together as odds). What a
 * certain rule says is not weighed. Null where it is nothing.
 * @param weight what the clause weighs in its letter (`weighLetter`)
 * @param house what wording weighs in the organisation beside that
 */
export function judge(
  clause: Clause,
  ground: LetterGround,
  rules: readonly KindRule[],
  learnt: WordingWeights,
  weight: readonly number[],
  house: readonly NameWeights[] = [],
): Judged | null {
  const scores = learnt === NO_WORDING ? null : [...weight];
  const here = scores && house.length > 0 ? weighHere(clause, house) : null;
  const counts = here && here.indexOf(Math.max(...here)) > 0 ? TAUGHT_COUNTS : 1;
  if (scores && here) for (let k = 0; k < scores.length; k += 1) scores[k]! += counts * here[k]!;
  const ruled = ruledBy(clause, ground, rules, scores);
  const said = ruled?.said ?? null;
  if (!scores || (said && ruled?.rule.isCertain))
    return ruled && said && said !== "nothing"
      ? { kind: said, rule: ruled.rule.name, words: [], confidence: ruled.rule.confidence }
      : null;
  if (ruled && said)
    scores[SENSES.indexOf(said)]! += said === "nothing" ? NOTHING_COUNTS : countsIn(clause, ruled.rule);
  const weighed = asShares(scores);
  const best = weighed.indexOf(Math.max(...weighed));
  const sense = SENSES[best]!;
  if (sense === "nothing") return null;
  // Shares are surer than they are right, since the words of a clause do not come by chance together.
  const share = weighed[best]! ** 2;
  if (sense === said && ruled)
    return { kind: sense, rule: ruled.rule.name, words: [], confidence: Math.min(ruled.rule.confidence, share) };
  // A rule saw something here: then only what it is may be open, not whether it is something.
  const found = said && said !== "nothing" ? 1 - weighed[0]! : weighed[best]!;
  if (found < (sense === "trouble" && !said ? TROUBLE_FROM : WORDING_FROM)) return null;
  const isTaught = isTaughtHere(here, best);
  return {
    kind: sense,
    rule: LIKE[sense],
    words: strongest(wordingOf(clause), learnt, sense),
    ...(isTaught ? { isTaught } : {}),
    confidence: Math.min(isTaught ? SUREST_TAUGHT : SUREST_WORDING, share),
  };
}
