import type { ReactNode } from "react";
import type { MayWrite } from "../../core/letters/ways";
import type { FieldChange } from "../../core/tasks/decisions/change-fields";
import type { StepChange } from "../../core/tasks/decisions/change-steps";
import type { TaskSheet } from "../../core/views/views";

export type TaskField = FieldChange["field"];

/** What a task's sheet is given, and what it tells of. */
export interface SheetProps {
  readonly sheet: TaskSheet;
  readonly editing: TaskField | null;
  readonly onEdit: (field: TaskField | null) => void;
  readonly onChange: (change: FieldChange) => Promise<boolean>;
  readonly onNote: (text: string) => Promise<boolean>;
  readonly onUndoEntry: (entryId: string) => void;
  readonly acts: ReactNode;
  /** The letter being written from here, where there is one. */
  readonly writing: ReactNode;
  /** Handing it over, or what its owner answers to that, where it is being done. */
  readonly handing: ReactNode;
  readonly onDoubt: () => void;
  readonly onFinishAndNext: () => void;
  readonly onPutBy: () => void;
  readonly onRemind: () => void;
  readonly onRepeat: () => void;
  readonly onStart: () => void;
  readonly onStep: (change: StepChange) => Promise<boolean>;
  readonly onForgetReminder: (reminderId: string) => void;
  readonly onPosted: (personId: string, hears: boolean | null) => void;
  readonly onPostedAt: (
    place: { projectId: string; workstreamId: string | null },
    personId: string,
    name: string,
  ) => void;
  readonly onHowFar: (percent: number | null) => Promise<boolean>;
  readonly onHold: (heldById: string | null) => Promise<boolean>;
  readonly onMayWrite: (rule: MayWrite) => void;
  readonly onSendAgain: (outgoingId: string) => void;
}
