import type { SlipKind } from "../../core/reading/slip";
import type { FieldChange } from "../../core/tasks/decisions/change-fields";
import type { CorrespondentView, HouseView, SlipView, TaskRow } from "../../core/views/views";

/** The fields that slips and tasks have alike, as they are shown. */
type Shown = Pick<
  SlipView,
  "title" | "owner" | "theirs" | "due" | "priority" | "estimate" | "projectId" | "workstreamId"
> & {
  readonly state: string;
  readonly kind: SlipKind | null;
};

/** The columns behind a field as the person saw them, so that a change made meanwhile by somebody else is noticed. */
export function columnsSeen(shown: Shown, field: FieldChange["field"]): Record<string, string | number | null> {
  switch (field) {
    case "title":
      return { title: shown.title };
    case "owner":
      return { ownerId: shown.owner?.id ?? null, theirsId: shown.theirs?.id ?? null };
    case "due":
      return { dueDay: shown.due?.day ?? null, dueTime: shown.due?.time ?? null };
    case "priority":
      return { priority: shown.priority };
    case "estimate":
      return { estimate: shown.estimate };
    case "project":
      return { projectId: shown.projectId, workstreamId: shown.workstreamId };
    case "state":
      return { state: shown.state };
    case "kind":
      return { kind: shown.kind };
  }
}

/** A slip or task as it will look once a change is saved. A new owner outside is looked up among `outside`. */
export function withChange<Of extends Shown>(
  shown: Of,
  change: FieldChange,
  house: HouseView,
  outside: readonly CorrespondentView[],
): Of {
  switch (change.field) {
    case "title":
      return { ...shown, title: change.to };
    case "owner": {
      const { to } = change;
      return to.side === "ours"
        ? { ...shown, theirs: null, owner: house.team.find((person) => person.id === to.personId) ?? null }
        : { ...shown, owner: null, theirs: outside.find((who) => who.id === to.correspondentId) ?? shown.theirs };
    }
    case "due":
      return { ...shown, due: change.to };
    case "priority":
      return { ...shown, priority: change.to };
    case "estimate":
      return { ...shown, estimate: change.to };
    case "project":
      return { ...shown, ...change.to };
    case "state":
      return { ...shown, state: change.to };
    case "kind":
      return { ...shown, kind: change.to };
  }
}

/** The same for a task, which also says its side and the name of its project; a wait keeps the one of us who waits. */
export function taskWithChange(task: TaskRow, change: FieldChange, house: HouseView): TaskRow {
  const changed = withChange(task, change, house, task.theirs ? [task.theirs] : []);
  if (change.field === "owner")
    return change.to.side === "ours" ? { ...changed, side: "ours" } : { ...changed, side: "theirs", owner: task.owner };
  if (change.field === "project")
    return { ...changed, project: house.projects.find((one) => one.id === change.to.projectId)?.name ?? null };
  return changed;
}
