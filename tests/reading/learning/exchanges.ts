import fs from "node:fs";
import path from "node:path";
import type { FollowContext } from "@/core/following/context";
import type { OpenItem } from "@/core/following/item";
import type { SlipKind } from "@/core/reading/slip";
import { ASKER, answerWritten, itemAsked, OWNER } from "./made-up";

/** One letter written while several things are open, and what its words say of which of them. */
export interface LabelledExchange {
  readonly context: FollowContext;
  readonly open: readonly OpenItem[];
  readonly changes: readonly { readonly item: OpenItem; readonly change: string; readonly quote: string }[];
}

function itemOf(line: string, place: number): [string, OpenItem] | null {
  const [, name, kind, flags = "", due, quote] =
    /^([a-z]); (ask|question|promise|trouble)([!+~]*); (\d{4}-\d\d-\d\d|-) \| (.+)$/.exec(line) ?? [];
  if (!name || !quote) return null;
  const isSwapped = flags.includes("~");
  const letter = flags.includes("+") ? 1 : 0;
  const item = itemAsked(kind as SlipKind, due ?? "-", quote, place, {
    ...(isSwapped && { owner: kind === "trouble" ? null : ASKER, asker: OWNER }),
    ...(flags.includes("!") && { isPromised: true }),
    letter,
    raised: letter,
  });
  return [name, item];
}

async function exchangeOf(
  side: string,
  marked: string,
  items: ReadonlyMap<string, OpenItem>,
): Promise<LabelledExchange> {
  const changes = [...marked.matchAll(/\{([a-z]) ([a-z ]+) \| ([^}]+)\}/g)].map(([, name, change, quote]) => {
    const item = items.get(name!);
    if (!item) throw new Error(`Nothing is called “${name}” here: ${marked}`);
    return { item, change: change!, quote: quote! };
  });
  const text = marked.replace(/\{[a-z] [a-z ]+ \| ([^}]+)\}/g, "$1").replace(/ \/\/ /g, "\n");
  if (/[{}|]/.test(text)) throw new Error(`A mark is not closed: ${marked}`);
  const context = await answerWritten(side, text);
  return { context, open: [...items.values()], changes };
}

/** All labelled exchanges. */
export async function labelledExchanges(): Promise<LabelledExchange[]> {
  const lines = fs.readFileSync(path.join(import.meta.dirname, "../letters/exchanges.txt"), "utf8").split("\n");
  const found: LabelledExchange[] = [];
  let items = new Map<string, OpenItem>();
  for (const line of lines) {
    if (/^=+$/.test(line)) items = new Map();
    const item = itemOf(line, items.size + 1);
    if (item) items.set(...item);
    if (/^[<>] /.test(line)) found.push(await exchangeOf(line[0]!, line.slice(2), items));
  }
  return found;
}
