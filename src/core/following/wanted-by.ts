import type { Letter } from "../letters/letter";
import { readLetter } from "../reading/read-letter";
import type { People } from "../reading/slip";
import type { Day } from "../time/day";
import type { OpenItem } from "./item";

/**
 * The days by which what a letter opens is wanted, as the letter is read by itself: an item is compared with answers by every day
 * that is named with it, be it that of a thing ("the table for the supper on the 19th").
 * @returns tells that day of an item of this letter, null where there is none
 */
export function wantedBy(letter: Letter, people: People): (item: OpenItem) => Day | null {
  const slips = readLetter(letter, people, { at: letter.sentAt ?? 0, zone: letter.offset });
  const days = new Map(slips.map(({ start, due }) => [start, due?.day ?? null]));
  return ({ start, due }) => {
    const day = days.get(start);
    return day === undefined ? due : day;
  };
}
