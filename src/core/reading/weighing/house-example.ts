import type { SlipKind } from "../slip";
import type { Sense } from "./sense";

/** A passage that people of the organisation have dealt with: what it was read as, and what it is. */
export interface HouseExample {
  /** Address of who wrote it. */
  readonly writer: string;
  /** The passage as `phraseOf` makes it. */
  readonly phrase: string;
  /** What the reader took it for, and by which rule; both null where people marked what it had not found. */
  readonly read: SlipKind | null;
  readonly rule: string | null;
  readonly sense: Sense;
  readonly times: number;
}
