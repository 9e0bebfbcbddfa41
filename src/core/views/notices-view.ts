import type { Happening, Loudness, Why } from "../hearing/heard";
import type { HowHeard } from "../hearing/wishes";

/** What somebody is told, the newest first. */
export interface NoticesView {
  /** How many they have not seen yet. */
  readonly fresh: number;
  /** Whether nothing may interrupt them now: quiet hours, a closed day, a time away. */
  readonly isQuiet: boolean;
  readonly notices: readonly {
    readonly id: string;
    readonly slug: string;
    readonly reference: string;
    readonly title: string;
    readonly what: Happening;
    readonly why: Why;
    readonly loudness: Loudness;
    /** How they wish to hear of it beside this list. */
    readonly how: HowHeard;
    /** Whose place they take, where they hear of it because they cover. */
    readonly forWhom: string | null;
    /** Who did it: of the team, or whoever wrote the letter. */
    readonly by: { readonly name: string; readonly initials: string; readonly isTeam: boolean };
    readonly words: string;
    readonly at: number;
    readonly isFresh: boolean;
  }[];
}

/** What each of the team has on hand, to see before something is given to them. */
export interface LoadView {
  readonly personId: string;
  /** Open tasks due up to the day that was asked about, and how many of them are late. */
  readonly dueBy: number;
  readonly late: number;
  /** All of their open tasks. */
  readonly all: number;
}
