import fs from "node:fs";
import path from "node:path";
import { tellingWords } from "@/core/finding/telling-words";
import { contextOf, type FollowContext } from "@/core/following/context";
import type { OpenItem } from "@/core/following/item";
import { PLAIN_READING } from "@/core/reading/read-letter";
import type { SlipKind } from "@/core/reading/slip";
import { letterOf, PEOPLE } from "../labelled";

/** One letter written while several things are open, and what its words say of which of them. */
export interface LabelledExchange {
  readonly context: FollowContext;
  readonly open: readonly OpenItem[];
  readonly changes: readonly { readonly item: OpenItem; readonly change: string; readonly quote: string }[];
}

const OWNER = "theo@millstone-flour.example";
const ASKER = "nadia@brindle.example";

function itemOf(line: string, place: number): [string, OpenItem] | null {
  const [, name, kind, flags = "", due, quote] =
    /^([a-z]); (ask|question|promise|trouble)([!+~]*); (\d{4}-\d\d-\d\d|-) \| (.+)$/.exec(line) ?? [];
  if (!name || !quote) return null;
  const [owner, asker] = flags.includes("~") ? [ASKER, OWNER] : [OWNER, ASKER];
  const letter = flags.includes("+") ? 1 : 0;
  const item: OpenItem = {
    id: `1-${place}`,
    kind: kind as SlipKind,
    quote,
    start: 0,
    end: quote.length,
    owner: kind === "trouble" ? null : owner,
    asker,
    due: due === "-" ? null : (due ?? null),
    otherDays: [],
    letter,
    raised: letter,
    place,
    words: tellingWords(quote),
    proposes: null,
    isPromised: kind === "promise" || flags.includes("!"),
    isOver: false,
  };
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
  const head =
    side === ">"
      ? "theo -> nadia | Tue, 04 Mar 2031 10:00:00 +0000 | Re: yours"
      : "nadia -> theo | Tue, 04 Mar 2031 10:00:00 +0000 | Re: yours";
  const letter = await letterOf(head, `${text}\n`);
  const context = contextOf(letter, PEOPLE, { at: letter.sentAt ?? 0, zone: letter.offset }, PLAIN_READING);
  if (!context) throw new Error(`The letter cannot be followed: ${text}`);
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
