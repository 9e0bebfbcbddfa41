import type { AwayState } from "../days/away";
import type { Day } from "../time/day";
import type { TaskRow } from "./views";

/** A time away of somebody of the team. */
export interface AwayView {
  readonly id: string;
  readonly personId: string;
  readonly name: string;
  readonly fromDay: Day;
  readonly backDay: Day;
  readonly coverId: string | null;
  readonly coverName: string | null;
  readonly withMailboxes: boolean;
  readonly state: AwayState;
  /** Whether the viewer may end it. */
  readonly mayEnd: boolean;
}

/** Something done for somebody while they were away. */
export interface DoneFor {
  readonly id: string;
  readonly at: number;
  readonly by: string;
  readonly words: string;
  readonly reference: string | null;
  readonly slug: string | null;
  readonly title: string;
}

/** What happened while somebody was away. */
export interface WhileAway {
  readonly away: AwayView;
  readonly endedAt: number | null;
  readonly isSeen: boolean;
  /** What was done in their place, the newest first. */
  readonly done: readonly DoneFor[];
  /** Open tasks that became theirs meanwhile. */
  readonly given: readonly TaskRow[];
  /** Their open tasks that ran over their date meanwhile. */
  readonly over: readonly TaskRow[];
}

/** Who is away and who covers, for one viewer. */
export interface CoverView {
  readonly isLead: boolean;
  readonly absences: readonly AwayView[];
  /** The viewer's own last time away, until they have looked at it; and, in their place, of those they cover for now. */
  readonly own: WhileAway | null;
  readonly covering: readonly (WhileAway & {
    readonly open: number;
    readonly waits: number;
    readonly letters: number;
  })[];
}

/** A round that was finished, or a day that was closed. */
export interface RoundDone {
  readonly id: string;
  readonly what: "round" | "day";
  readonly endedAt: number;
  readonly came: number;
  readonly dealt: number;
  readonly left: number;
  readonly minutes: number;
}

/** Tasks in one part of a round at the most; its station has all of them. */
export const MOST_IN_A_PART = 12;

/** Where one round begins: what came, what is due, what came back, which waits broke. */
export interface RoundStart {
  readonly name: string;
  /** Whose work the viewer looks after now, and until when. */
  readonly covers: readonly { readonly name: string; readonly backDay: Day }[];
  /** They are back from being away, and have not looked at what happened meanwhile. */
  readonly isBack: boolean;
  /** Since when it is counted: the end of the round before. */
  readonly since: number;
  readonly came: number;
  readonly dealt: number;
  readonly left: number;
  readonly minutes: number;
  readonly letters: readonly { readonly id: string; readonly title: string; readonly from: string }[];
  readonly given: readonly TaskRow[];
  readonly back: readonly TaskRow[];
  readonly due: readonly TaskRow[];
  readonly returned: readonly TaskRow[];
  readonly doubted: readonly TaskRow[];
  readonly waits: { readonly broken: number; readonly lettersReady: number; readonly calls: number };
  readonly earlier: readonly RoundDone[];
  /** The day is closed until then. */
  readonly closedUntil: number | null;
  /** For closing the day: what was finished today, and what is due tomorrow. */
  readonly doneToday: number;
  readonly tomorrow: readonly TaskRow[];
}
