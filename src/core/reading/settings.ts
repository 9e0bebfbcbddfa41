import type { Letter } from "../letters/letter";
import { PLAIN_WEEK, type WorkingCalendar } from "../time/day";
import { figuresOf } from "../time/figures-order";
import type { SlipKind } from "./slip";
import type { NameWeights, WordingWeights } from "./weighing/shares";

/** Settings of the organisation that reading needs. */
export interface ReadingSettings {
  readonly calendar: WorkingCalendar;
  readonly figures: "dmy" | "mdy";
  /** Whether letters of discussion lists are read too; otherwise they ask nothing, like all that programs hand on (RFC 2369, 2919). */
  readonly readsLists?: boolean;
  /** Phrases that people marked by hand in earlier letters of the writer, as `phraseOf` makes them. */
  readonly marked?: readonly string[];
  /** What phrases of the writer are that were read as something else, as `phraseOf` makes them. */
  readonly setRight?: ReadonlyMap<string, SlipKind>;
  /** How asks, questions, promises and trouble are worded; by default as labelled passages teach. */
  readonly wording?: WordingWeights;
  /** What wording says more in this organisation. */
  readonly houseWording?: readonly NameWeights[];
  /** Whether every day that is named counts, that of a thing as well as that by which work is wanted: so it is compared with answers. */
  readonly everyDay?: boolean;
}

/** The settings for one letter: writers overseas order figures in their own way. */
export function forWriter(house: ReadingSettings, { offset }: Pick<Letter, "offset">): ReadingSettings {
  return { ...house, figures: figuresOf(offset, house.figures) };
}

export const PLAIN_READING: ReadingSettings = { calendar: PLAIN_WEEK, figures: "dmy" };
