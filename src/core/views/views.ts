import type { ChangeKind } from "../following/item";
import type { Hearer } from "../hearing/who-hears";
import type { LetterFile, PassedOn, TextPart } from "../letters/letter";
import type { OutgoingState } from "../letters/outgoing";
import type { MayWrite } from "../letters/ways";
import type { Priority, SlipKind } from "../reading/slip";
import type { RepeatRule } from "../repeating/rule";
import type { Chain } from "../tasks/chain";
import type { Step } from "../tasks/steps";
import type { ChangedTask, CommentKind, TaskState } from "../tasks/task";
import type { Day } from "../time/day";
import type { ChasePlan } from "../waiting/chase-plan";

// What screens are told: plain values, as they travel through JSON. Instants are milliseconds since 1970 UTC.

/** Somebody of the team. */
export interface PersonView {
  readonly id: string;
  readonly name: string;
  readonly initials: string;
  readonly address: string;
  readonly work: string;
  readonly nicknames: readonly string[];
  /** They are away now: the day on which they are back, and who covers. */
  readonly away: { readonly backDay: Day; readonly coverId: string | null } | null;
  /** The day on which they left the team; null while they are of it. */
  readonly leftOn?: Day | null;
}

/** Somebody outside. */
export interface CorrespondentView {
  readonly id: string;
  readonly name: string;
  readonly initials: string;
  readonly address: string;
  readonly firm: string | null;
  /** The day on which they said they are back, also when it is past. */
  readonly awayUntil: Day | null;
}

export interface ProjectView {
  readonly id: string;
  readonly name: string;
  readonly workstreams: readonly { readonly id: string; readonly name: string }[];
  /** Ids of those who may see it; null where everybody may. */
  readonly members: readonly string[] | null;
}

/** What every screen needs to know of the house it is in. */
export interface HouseView {
  readonly organisation: string;
  readonly zone: string;
  readonly workingDays: readonly number[];
  readonly holidays: readonly Day[];
  readonly figures: "dmy" | "mdy";
  readonly isDemo: boolean;
  readonly me: PersonView;
  readonly team: readonly PersonView[];
  readonly projects: readonly ProjectView[];
  /** The instant the server takes as now, so that all screens agree on "today". */
  readonly now: number;
  /** Whether the clock stands still (for pictures). */
  readonly isClockFrozen: boolean;
}

/** Figures beside the stations. A count that would pass `MOST_COUNTED` stops there and is shown as "999+". */
export interface CountsView {
  readonly sort: number;
  readonly tasks: number;
  readonly late: number;
  /** What is waited for, and how much of it is over its date. */
  readonly waiting: number;
  readonly over: number;
  /** Notices not seen yet. */
  readonly fresh: number;
}

/** A slip as it is shown; the owner is of the team, outside, or not known yet. */
export interface SlipView {
  readonly id: string;
  readonly letterId: string;
  readonly kind: SlipKind;
  readonly start: number | null;
  readonly end: number | null;
  readonly title: string;
  readonly owner: PersonView | null;
  readonly theirs: CorrespondentView | null;
  readonly due: DueView | null;
  readonly otherDays: readonly Day[];
  readonly priority: Priority;
  /** Minutes of work; null where nobody said. */
  readonly estimate: number | null;
  readonly projectId: string | null;
  readonly workstreamId: string | null;
  readonly state: "proposed" | "kept" | "brushed off";
  readonly task: {
    readonly reference: string;
    readonly slug: string;
    readonly title: string;
    readonly state: TaskState;
  } | null;
  /** Who had such tasks before for its writer, where nobody is named: a guess. */
  readonly suggested: PersonView | null;
  /** The task that keeping it changes, and how; null where it makes one. */
  readonly changes:
    | (ChangedTask & {
        readonly change: ChangeKind;
        readonly reference: string;
        readonly slug: string;
        readonly title: string;
      })
    | null;
  readonly madeBy: "reader" | "person";
  readonly reason: string;
  /** How sure the reader was, from 0 to 1. */
  readonly confidence: number;
}

export interface DueView {
  readonly day: Day;
  readonly time: string | null;
  readonly zone: string;
}

/** Where a conversation can be, and by which Sort's list is chosen. */
export type ConversationPlace = "sort" | "dealt with" | "put by";

