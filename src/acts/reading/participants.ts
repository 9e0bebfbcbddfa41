import type { Correspondent, Letter } from "../../core/letters/letter";

/** People of one header that are looked at; a circular to thousands asks nobody by name. */
const MOST_PARTICIPANTS = 20;

/** Whoever wrote a letter and to whom, as far as they have an address. */
export function participantsOf(letter: Letter): Correspondent[] {
  return [
    ...(letter.from ? [letter.from] : []),
    ...letter.to.slice(0, MOST_PARTICIPANTS),
    ...letter.cc.slice(0, MOST_PARTICIPANTS),
  ].filter((who) => who.address !== "");
}
