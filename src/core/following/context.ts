import type { Letter } from "../letters/letter";
import type { ReadingSettings } from "../reading/read-letter";
import type { People } from "../reading/slip";
import type { Moment } from "../time/moment";
import type { Segment } from "./segments";
import type { Sides } from "./sides";

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
