import { tellingWords } from "../finding/telling-words";
import type { OpenItem } from "./item";
import type { Segment } from "./segments";

/** How sure it is that a segment is about an item that it answers by number or stands under. */
const BY_NUMBER = 3;
const BY_QUOTE = 4;

/** Below this share of the best, an item is not meant too. */
const MEANT_TOO = 0.75;

/** How much of a word's weight does not hang on how much of the item is named. */
const WORD_ALONE = 0.3;

const PLURAL = /\b(?:both|all(?: of (?:them|it))?|two|three|everything|neither|nor)\b/i;

const ORDINALS = ["first", "second", "third", "fourth", "fifth"];
const COUNTED = ["", "one", "two", "three", "four", "five"];

/** Places of a list that a text names: "the first two", "the second", "the last one". */
function placesNamed(text: string, count: number): ReadonlySet<number> {
  const places = new Set<number>();
  for (const [, which, number] of text.matchAll(
    /\bthe (first|second|third|fourth|fifth|last)\b(?: (one|two|three|four|five)\b)?(?! (?:thing|time|week|day|order|delivery|pair|half|part))/gi,
  )) {
    const many = Math.max(1, COUNTED.indexOf(number?.toLowerCase() ?? "one"));
    const from = which!.toLowerCase() === "last" ? count - many + 1 : ORDINALS.indexOf(which!.toLowerCase()) + 1;
    for (let place = from; place < from + many; place += 1) places.add(place);
  }
  return count > 1 ? places : new Set();
}

/** How far a segment names an item: how many of its words, and whether it points at it by number, place or quotation. */
export interface Scored {
  readonly item: OpenItem;
  readonly score: number;
  readonly named: number;
  readonly isPointed: boolean;
}

/** Items that segments of one letter are about, as far as their words, numbers and places tell. */
export class Topics {
  private last: readonly OpenItem[] = [];
  private lastBlock = -1;

  constructor(private readonly items: readonly OpenItem[]) {}

  /** Items that a segment names itself, the surest first; empty where it names none. */
  scored(segment: Segment): Scored[] {
    const words = tellingWords(segment.text);
    const newest = Math.max(...this.items.filter((item) => item.place > 0).map((item) => item.letter));
    const places = placesNamed(segment.text, this.items.filter((item) => item.letter === newest).length);
    const quoted = segment.answers ? tellingWords(segment.answers) : null;
    return this.items
      .map((item) => {
        let score = 0;
        let named = 0;
        let isPointed = false;
        for (const word of item.words)
          if (words.has(word)) {
            score += 1 / this.items.filter((other) => other.words.has(word)).length;
            named += 1;
          }
        score *= WORD_ALONE + (1 - WORD_ALONE) * (named / Math.max(1, item.words.size));
        if (segment.number !== null && item.letter === newest && item.place === segment.number) {
          score += BY_NUMBER;
          isPointed = true;
        }
        if (item.letter === newest && places.has(item.place)) {
          score += BY_NUMBER;
          isPointed = true;
        }
        if (quoted && item.words.size > 0) {
          const shared = [...item.words].filter((word) => quoted.has(word)).length;
          if (shared / item.words.size >= 0.6) {
            score += BY_QUOTE * (shared / item.words.size);
            isPointed = true;
          }
        }
        return { item, score, named, isPointed };
      })
      .filter((one) => one.score > 0)
      .sort((a, b) => b.score - a.score);
  }

  private namedBy(segment: Segment): OpenItem[] {
    const scored = this.scored(segment);
    const best = scored[0]?.score ?? 0;
    const share = PLURAL.test(segment.text) ? MEANT_TOO / 2 : MEANT_TOO;
    return scored.filter((one) => one.score >= best * share).map((one) => one.item);
  }

  /** A segment turns to an item that it does not name; what follows goes on about that. */
  turnTo(item: OpenItem, segment: Segment): void {
    this.last = [item];
    this.lastBlock = segment.block;
  }

  /** What a segment is about, and whether it says so itself; what names nothing goes on about the last thing named. */
  of(segment: Segment): { items: readonly OpenItem[]; isNamed: boolean } {
    const named = this.namedBy(segment);
    if (named.length > 0) {
      this.last = named;
      this.lastBlock = segment.block;
      return { items: named, isNamed: true };
    }
    if (segment.block - this.lastBlock > 2) this.last = [];
    return { items: this.last, isNamed: false };
  }
}
