import type { Letter } from "../letters/letter";
import { forWriter, type ReadingSettings } from "../reading/read-letter";
import type { People } from "../reading/slip";
import type { Moment } from "../time/moment";
import { type Segment, segmentsOf } from "./segments";
import { Sides } from "./sides";

/** A letter that is being followed, and what is known around it. `writer` is an address. */
export interface FollowContext {
  readonly letter: Letter;
  readonly writer: string;
  readonly segments: readonly Segment[];
  readonly sent: Moment;
  readonly people: People;
  readonly settings: ReadingSettings;
  readonly sides: Sides;
}

/** What following a letter needs to know; null of one that changes nothing: a machine's, or one without a writer. */
export function contextOf(
  letter: Letter,
  people: People,
  sent: Moment,
  settings: ReadingSettings,
): FollowContext | null {
  if (letter.automatic || !letter.from) return null;
  return {
    letter,
    writer: letter.from.address,
    segments: segmentsOf(letter.text, letter.parts),
    sent,
    people,
    settings: forWriter(settings, letter),
    sides: new Sides(people),
  };
}
