import type { CorrespondentView, HouseView, TaskRow } from "../../core/views/views";

/** A change of one field of a task, as the acts take it. */
export type TaskChange =
  | { field: "title"; to: string }
  | { field: "owner"; to: { side: "ours"; personId: string | null } | { side: "theirs"; correspondentId: string } }
  | { field: "due"; to: { day: string; time: string | null; zone: string } | null }
  | { field: "priority"; to: TaskRow["priority"] }
  | { field: "project"; to: { projectId: string | null; workstreamId: string | null } }
  | { field: "state"; to: TaskRow["state"] };

/** The columns of a task as the person saw them, so that a change made meanwhile by somebody else is noticed. */
export function taskColumnsSeen(task: TaskRow, field: TaskChange["field"]): Record<string, string | null> {
  switch (field) {
    case "title":
      return { title: task.title };
    case "owner":
      return { ownerId: task.owner?.id ?? null, theirsId: task.theirs?.id ?? null };
    case "due":
      return { dueDay: task.due?.day ?? null, dueTime: task.due?.time ?? null };
    case "priority":
      return { priority: task.priority };
    case "project":
      return { projectId: task.projectId, workstreamId: task.workstreamId };
    case "state":
      return { state: task.state };
  }
}

/** The task as it will look once a change is saved. */
export function taskWithChange(
  task: TaskRow,
  change: TaskChange,
  house: HouseView,
  outside: readonly CorrespondentView[],
): TaskRow {
  switch (change.field) {
    case "title":
      return { ...task, title: change.to };
    case "owner": {
      const { to } = change;
      return to.side === "ours"
        ? { ...task, side: "ours", theirs: null, owner: house.team.find((person) => person.id === to.personId) ?? null }
        : { ...task, side: "theirs", theirs: outside.find((who) => who.id === to.correspondentId) ?? task.theirs };
    }
    case "due":
      return { ...task, due: change.to };
    case "priority":
      return { ...task, priority: change.to };
    case "project":
      return {
        ...task,
        ...change.to,
        project: house.projects.find((project) => project.id === change.to.projectId)?.name ?? null,
      };
    case "state":
      return { ...task, state: change.to };
  }
}