/** A row of Sort: what is asked first, then who and when. */
export interface SortRow {
  readonly id: string;
  readonly subject: string;
  readonly from: string;
  readonly lastAt: number;
  readonly automatic: string | null;
  readonly isUnreadable: boolean;
  /** False once somebody of us has read it in a mail program. */
  readonly isUnread: boolean;
  readonly first: { readonly title: string; readonly kind: SlipKind; readonly due: DueView | null } | null;
  readonly kinds: Readonly<Record<SlipKind, number>>;
  /** Slips that offer to change a task that is here. */
  readonly changes: number;
  readonly outcome: "kept" | "nothing to do" | "filed by itself" | "answered" | "joined" | null;
  readonly dealtAt: number | null;
  readonly dealtBy: string | null;
  readonly wayIn: string;
  /** Put by: when it comes back. */
  readonly putUntil: number | null;
  /** It was put by and has come back. */
  readonly isReturned: boolean;
}

/** One sitting at Sort. */
export interface RoundView {
  readonly dealt: number;
  readonly left: number;
  /** Minutes the rest will take at the pace of this round; null while nothing is dealt with yet. */
  readonly minutesLeft: number | null;
  readonly cameSince: number;
}

export interface SortPage {
  readonly rows: readonly SortRow[];
  /** Where the next page begins; null at the end. */
  readonly next: string | null;
}

/** A letter as it is read. */
export interface LetterView {
  readonly id: string;
  readonly conversationId: string;
  readonly subject: string;
  readonly from: {
    readonly name: string;
    readonly address: string;
    readonly initials: string;
    readonly isTeam: boolean;
    readonly firm: string | null;
  };
  readonly to: readonly { readonly name: string; readonly address: string }[];
  readonly cc: readonly { readonly name: string; readonly address: string }[];
  readonly sentAt: number;
  readonly isDated: boolean;
  readonly offset: string;
  readonly receivedAt: number;
  readonly text: string;
  readonly parts: readonly TextPart[];
  readonly files: readonly LetterFile[];
  readonly hasHtml: boolean;
  readonly automatic: string | null;
  /** The letter that it passes on: who wrote that, and when. */
  readonly passedOn: PassedOn | null;
  readonly sealed: "signed" | "encrypted" | null;
  readonly unreadable: string | null;
  readonly size: number;
  readonly sha256: string;
  readonly waysIn: readonly string[];
}

/** A letter of ours that is not out yet, or of which it is not sure how often it went out. */
export interface OutgoingView {
  readonly id: string;
  readonly by: string;
  readonly to: readonly { readonly name: string; readonly address: string }[];
  readonly cc: readonly { readonly name: string; readonly address: string }[];
  readonly subject: string;
  readonly text: string;
  readonly state: OutgoingState;
  readonly tries: number;
  readonly said: string | null;
  readonly maybeTwice: boolean;
  readonly createdAt: number;
  readonly nextTry: number;
}

/** A conversation with its letters, oldest first, and its slips. */
export interface ConversationView {
  readonly id: string;
  readonly subject: string;
  readonly projectId: string | null;
  readonly place: ConversationPlace;
  readonly putUntil: number | null;
  readonly returnedAt: number | null;
  readonly outcome: SortRow["outcome"];
  readonly dealtAt: number | null;
  readonly dealtBy: string | null;
  readonly letters: readonly LetterView[];
  readonly slips: readonly SlipView[];
  /** Everybody outside who wrote or was written to: those who can be waited for. */
  readonly outside: readonly CorrespondentView[];
  readonly outgoing: readonly OutgoingView[];
  /** Whether it came to somebody's own mailbox alone: putting it on a task shares it. */
  readonly isPersonal: boolean;
  /** The task whose address it was sent to, where its writer may not write there: joining it is offered. */
  readonly offered: { readonly id: string; readonly reference: string; readonly title: string } | null;
}

