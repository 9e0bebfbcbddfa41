import type { Priority, SlipKind } from "../../reading/slip";
import { isDay } from "../../time/day";
import { LONGEST_ESTIMATE } from "../../time/duration";
import { isZone } from "../../time/moment";
import { type Chain, type Holding, handedOn, linkToOwner, takenOn } from "../chain";
import { invalid, type Outcome, type RowValues, refused } from "../outcome";
import { dueColumns, holdingColumns, ownerColumns } from "../row";
import { type Due, type Owner, type TaskState, tidyTitle } from "../task";

/** The fields that can be changed in place, one at a time, so that two people changing two of them do not collide. */
export type FieldChange =
  | { readonly field: "title"; readonly to: string }
  | { readonly field: "owner"; readonly to: Owner }
  | { readonly field: "due"; readonly to: Due | null }
  | { readonly field: "priority"; readonly to: Priority }
  | { readonly field: "estimate"; readonly to: number | null }
  | { readonly field: "project"; readonly to: { projectId: string | null; workstreamId: string | null } }
  | { readonly field: "state"; readonly to: TaskState }
  /** Of a slip: what its passage is. */
  | { readonly field: "kind"; readonly to: SlipKind };

/** A row whose fields are changed. `shown` gives the value of a field as the screens say it, to compare and to report. */
export interface FieldFacts {
  readonly row: "task" | "slip";
  readonly id: string;
  readonly about: readonly string[];
  readonly isOpen: boolean;
  /** The columns as they are now. */
  readonly now: RowValues;
  readonly lastChangedBy: string;
  readonly actorId: string;
  /** Who wrote the letter that a slip stands in, where that is somebody who can have it. */
  readonly writer?: Owner | null;
  /** The titles that the reader gives a slip's passage as what it was taken for, and as what it is set right to. */
  readonly titles?: { readonly taken: string; readonly setRight: string } | null;
  /** Names for ids, to say what somebody else has put there. */
  say(field: FieldChange["field"], columns: RowValues): string;
}

/** The columns that a change writes, or why it cannot be. */
export function columnsOf(change: FieldChange): { ok: true; columns: RowValues } | { ok: false; why: string } {
  switch (change.field) {
    case "title": {
      const tidy = tidyTitle(change.to);
      return tidy.ok ? { ok: true, columns: { title: tidy.title } } : tidy;
    }
    case "owner":
      return { ok: true, columns: ownerColumns(change.to) };
    case "due":
      if (change.to && (!isDay(change.to.day) || !isZone(change.to.zone)))
        return { ok: false, why: `There is no ${change.to.day}. The due date stays as it was.` };
      return { ok: true, columns: dueColumns(change.to) };
    case "priority":
      return { ok: true, columns: { priority: change.to } };
    case "estimate":
      if (change.to !== null && !(Number.isInteger(change.to) && change.to > 0 && change.to <= LONGEST_ESTIMATE))
        return { ok: false, why: "An estimate is a time between a minute and a year. It stays as it was." };
      return { ok: true, columns: { estimate: change.to } };
    case "project":
      return { ok: true, columns: change.to };
    case "state":
      return { ok: true, columns: { state: change.to } };
    case "kind":
      return { ok: true, columns: { kind: change.to } };
  }
}

/**
 * Changes one field of a task or slip. `was` holds the columns as the person saw them: where somebody else has changed
 * them since, the change is refused with both values, so that nobody's word is lost unseen.
 */
export function changeField(facts: FieldFacts, change: FieldChange, was: RowValues | null, now: string): Outcome {
  if (!facts.isOpen) return invalid("This slip has been dealt with; change the task instead.");
  const columns = columnsOf(change);
  if (!columns.ok) return invalid(columns.why);
  const differs =
    was &&
    Object.keys(columns.columns).some(
      (key) => key in was && was[key] !== facts.now[key] && facts.now[key] !== columns.columns[key],
    );
  if (differs) {
    return refused({
      code: "changed meanwhile",
      by: facts.lastChangedBy,
      what: change.field,
      yours: facts.say(change.field, columns.columns),
      theirs: facts.say(change.field, facts.now),
    });
  }
  const values: RowValues = {
    ...columns.columns,
    ...(facts.row === "task" && change.field === "owner" ? ownerOfTask(facts, change.to, now) : {}),
    ...(facts.row === "task" ? { changedAt: now } : {}),
    ...(change.field === "state" ? stateOfTask(facts, change.to, now) : {}),
    ...(change.field === "kind" ? { ...ownerByKind(facts, change.to), ...titleByKind(facts) } : {}),
  };
  if (Object.entries(columns.columns).every(([key, value]) => facts.now[key] === value))
    return { ok: true, writes: [], about: facts.about };
  return { ok: true, writes: [{ row: facts.row, id: facts.id, isNew: false, values }], about: facts.about };
}

/** Who has a task, from its columns. */
export function holdingOf(columns: RowValues): Holding {
  const ownerId = typeof columns.ownerId === "string" ? columns.ownerId : null;
  return { ownerId, chain: Array.isArray(columns.chain) ? (columns.chain as unknown as Chain) : [] };
}

/** A promise is its writer's; what is no promise after all is not theirs any more. */
function ownerByKind({ now: columns, writer }: FieldFacts, to: SlipKind): RowValues {
  if (!writer) return {};
  const nobody = ownerColumns({ side: "ours", personId: null });
  const theirs = ownerColumns(writer);
  const has = columns.ownerId === theirs.ownerId && columns.theirsId === theirs.theirsId;
  if (to === "promise") return theirs;
  return columns.kind === "promise" && has ? nobody : {};
}

/** The reader's title is written anew, as what the passage is; a title that somebody wrote stays. */
function titleByKind({ now: columns, titles }: FieldFacts): RowValues {
  return titles && columns.title === titles.taken ? { title: titles.setRight } : {};
}

/** Given to somebody of the team it is handed over; asked of somebody outside it is waited for by whoever had it. */
function ownerOfTask({ now: columns, actorId }: FieldFacts, to: Owner, now: string): RowValues {
  const holding = holdingOf(columns);
  return to.side === "ours"
    ? { side: "ours", ...holdingColumns(handedOn(holding, actorId, to.personId, now)) }
    : { side: "theirs", ownerId: holding.ownerId ?? actorId };
}

/** A task that is finished is in doubt no more; an owner who begins it has taken it on. */
function stateOfTask({ now: columns, actorId }: FieldFacts, to: TaskState, now: string): RowValues {
  const isOver = to === "done" || to === "called off";
  const holding = holdingOf(columns);
  const takesOn = linkToOwner(holding)?.answer === "needs-action" && holding.ownerId === actorId && to !== "to begin";
  return {
    finishedAt: isOver ? now : null,
    ...(isOver && columns.doubt ? { doubt: null } : {}),
    ...(takesOn ? holdingColumns(takenOn(holding, now)) : {}),
  };
}
