import { sql } from "drizzle-orm";
import { dayOf, timeOf } from "../core/time/moment";
import { chaseOf } from "../core/waiting/chase-of";
import { afterChase, type ChasePlan, putOffChase } from "../core/waiting/chase-plan";
import type { Database } from "../data/engine/database";
import { markChange } from "../data/queries/changes";
import { team, theOrganisation } from "../data/queries/people";
import { waitingPage } from "../data/queries/waiting";
import { type InstantText, millis, rowsOf } from "../data/rows";
import { perform } from "./perform";
import { tellScreens } from "./tell-screens";

interface Planned {
  id: string;
  state: string;
  heardAt: InstantText;
  chasePlan: ChasePlan;
}

async function keepPlan(db: Database, taskId: string, plan: ChasePlan | null): Promise<void> {
  await db.execute(sql`update task set chase_plan = ${plan ? JSON.stringify(plan) : null}::jsonb where id = ${taskId}`);
  await markChange(db);
  tellScreens();
}

/**
 * Sends the chases that were planned for now, in the planner's name, through the same door and by the same rules as if they
 * had looked them over: unless the other side has written since, or the task has ended, which ends the plan. What may not leave
 * now is tried again on the next working day.
 * @param now milliseconds since 1970 UTC
 */
export async function sendPlannedChases(db: Database, now: number): Promise<number> {
  const organisation = await theOrganisation(db);
  if (!organisation) return 0;
  const planned = await rowsOf<Planned>(
    db,
    sql`select id, state, heard_at as "heardAt", chase_plan as "chasePlan" from task where chase_plan is not null order by number limit 200`,
  );
  const { zone } = organisation;
  const at = { at: now, zone, calendar: organisation };
  let sent = 0;
  for (const { id, state, heardAt, chasePlan: plan } of planned) {
    const isOver = state === "done" || state === "called off" || millis(heardAt) > Date.parse(plan.madeAt);
    if (isOver) await keepPlan(db, id, null);
    if (isOver || Date.parse(plan.nextAt) > now) continue;
    const viewer = { personId: plan.byId };
    const time = timeOf({ at: Date.parse(plan.nextAt), zone });
    const look = {
      from: "anybody",
      personId: null,
      projectId: null,
      forId: null,
      order: "silence",
      taskId: id,
    } as const;
    const [row] = (await waitingPage(db, viewer, look, null, at)).rows;
    const sender = (await team(db)).find((one) => one.id === plan.byId && !one.leftOn);
    if (!row?.from || !row.isOutside || !sender) {
      await keepPlan(db, id, null);
      continue;
    }
    // Their letter lies in Sort: it is read before anybody is chased.
    const refused = row.inSortId ? "A letter of theirs is in Sort and not read yet." : null;
    const letter = chaseOf(row, sender.name, { today: dayOf(at), zone, calendar: organisation });
    const done = refused
      ? null
      : await perform(
          db,
          { ...viewer, now },
          "write",
          {
            ...letter,
            to: [{ name: row.from.name, address: row.from.address }],
            cc: [],
            from: sender.address,
            answersId: row.answersId,
            taskId: id,
            finishes: false,
            dealsWith: false,
            chases: true,
          },
          `planned-${id}-${plan.nextAt}`,
        );
    if (done?.ok) {
      sent += 1;
      await keepPlan(db, id, afterChase(plan, zone, time, organisation));
    } else {
      const why = refused ?? (done && !done.ok ? done.says : "It could not be sent.");
      await keepPlan(db, id, putOffChase(plan, why, zone, time, organisation));
    }
  }
  return sent;
}
