import type { Letter, TextPart } from "../letters/letter";
import { splitText } from "../letters/split-text";
import type { Moment } from "../time/moment";
import type { LetterGround } from "./kind-rule";
import type { People, Person } from "./slip";

/** Characters of new text that are read. */
const MOST_TEXT_READ = 60_000;

function personFor(address: string, people: People): Person | null {
  return people.team.find((p) => p.address === address) ?? people.outside.find((p) => p.address === address) ?? null;
}

function groundOf(letter: Letter, people: People): LetterGround {
  return {
    writer: letter.from ? known(letter.from, people) : null,
    to: letter.to.slice(0, 20).map((who) => known(who, people)),
    people,
  };
}

function known(who: { name: string; address: string }, people: People): Person {
  return (
    personFor(who.address, people) ??
    // Programs that pass letters on often leave the address out.
    (who.address === "" ? [...people.team, ...people.outside].find((p) => p.name === who.name) : undefined) ?? {
      id: who.address,
      name: who.name || who.address,
      address: who.address,
    }
  );
}

/** Longest line with which a forwarder may say nothing of their own. */
const LONGEST_COVER_LINE = 120;

/** What is said when a letter is only passed on: "see below, can you handle this one please". */
const COVER_LINE =
  /\b(?:hi|hello|see below|below|fyi|for (?:your )?information|for you|as discussed|(?:can|could|would) you|please|pls|kindly|handle|deal with|take|look (?:at|after)|this|it|one|thanks|thank you|many thanks)\b/gi;

/** What of a letter is read, who wrote it, and the moment from which its dates count. */
export interface Reading {
  readonly parts: readonly TextPart[];
  readonly ground: LetterGround;
  readonly from: Moment;
}

/**
 * New text is read; the letter that is passed on only where its forwarder adds nothing of their own. Then its writer and
 * its date count, and "you" is whom it was passed on to.
 */
export function readingOf(letter: Letter, people: People, from: Moment): Reading {
  const ground = groundOf(letter, people);
  const fresh = letter.parts.filter((part) => part.kind === "new");
  const own = fresh
    .map((part) => letter.text.slice(part.start, part.end))
    .join(" ")
    .trim();
  const forwarded = letter.parts.filter((part) => part.kind === "forwarded");
  const addsNothing =
    !/\p{L}/u.test(
      own
        .slice(0, LONGEST_COVER_LINE)
        .replace(COVER_LINE, "")
        .replace(/(?<=^|[\s,])\p{Lu}\p{L}+(?=[\s,.!]|$)/gu, ""),
    ) && own.length < LONGEST_COVER_LINE;
  if (forwarded.length === 0 || !addsNothing) return { parts: fresh.map(capped), ground, from };
  const inner = letter.passedOn;
  if (!inner) return { parts: forwarded.map((part) => ({ ...capped(part), kind: "new" as const })), ground, from };
  const parts = splitText(letter.text.slice(inner.start, inner.end), false)
    .filter((part) => part.kind === "new")
    .map((part) => capped({ kind: "new", start: inner.start + part.start, end: inner.start + part.end }));
  return {
    parts,
    ground: { ...ground, writer: known(inner.from, people) },
    from: inner.sentAt === null ? from : { at: inner.sentAt, zone: inner.offset },
  };
}

function capped(part: TextPart): TextPart {
  return { ...part, end: Math.min(part.end, part.start + MOST_TEXT_READ) };
}

/** The words of some parts of a text. */
export function textOf(text: string, parts: readonly TextPart[]): string {
  return parts.map((part) => text.slice(part.start, part.end)).join("\n");
}
