/** Offsets of the continental United States in winter and summer, and of Hawaii and Alaska. */
const MONTH_FIRST = /^-(?:04|05|06|07|08|09|10):00$/;

/**
 * How the writer of "3/4" orders day and month, guessed from the zone of the letter: month first in the offsets of North
 * America, where most writers have it so, elsewhere as at home. Common practice, and a guess: the other order is offered.
 */
export function figuresOf(zone: string, home: "dmy" | "mdy" = "dmy"): "dmy" | "mdy" {
  return MONTH_FIRST.test(zone) ? "mdy" : home;
}
