import { z } from "zod";
import { changeField, type FieldChange, type FieldFacts } from "../../core/tasks/decisions/change-fields";
import type { RowValues } from "../../core/tasks/outcome";
import { sayDuration } from "../../core/time/duration";
import { sayDay } from "../../core/time/say-day";
import type { Database } from "../../data/engine/database";
import { type Actor, define } from "../act";
import { areKnown, lastChangedBy, namesFor, slipColumns, taskColumns, writerOf } from "../facts";
import { fieldChange, id, was } from "../inputs";
import { titlesFor } from "../slip-titles";

/** The ids that a change names, to be checked before they are written. */
function namedBy(change: FieldChange) {
  if (change.field === "owner")
    return change.to.side === "ours"
      ? { personId: change.to.personId }
      : { correspondentId: change.to.correspondentId };
  return change.field === "project" ? change.to : {};
}

function sayWith(names: ReadonlyMap<string, string>): FieldFacts["say"] {
  const name = (value: unknown) => (typeof value === "string" ? (names.get(value) ?? "somebody") : null);
  return (field, columns) => {
    switch (field) {
      case "owner":
        return name(columns.theirsId) ?? name(columns.ownerId) ?? "nobody";
      case "due":
        return typeof columns.dueDay === "string"
          ? `${sayDay(columns.dueDay, columns.dueDay)}${typeof columns.dueTime === "string" ? `, ${columns.dueTime}` : ""}`
          : "no date";
      case "project":
        return typeof columns.projectId === "string"
          ? (names.get(columns.projectId) ?? "another project")
          : "no project";
      case "estimate":
        return typeof columns.estimate === "number" ? sayDuration(columns.estimate) : "no estimate";
      default:
        return String(columns[field] ?? "nothing");
    }
  };
}

async function factsOf(
  db: Database,
  actor: Actor,
  change: FieldChange,
  row: "task" | "slip",
  rowId: string,
  found: (Pick<FieldFacts, "writer" | "titles"> & { columns: RowValues; about: string[]; isOpen: boolean }) | null,
): Promise<FieldFacts | null> {
  const named = namedBy(change);
  if (!found || !(await areKnown(db, actor, named))) return null;
  const ids = [...Object.values(named), found.columns.ownerId, found.columns.theirsId, found.columns.projectId];
  const names = await namesFor(
    db,
    actor,
    ids.map((value) => (typeof value === "string" ? value : null)),
  );
  return {
    row,
    id: rowId,
    about: found.about,
    isOpen: found.isOpen,
    now: found.columns,
    lastChangedBy: await lastChangedBy(db, rowId, found.about[0]!),
    actorId: actor.personId,
    writer: found.writer ?? null,
    titles: found.titles ?? null,
    say: sayWith(names),
  };
}

export const changeTask = define({
  name: "change task",
  input: z.object({ taskId: id, change: fieldChange, was }),
  async load(db, actor, input) {
    if (input.change.field === "kind") return null;
    const found = await taskColumns(db, actor, input.taskId);
    return factsOf(
      db,
      actor,
      input.change,
      "task",
      input.taskId,
      found && {
        columns: found.columns,
        about: [input.taskId, ...(found.conversationId ? [found.conversationId] : [])],
        isOpen: true,
      },
    );
  },
  decide: (facts, input, now) => changeField(facts, input.change, input.was, now),
});

export const changeSlip = define({
  name: "change slip",
  input: z.object({ slipId: id, change: fieldChange, was }),
  async load(db, actor, input) {
    if (input.change.field === "state") return null;
    const found = await slipColumns(db, actor, input.slipId);
    return factsOf(
      db,
      actor,
      input.change,
      "slip",
      input.slipId,
      found && {
        columns: found.columns,
        about: [found.conversationId],
        isOpen: found.isOpen,
        ...(input.change.field === "kind"
          ? {
              writer: await writerOf(db, found.letterId),
              titles: await titlesFor(db, input.slipId, input.change.to),
            }
          : {}),
      },
    );
  },
  decide: (facts, input, now) => changeField(facts, input.change, input.was, now),
});
