import { sql } from "drizzle-orm";
import { z } from "zod";
import { CHANGES } from "../../core/following/item";
import type { Correspondent } from "../../core/letters/letter";
import { SLIP_KINDS } from "../../core/reading/slip";
import type { WrittenChangeFacts } from "../../core/tasks/decisions/change-written";
import type { Owner } from "../../core/tasks/task";
import { LONGEST_ESTIMATE } from "../../core/time/duration";
import type { Database } from "../../data/engine/database";
import { newId } from "../../data/ids";
import { rowsOf } from "../../data/rows";
import { correspondent } from "../../data/schema";
import type { Actor } from "../act";
import { changedTasks, takeIds } from "../facts";
import { due, id, priority, text } from "../inputs";

export const writtenSlip = z.object({
  kind: z.enum(SLIP_KINDS),
  title: text,
  start: z.int().min(0),
  end: z.int().min(0),
  /** Address of who has to act; null where nobody is named. */
  owner: z.string().max(400).nullable(),
  due,
  priority,
  estimate: z.int().positive().max(LONGEST_ESTIMATE).nullable().default(null),
});

/** Who has what a letter asks: of the team, or outside; whoever is written to for the first time is somebody we know from now on. */
export async function ownersOf(
  db: Database,
  slips: readonly { readonly owner: string | null }[],
  people: readonly Correspondent[],
): Promise<Owner[]> {
  const addresses = [...new Set(slips.flatMap((slip) => slip.owner?.trim().toLowerCase() ?? []))];
  if (addresses.length === 0) return slips.map(() => ({ side: "ours", personId: null }));
  const team = await rowsOf<{ id: string; address: string }>(
    db,
    sql`select id, address from person where address in ${addresses}`,
  );
  const mine = new Map(team.map((one) => [one.address, one.id]));
  for (const address of addresses) {
    const named = people.find((one) => one.address.trim().toLowerCase() === address);
    if (!mine.has(address) && named)
      await db
        .insert(correspondent)
        .values({ id: newId(), name: named.name || address, address })
        .onConflictDoNothing();
  }
  const outside = await rowsOf<{ id: string; address: string }>(
    db,
    sql`select id, address from correspondent where address in ${addresses}`,
  );
  const theirs = new Map(outside.map((one) => [one.address, one.id]));
  return slips.map((slip): Owner => {
    const address = slip.owner?.trim().toLowerCase() ?? "";
    const correspondentId = theirs.get(address);
    return !mine.has(address) && correspondentId
      ? { side: "theirs", correspondentId }
      : { side: "ours", personId: mine.get(address) ?? null };
  });
}

/** What one's own letter says of a task that is here already, as it is sent along with it. */
export const writtenChange = z.object({
  taskId: id,
  change: z.enum(CHANGES),
  start: z.int().min(0),
  end: z.int().min(0),
  /** Address of who has it next; null where nobody is named. */
  owner: z.string().max(400).nullable(),
  due,
});

/** The tasks that a letter changes, locked, where the actor may see all of them; null where not. */
export async function changedFacts(
  db: Database,
  actor: Actor,
  changes: readonly z.infer<typeof writtenChange>[],
  people: readonly Correspondent[],
): Promise<WrittenChangeFacts[] | null> {
  if (changes.length === 0) return [];
  const tasks = await changedTasks(
    db,
    actor,
    changes.map(({ taskId }) => taskId),
  );
  const owners = await ownersOf(db, changes, people);
  const ids = takeIds(changes.length);
  const facts = changes.flatMap(({ taskId }, i) => {
    const task = tasks.get(taskId);
    // One's own letter opens nothing again.
    return task ? [{ task: { ...task, wasOver: false }, owner: owners[i]!, commentId: ids[i]! }] : [];
  });
  return facts.length === changes.length ? facts : null;
}
