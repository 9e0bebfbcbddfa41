import { tellingWords } from "@/core/finding/telling-words";
import { contextOf, type FollowContext } from "@/core/following/context";
import type { OpenItem } from "@/core/following/item";
import { PLAIN_READING } from "@/core/reading/settings";
import { letterOf, PEOPLE } from "../labelled";

/** Who has to answer, and who asked, in letters that were written for learning alone. */
export const OWNER = "theo@millstone-flour.example";
export const ASKER = "nadia@brindle.example";

/** What was asked on Monday 3 March 2031; `place` counts from one, a day that is "-" is none. */
export function itemAsked(
  kind: OpenItem["kind"],
  due: string,
  quote: string,
  place: number,
  more: Partial<OpenItem> = {},
): OpenItem {
  return {
    id: `1-${place}`,
    kind,
    quote,
    start: 0,
    end: quote.length,
    owner: kind === "trouble" ? null : OWNER,
    asker: ASKER,
    due: due === "-" ? null : due,
    otherDays: [],
    letter: 0,
    raised: 0,
    place,
    words: tellingWords(quote),
    each: [],
    proposes: null,
    isPromised: kind === "promise",
    isOver: false,
    overBy: 1,
    ...more,
  };
}

/** A letter of the next day: ">" from whoever has to answer, "<" from whoever asked. */
export async function answerWritten(side: string, text: string): Promise<FollowContext> {
  const head =
    side === ">"
      ? "theo -> nadia | Tue, 04 Mar 2031 10:00:00 +0000 | Re: yours"
      : "nadia -> theo | Tue, 04 Mar 2031 10:00:00 +0000 | Re: yours";
  const letter = await letterOf(head, `${text}\n`);
  const context = contextOf(letter, PEOPLE, { at: letter.sentAt ?? 0, zone: letter.offset }, PLAIN_READING);
  if (!context) throw new Error(`The letter cannot be followed: ${text}`);
  return context;
}
