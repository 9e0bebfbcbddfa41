import fs from "node:fs";
import path from "node:path";
import { tellingWords } from "@/core/finding/telling-words";
import { contextOf, type FollowContext } from "@/core/following/context";
import type { OpenItem } from "@/core/following/item";
import { PLAIN_READING } from "@/core/reading/read-letter";
import type { SlipKind } from "@/core/reading/slip";
import { letterOf, PEOPLE } from "../labelled";

/** One answer to one thing that was asked: the letter, what was open, and which of its words say what of it. */
export interface LabelledAnswer {
  readonly context: FollowContext;
  readonly item: OpenItem;
  /** Something else that is open and that the letter is not about; null where nothing is. */
  readonly rival: OpenItem | null;
  readonly change: string;
  readonly quote: string;
}

const OWNER = "theo@millstone-flour.example";
const ASKER = "nadia@brindle.example";

function itemOf(kind: SlipKind, due: string | null, quote: string, place: number): OpenItem {
  return {
    id: `1-${place}`,
    kind,
    quote,
    start: 0,
    end: quote.length,
    owner: kind === "trouble" || /\bsomebody\b/.test(quote) ? null : OWNER,
    asker: ASKER,
    due,
    otherDays: [],
    letter: 0,
    raised: 0,
    place,
    words: tellingWords(quote),
    proposes: null,
    isPromised: kind === "promise",
    isOver: false,
  };
}

function share(text: string, item: OpenItem): boolean {
  return [...tellingWords(text)].some((word) => item.words.has(word));
}

/** All labelled answers, each to the thing alone; those that name it also beside something else that is open. */
export async function labelledAnswers(): Promise<LabelledAnswer[]> {
  const lines = fs.readFileSync(path.join(import.meta.dirname, "../letters/answers.txt"), "utf8").split("\n");
  const found: LabelledAnswer[] = [];
  let item: OpenItem | null = null;
  let rival: OpenItem | null = null;
  for (const line of lines) {
    const asked = /^\? (ask|question|promise|trouble) (\S+) \| (.+)$/.exec(line);
    if (asked) {
      rival = item;
      item = itemOf(asked[1] as SlipKind, asked[2] === "-" ? null : asked[2]!, asked[3]!, 1);
    }
    const [, side, change, words] = /^([<>]) ([\w ]+?) \| (.+)$/.exec(line) ?? [];
    if (!item || !side || !change || !words) continue;
    const quote = /\{(.+)\}/.exec(words)?.[1] ?? words;
    const text = words.replace(/[{}]/g, "");
    const letter = await letterOf(
      side === ">"
        ? "theo -> nadia | Tue, 04 Mar 2031 10:00:00 +0000 | Re: yours"
        : "nadia -> theo | Tue, 04 Mar 2031 10:00:00 +0000 | Re: yours",
      `${text}\n`,
    );
    const context = contextOf(letter, PEOPLE, { at: letter.sentAt ?? 0, zone: letter.offset }, PLAIN_READING);
    if (!context) throw new Error(`The letter cannot be followed: ${text}`);
    found.push({ context, item, rival: null, change, quote });
    if (rival && share(text, item) && !share(text, rival))
      found.push({ context, item, rival: { ...rival, id: "1-2", place: 2 }, change, quote });
  }
  return found;
}
