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
  /** How much it counts beside the answers and the whole conversations. */
  readonly counts: number;
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
): Promise<Omit<LabelledExchange, "counts">> {
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

const FOLDER = path.join(import.meta.dirname, "exchanges");

/** The files but for the first were written in one go and are much alike: each of their letters counts for so much of another. */
const ONE_OF_MANY = 0.4;

/** All labelled exchanges, of every file of their folder. */
export async function labelledExchanges(): Promise<LabelledExchange[]> {
  const files = fs.readdirSync(FOLDER).sort();
  return (
    await Promise.all(
      files.map(async (file) => {
        const counts = file === "first.txt" ? 1 : ONE_OF_MANY;
        return (await exchangesIn(path.join(FOLDER, file))).map((one) => ({ ...one, counts }));
      }),
    )
  ).flat();
}

async function exchangesIn(file: string): Promise<Omit<LabelledExchange, "counts">[]> {
  const lines = fs.readFileSync(file, "utf8").split("\n");
  const found: Omit<LabelledExchange, "counts">[] = [];
  let items = new Map<string, OpenItem>();
  for (const line of lines) {
    if (/^=+$/.test(line)) items = new Map();
    const item = itemOf(line, items.size + 1);
    if (item) items.set(...item);
    if (/^[<>] /.test(line)) found.push(await exchangeOf(line[0]!, line.slice(2), items));
  }
  return found;
}
