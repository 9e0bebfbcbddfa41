import type { KindRule } from "../kind-rule";
import { toldIn } from "../not-trouble";
import { phrases } from "../phrases";
import { BEFALLS } from "../trouble-turns/befalls";
import { BREAKS } from "../trouble-turns/breaks";
import { DOES_NOT } from "../trouble-turns/does-not";
import { FALLS_THROUGH } from "../trouble-turns/falls-through";
import { GOES_ASTRAY } from "../trouble-turns/goes-astray";
import { PLAINLY_BAD } from "../trouble-turns/plainly-bad";

/** Turns by which people say that a thing no longer does what it should. */
const TURNS = phrases([BREAKS, DOES_NOT, BEFALLS, GOES_ASTRAY, FALLS_THROUGH, PLAINLY_BAD].join("\n"));

/** "The oven gave up the ghost", "the door jams": trouble with things, in the turns people use for it. */
export const thingsFail: KindRule = {
  name: "a thing does not do what it should",
  confidence: 0.75,
  counts: 1.2,
  says: "trouble",
  find: ({ text }) => (TURNS.test(toldIn(text)) ? "trouble" : null),
};
