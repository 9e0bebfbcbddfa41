import type { Priority, SlipKind } from "../reading/slip";

/** Something that was learnt of one writer's letters, and from what. */
export interface LearntView {
  readonly writer: string;
  readonly name: string;
  /** The rule, or the phrase, that it is about; the other is null. */
  readonly rule: string | null;
  readonly phrase: string | null;
  readonly effect: "not proposed" | "unsure" | "proposed";
  /** Its words were marked by hand. */
  readonly isMarked: boolean;
  readonly brushedOff: number;
  readonly kept: number;
  /** It was unlearnt by hand and has no effect. */
  readonly isUnlearnt: boolean;
  readonly from: readonly { readonly id: string; readonly subject: string }[];
}

/** What haste of one writer was kept as, most often first, and from what. */
export interface LearntHasteView {
  readonly writer: string;
  readonly name: string;
  /** The words of haste, by their name. */
  readonly haste: string;
  /** Working days from the day of sending, null for no date, each with how often. */
  readonly means: readonly { readonly days: number | null; readonly kept: number }[];
  /** It was unlearnt by hand and has no effect. */
  readonly isUnlearnt: boolean;
  readonly from: readonly { readonly id: string; readonly subject: string }[];
}

/** A phrase of one writer that was read as one kind and is another. */
export interface LearntKindView {
  readonly writer: string;
  readonly name: string;
  readonly phrase: string;
  readonly read: SlipKind;
  readonly kind: SlipKind;
  readonly times: number;
  /** It was unlearnt by hand and has no effect. */
  readonly isUnlearnt: boolean;
  readonly from: readonly { readonly id: string; readonly subject: string }[];
}

/** What one priority of a writer is from now on: kept so often, of so many in all. */
export interface LearntPriorityView {
  readonly writer: string;
  readonly name: string;
  readonly read: Priority;
  readonly keptAs: Priority;
  readonly kept: number;
  readonly of: number;
  /** It was unlearnt by hand and has no effect. */
  readonly isUnlearnt: boolean;
  readonly from: readonly { readonly id: string; readonly subject: string }[];
}

/** What was set right among all that one rule found, whoever wrote it: like wording is read so from now on. */
export interface LearntWordingView {
  readonly rule: string;
  readonly read: SlipKind;
  readonly brushedOff: number;
  /** How often its kind was changed. */
  readonly changed: number;
  readonly kept: number;
  /** It was unlearnt by hand and has no effect. */
  readonly isUnlearnt: boolean;
  readonly from: readonly { readonly id: string; readonly subject: string }[];
}

/** All that was learnt. */
export interface AllLearntView {
  readonly wording: readonly LearntWordingView[];
  readonly kinds: readonly LearntKindView[];
  readonly priorities: readonly LearntPriorityView[];
  readonly lessons: readonly LearntView[];
  readonly haste: readonly LearntHasteView[];
}
