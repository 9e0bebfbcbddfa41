import { sayMomentFully } from "../time/say-day";
import { baseSubject } from "./base-subject";
import type { Correspondent, Letter } from "./letter";

/** What an answer is made from: a letter that is dated, if only by its coming. */
type Answered = Pick<Letter, "from" | "to" | "cc" | "subject" | "text" | "parts" | "offset"> & {
  readonly sentAt: number;
};

/** Who gets an answer, and its subject. */
export interface ReplyHead {
  readonly to: readonly Correspondent[];
  readonly cc: readonly Correspondent[];
  readonly subject: string;
}

function others(people: readonly Correspondent[], not: ReadonlySet<string>): Correspondent[] {
  const seen = new Set(not);
  return people.filter(({ address }) => {
    if (address === "" || seen.has(address)) return false;
    seen.add(address);
    return true;
  });
}

/**
 * To, Cc and subject of an answer to everybody (RFC 5322 section 3.6.3): to the writer and whoever else it went to, copies
 * to those who had one, never to oneself. An answer to one's own letter goes to those it went to.
 * @param own addresses that are one's own, lower case
 */
export function replyHead(letter: Answered, own: ReadonlySet<string>): ReplyHead {
  const isOwn = letter.from !== null && own.has(letter.from.address);
  const to = others([...(letter.from && !isOwn ? [letter.from] : []), ...letter.to], own);
  const cc = others(letter.cc, new Set([...own, ...to.map((one) => one.address)]));
  return { to, cc, subject: `Re: ${baseSubject(letter.subject)}` };
}

/** Lines of the original that are quoted below an answer; who wants more has the letter itself. */
const MOST_QUOTED_LINES = 200;

/** The original as it is quoted below an answer: its own words, with the sign of RFC 3676 section 4.5. */
export function quotedBelow(letter: Answered): string {
  const own = letter.parts
    .filter((part) => part.kind === "new" || part.kind === "forwarded")
    .map((part) => letter.text.slice(part.start, part.end))
    .join("")
    .trim();
  if (own === "") return "";
  const lines = own
    .split("\n", MOST_QUOTED_LINES)
    .map((line) => (line.startsWith(">") ? `>${line}` : `> ${line}`.trimEnd()));
  const moment = { at: letter.sentAt, zone: letter.offset };
  const who = letter.from?.name || letter.from?.address || "Somebody";
  return `On ${sayMomentFully(letter.sentAt, letter.offset, moment)}, ${who} wrote:\n${lines.join("\n")}`;
}
