import type { ReactNode } from "react";
import type { FieldChange } from "../../core/tasks/decisions/change-fields";
import type { CorrespondentView, SlipView } from "../../core/views/views";

/** The values of a slip that can be changed in place. */
export type SlipField = "title" | "owner" | "due" | "priority" | "estimate" | "project" | "kind";

/** What a slip's card is given, and what it tells of. */
export interface SlipCardProps {
  readonly slip: SlipView;
  readonly number: number | null;
  readonly isLit: boolean;
  readonly editing: SlipField | null;
  readonly outside: readonly CorrespondentView[];
  readonly onLight: () => void;
  readonly onEdit: (field: SlipField | null) => void;
  readonly onChange: (change: FieldChange) => Promise<boolean>;
  readonly onKeep: () => void;
  /** Unfolds the line that hands it over; null for what only changes a task. */
  readonly onHandOver: (() => void) | null;
  /** That line, where it is unfolded. */
  readonly handing: ReactNode;
  readonly onBrushOff: () => void;
}
