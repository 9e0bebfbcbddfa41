import type { RowValues } from "./outcome";
import type { Due, Owner } from "./task";

/** The three columns of a due. */
export function dueColumns(due: Due | null): RowValues {
  return { dueDay: due?.day ?? null, dueTime: due?.time ?? null, dueZone: due?.zone ?? null };
}

/** The columns of an owner: of the team, or outside. */
export function ownerColumns(owner: Owner): RowValues {
  return owner.side === "ours"
    ? { ownerId: owner.personId, theirsId: null }
    : { ownerId: null, theirsId: owner.correspondentId };
}
