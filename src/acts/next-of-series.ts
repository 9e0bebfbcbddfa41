import { nextOfSeries } from "../core/tasks/decisions/repeat";
import type { Write } from "../core/tasks/outcome";
import { dayOf } from "../core/time/moment";
import type { Database } from "../data/engine/database";
import { theOrganisation } from "../data/queries/people";
import type { Actor } from "./act";
import { takeIds, takeNumbers } from "./facts";
import { rowAsValues } from "./write-rows";

/** The tasks that follow those which an act finishes, where they repeat: made in the same act, so that undo takes them back. */
export async function followingTasks(db: Database, actor: Actor, writes: readonly Write[]): Promise<Write[]> {
  const following: Write[] = [];
  for (const write of writes) {
    if (write.row !== "task" || write.isNew || (write.values?.state !== "done" && write.values?.state !== "called off"))
      continue;
    const row = await rowAsValues(db, "task", write.id);
    if (!row || typeof row.repeats !== "string" || row.state === "done" || row.state === "called off") continue;
    const zone = (await theOrganisation(db))?.zone ?? "UTC";
    const [number] = await takeNumbers(db, 1);
    const next = nextOfSeries(row, {
      id: takeIds(1)[0]!,
      number: number!,
      actorId: actor.personId,
      done: dayOf({ at: actor.now, zone }),
      zone,
      now: new Date(actor.now).toISOString(),
    });
    if (next) following.push(next);
  }
  return following;
}
