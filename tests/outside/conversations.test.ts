import { describe, expect, test } from "vitest";
import { conversationsOf, type JoinableLetter } from "@/core/letters/conversations";
import { parseLetter } from "@/core/letters/parse-letter";
import { DovecotBox, threadGroups } from "./dovecot";
import { corpus } from "./pick";

/** Pairs of letters that stand in one conversation, as "a b" with a before b. */
function pairsOf(groups: readonly (readonly string[])[]): Set<string> {
  const pairs = new Set<string>();
  for (const group of groups) {
    const sorted = [...group].sort();
    for (const [i, a] of sorted.entries()) for (const b of sorted.slice(i + 1)) pairs.add(`${a} ${b}`);
  }
  return pairs;
}

// RFC 5256, THREAD=REFS, as Debian's Dovecot does it, on letters of real people. Ours joins a few more: answers whose mail
// program dropped the references.
describe("conversations, against Dovecot's THREAD REFS", () => {
  test.each(["easy-ham-1", "easy-ham-2"] as const)(
    "%s",
    async (set) => {
      const files = corpus(Number.POSITIVE_INFINITY, set);
      const letters: JoinableLetter[] = [];
      for (const { name, raw } of files) {
        const parsed = await parseLetter(raw);
        if (parsed.ok) letters.push({ ...parsed.letter, key: name });
      }
      const ours = pairsOf(conversationsOf(letters));
      const box = new DovecotBox(files);
      const answer = box.ask(
        "SELECT INBOX",
        "FETCH 1:* (BODY.PEEK[HEADER.FIELDS (X-Jam-File)])",
        "THREAD REFS UTF-8 ALL",
      );
      box.close();
      const names = new Map(
        [...answer.matchAll(/^\* (\d+) FETCH [^\r\n]*\r?\nX-Jam-File: (\S+)/gim)].map((m) => [Number(m[1]), m[2]!]),
      );
      expect(names.size).toBe(files.length);
      const theirs = pairsOf(threadGroups(answer).map((group) => group.map((number) => names.get(number)!)));
      const both = [...ours].filter((pair) => theirs.has(pair)).length;
      console.log(
        `${set}: ${files.length} letters, ${theirs.size} pairs by Dovecot, ${ours.size} by us, ${both} by both: ` +
          `precision ${(both / ours.size).toFixed(4)}, recall ${(both / theirs.size).toFixed(4)}`,
      );
      expect(theirs.size).toBeGreaterThan(900);
      expect(both / ours.size).toBeGreaterThanOrEqual(0.98);
      expect(both / theirs.size).toBeGreaterThanOrEqual(0.99);
    },
    120_000,
  );
});