/** A task in a list. */
export interface TaskRow {
  readonly id: string;
  readonly reference: string;
  readonly slug: string;
  readonly title: string;
  readonly side: "ours" | "theirs";
  readonly owner: PersonView | null;
  readonly theirs: CorrespondentView | null;
  readonly due: DueView | null;
  readonly priority: Priority;
  /** Minutes of work; null where nobody said. */
  readonly estimate: number | null;
  readonly state: TaskState;
  readonly projectId: string | null;
  readonly project: string | null;
  readonly workstreamId: string | null;
  readonly kind: SlipKind | null;
  readonly writer: string | null;
  /** A letter of its conversation did not arrive, and nobody has dealt with that yet: who did not get it, and why. */
  readonly trouble: string | null;
  readonly finishedAt: number | null;
  readonly createdAt: number;
  /** Who gave it to whom, with what they answered; empty where nobody gave it. */
  readonly chain: Chain;
  /** Why it may not make its date. */
  readonly doubt: string | null;
  /** Its checklist. */
  readonly steps: readonly Step[];
  /** The day from which on it can be begun; null where at any time. */
  readonly startDay: Day | null;
  /** How far it is by its owner's own word, in per cent. */
  readonly percent: number | null;
  /** What it cannot go on without. */
  readonly heldBy: {
    readonly reference: string;
    readonly slug: string;
    readonly title: string;
    /** Who has that: of the team or outside. */
    readonly by: string | null;
  } | null;
  /** Letters that chase it by themselves. */
  readonly chasePlan: ChasePlan | null;
  /** How it repeats; null where it does not. */
  readonly repeats: RepeatRule | null;
  /** Put by: when it comes back into the lists. */
  readonly putUntil: number | null;
  /** When it came back from being put by. */
  readonly returnedAt: number | null;
}

/** A task that a conversation may belong to, and why it is offered. */
export interface LikelyTask {
  readonly id: string;
  readonly reference: string;
  readonly title: string;
  readonly projectId: string | null;
  readonly owner: string | null;
  readonly hasSamePeople: boolean;
  readonly isSameProject: boolean;
  readonly hasSameWords: boolean;
}

export interface TasksPage {
  readonly rows: readonly TaskRow[];
  readonly next: string | null;
}

/** The figures at the head and foot of Tasks; capped as `CountsView`. */
export interface TasksFigures {
  readonly all: number;
  readonly nobodys: number;
  readonly undated: number;
}

/** One line of "what happened". */
export interface HappenedView {
  readonly id: string;
  readonly seq: number;
  readonly at: number;
  readonly by: PersonView;
  readonly words: string;
  readonly isUndone: boolean;
}

/** A task's sheet. */
export interface TaskSheet {
  readonly task: TaskRow;
  readonly workstream: string | null;
  /** Its mail address, where a domain of ours is set. */
  readonly address: string | null;
  /** Who may add to it by writing to its address. */
  readonly mayWrite: MayWrite;
  /** The exact words, and the letter they stand in; null where the task has none or the letter may not be seen. */
  readonly passage: {
    readonly letterId: string;
    readonly words: string;
    readonly start: number | null;
    readonly end: number | null;
    readonly from: string;
    readonly sentAt: number;
    readonly offset: string;
    /** Who passed the letter on, where the words are those of a letter within a letter. */
    readonly passedOnBy: string | null;
  } | null;
  /** Whether there is a letter that this viewer may not see. */
  readonly hasHiddenLetter: boolean;
  readonly files: readonly (LetterFile & { readonly letterId: string })[];
  readonly comments: readonly {
    readonly id: string;
    readonly by: PersonView;
    readonly text: string;
    readonly kind: CommentKind;
    readonly at: number;
  }[];
  /** Who hears of it, why, and how loudly. */
  readonly hears: readonly (Hearer & {
    /** The project or workstream on whose every task they are kept posted. */
    readonly at: string | null;
  })[];
  /** When who is reminded; those with an id the viewer has set for themselves. */
  readonly reminders: readonly { readonly id: string | null; readonly personId: string; readonly at: number }[];
  /** Whether the viewer is told something of it that they have not seen. */
  readonly hasNews: boolean;
  /** Tasks that ask others for the same thing. */
  readonly together: readonly {
    readonly slug: string;
    readonly reference: string;
    readonly owner: string | null;
    readonly state: TaskState;
  }[];
  readonly happened: readonly HappenedView[];
  readonly conversationId: string | null;
  readonly outgoing: readonly OutgoingView[];
  /** Letters of the conversation that came after the task was made. */
  readonly laterLetters: readonly {
    readonly id: string;
    readonly from: string;
    readonly sentAt: number;
    readonly begins: string;
  }[];
}

/** Counting stops here, so that no figure costs more than this many rows. */
export const MOST_COUNTED = 999;
