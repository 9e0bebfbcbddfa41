import type { Happening, Loudness, Why } from "../hearing/heard";

/** What somebody is told, the newest first. */
export interface NoticesView {
  /** How many they have not seen yet. */
  readonly fresh: number;
  readonly notices: readonly {
    readonly id: string;
    readonly slug: string;
    readonly reference: string;
    readonly title: string;
    readonly what: Happening;
    readonly why: Why;
    readonly loudness: Loudness;
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
