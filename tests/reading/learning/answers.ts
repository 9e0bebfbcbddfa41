import fs from "node:fs";
import path from "node:path";
import { tellingWords } from "@/core/finding/telling-words";
import type { FollowContext } from "@/core/following/context";
import type { OpenItem } from "@/core/following/item";
import type { SlipKind } from "@/core/reading/slip";
import { answerWritten, itemAsked, OWNER } from "./made-up";

/** One answer to one thing that was asked: the letter, what was open, and which of its words say what of it. */
export interface LabelledAnswer {
  readonly context: FollowContext;
  readonly item: OpenItem;
  /** Something else that is open and that the letter is not about; null where nothing is. */
  readonly rival: OpenItem | null;
  readonly change: string;
  readonly quote: string;
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
      const [, kind, due = "-", quote = ""] = asked;
      const owner = kind === "trouble" || /\bsomebody\b/.test(quote) ? null : OWNER;
      item = itemAsked(kind as SlipKind, due, quote, 1, { owner });
    }
    const [, side, change, words] = /^([<>]) ([\w ]+?) \| (.+)$/.exec(line) ?? [];
    if (!item || !side || !change || !words) continue;
    const quote = /\{(.+)\}/.exec(words)?.[1] ?? words;
    const text = words.replace(/[{}]/g, "");
    const context = await answerWritten(side, text);
    found.push({ context, item, rival: null, change, quote });
    if (rival && share(text, item) && !share(text, rival))
      found.push({ context, item, rival: { ...rival, id: "1-2", place: 2 }, change, quote });
  }
  return found;
}
