import type { CorrespondentView, HouseView, SlipView } from "../../core/views/views";
import type { SlipChange } from "./slip-card";

/** The columns of a slip as the person saw them, so that a change made meanwhile by somebody else is noticed. */
export function columnsSeen(slip: SlipView, field: SlipChange["field"]): Record<string, string | null> {
  switch (field) {
    case "title":
      return { title: slip.title };
    case "owner":
      return { ownerId: slip.owner?.id ?? null, theirsId: slip.theirs?.id ?? null };
    case "due":
      return { dueDay: slip.due?.day ?? null, dueTime: slip.due?.time ?? null };
    case "priority":
      return { priority: slip.priority };
    case "project":
      return { projectId: slip.projectId, workstreamId: slip.workstreamId };
  }
}

/** The slip as it will look once a change is saved. */
export function withChange(
  slip: SlipView,
  change: SlipChange,
  house: HouseView,
  outside: readonly CorrespondentView[],
): SlipView {
  switch (change.field) {
    case "title":
      return { ...slip, title: change.to };
    case "owner": {
      const { to } = change;
      return to.side === "ours"
        ? { ...slip, theirs: null, owner: house.team.find((person) => person.id === to.personId) ?? null }
        : { ...slip, owner: null, theirs: outside.find((who) => who.id === to.correspondentId) ?? slip.theirs };
    }
    case "due":
      return { ...slip, due: change.to };
    case "priority":
      return { ...slip, priority: change.to };
    case "project":
      return { ...slip, ...change.to };
  }
}
