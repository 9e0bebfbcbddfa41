import type { Priority, SlipKind } from "../reading/slip";
import { type Holding, handedOn } from "./chain";
import type { RowValues, Write } from "./outcome";
import { fruitOf } from "./reference";
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

/** The columns that say who has it, and through whom. */
export function holdingColumns({ ownerId, chain }: Holding): RowValues {
  return { ownerId, chain: chain.map((link) => ({ ...link })) };
}

/** What a new task is made of; what is left out it does not have. */
export interface TaskMaking {
  readonly id: string;
  readonly number: number;
  readonly title: string;
  readonly owner: Owner;
  readonly due: Due | null;
  readonly priority: Priority;
  /** Minutes of work. */
  readonly estimate?: number | null;
  readonly projectId: string | null;
  readonly workstreamId?: string | null;
  readonly conversationId?: string | null;
  readonly letterId?: string | null;
  readonly start?: number | null;
  readonly end?: number | null;
  readonly kind?: SlipKind | null;
  readonly outgoingId?: string | null;
  /** What goes along to its owner. */
  readonly note?: string;
  /** What tasks that ask several for the same thing have in common. */
  readonly togetherId?: string | null;
  readonly actorId: string;
}

/**
 * The write that makes a task. A wait has somebody here who waits: whoever makes it. Made for a colleague, it is handed over
 * by whoever makes it.
 */
export function newTask(making: TaskMaking, now: string): Write {
  const { id, number, title, owner, due, priority, projectId, actorId } = making;
  return {
    row: "task",
    id,
    isNew: true,
    values: {
      fruit: fruitOf(number),
      number,
      title,
      side: owner.side,
      ...ownerColumns(owner),
      ...(owner.side === "theirs"
        ? { ownerId: actorId }
        : owner.personId
          ? holdingColumns(handedOn({ ownerId: null, chain: [] }, actorId, owner.personId, now, making.note ?? ""))
          : {}),
      ...dueColumns(due),
      priority,
      estimate: making.estimate ?? null,
      state: "to begin",
      projectId,
      workstreamId: making.workstreamId ?? null,
      conversationId: making.conversationId ?? null,
      letterId: making.letterId ?? null,
      start: making.start ?? null,
      end: making.end ?? null,
      kind: making.kind ?? null,
      outgoingId: making.outgoingId ?? null,
      togetherId: making.togetherId ?? null,
      createdAt: now,
      createdBy: actorId,
      changedAt: now,
      finishedAt: null,
    },
  };
}
