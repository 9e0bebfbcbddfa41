import type { TaskState } from "../tasks/task";
import type { Day } from "../time/day";

/** What the box in the bar finds. */
export interface FoundView {
  readonly letters: readonly {
    readonly id: string;
    readonly subject: string;
    readonly from: string;
    readonly sentAt: number;
    readonly place: string;
  }[];
  readonly tasks: readonly {
    readonly slug: string;
    readonly reference: string;
    readonly title: string;
    readonly state: TaskState;
  }[];
  readonly people: readonly {
    readonly id: string;
    readonly name: string;
    readonly address: string;
    readonly firm: string | null;
    readonly isTeam: boolean;
  }[];
}

/** Somebody outside, and every letter to and from them. */
export interface LettersWith {
  readonly name: string;
  readonly address: string;
  readonly firm: string | null;
  readonly awayUntil: Day | null;
  readonly letters: readonly {
    readonly id: string;
    readonly subject: string;
    readonly from: string;
    readonly isTheirs: boolean;
    readonly sentAt: number;
    readonly wayIn: string | null;
  }[];
}
