import type { TextPart } from "../letters/letter";
import { clausesIn } from "../reading/clauses";

/** A stretch of a letter that can say one thing of one item. */
export interface Segment {
  readonly start: number;
  readonly end: number;
  readonly text: string;
  /** Number of the paragraph. */
  readonly block: number;
  /** "2: attached": the item that it answers by its number; null where none is named. */
  readonly number: number | null;
  /** What stood quoted right above it: an answer written into the letter. */
  readonly answers: string | null;
}

/** Places where one sentence turns from one thing to another. */
const TURN =
  /;\s+|,\s+(?!(?:i|we)(?:['’]ve| have) (?:asked|sent|told|given|passed|forwarded|informed)\s+(?:her|him|them)\b)(?=(?:he|she|they|it|we|i|you)(?:['’]\w+)?\s+\S+)|,\s+(?=(?:and|but|so|while|though|whereas|the|as to|as for|then)\s+\S+\s+\S+)|\s+(?=(?:and|but) (?:the|your|our|so|we|i|you|he|she|it|they|nobody|no one|nothing|there|still)\s+\S+)|\s[–—-]\s+/gi;

/** "Bibs, I regret, we do not carry": what is put in between commas says nothing of its own. */
const PUT_IN =
  /(?:^|,)\s*(?:(?:i|we) (?:regret|fear|think|hope|suppose|guess|believe|must say|admit|confess)|(?:i['’]?m|i am|we['’]?re|we are) (?:sorry|afraid|sure)|you know|you see|it seems|as you know|of course|alas)\s*$/i;

/** Whether a comma stands before or behind what is put in, or behind a single word: then the sentence goes on. */
function isBroken(before: string, cut: string): boolean {
  if (!cut.startsWith(",")) return false;
  const said = before.slice(before.search(/[^;]*$/)).replace(PUT_IN, "");
  return !/\s/.test(said.trim());
}

/** "1:", "2)" at the head of an answer. */
const NUMBER = /^\(?(\d{1,2})\s?[:.)]\s+/;

/** Characters of quoted text right above an answer that are looked at. */
const QUOTED_ABOVE = 600;

/** Characters of the longest segment; nobody needs more to say what has become of a thing. */
const LONGEST = 1_000;

/** Cuts the new text of a letter into segments, in the order of the text. */
export function segmentsOf(text: string, parts: readonly TextPart[]): Segment[] {
  const segments: Segment[] = [];
  for (const clause of clausesIn(text, parts, 1)) {
    const raw = text.slice(clause.start, clause.end);
    const line = text.slice(text.lastIndexOf("\n", clause.start) + 1, clause.start);
    const own = NUMBER.exec(raw) ?? NUMBER.exec(line.trimStart());
    const number = own ? Number(own[1]) : null;
    const above = parts.find(
      (part) => part.kind === "quoted" && part.end <= clause.start && text.slice(part.end, clause.start).trim() === "",
    );
    const answers = above ? text.slice(Math.max(above.start, above.end - QUOTED_ABOVE), above.end) : null;
    const flat = raw.replace(/\s/g, " ");
    const cuts = [...flat.matchAll(TURN)].filter((cut) => !isBroken(flat.slice(0, cut.index), cut[0]));
    let at = 0;
    for (const cut of [...cuts, null]) {
      const end = cut ? cut.index : raw.length;
      const piece = raw.slice(at, end);
      if (piece.trim() !== "" && piece.length <= LONGEST) {
        const start = clause.start + at + (piece.length - piece.trimStart().length);
        segments.push({
          start,
          end: clause.start + at + piece.trimEnd().length,
          text: piece.replace(/\s+/g, " ").trim(),
          block: clause.block,
          number,
          answers,
        });
      }
      at = cut ? cut.index + cut[0].length : raw.length;
    }
  }
  return segments;
}
