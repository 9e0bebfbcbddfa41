import { sql } from "drizzle-orm";
import { stationCounts, tasksFigures, tasksPage } from "../src/data/queries/tasks";
import { benchHouse } from "./house";
import { quantile, say, timed } from "./measure";

const RUNS = 60;
const LOOK = { whose: "everyone", projectId: null, show: "open" } as const;

/** Tasks by due date with few and with many tasks: a page must cost the same. */
export async function benchTasksByDue(): Promise<void> {
  const house = await benchHouse();
  const { db } = house.open;
  const viewer = { personId: house.personId };
  const medians: Record<number, Record<string, number>> = {};
  let from = 0;
  for (const count of [1_000, 100_000]) {
    await db.execute(sql`insert into task (id, fruit, number, title, side, owner_id, due_day, priority, state, created_at, created_by, changed_at)
      select gen_random_uuid(), 'quince', g, 'Task ' || g, 'ours', ${house.personId}, date '2026-11-01' + (g * 7919 % 200), 'normal', 'to begin', now(), ${house.personId}, now() from generate_series(${from + 1}::int, ${count}::int) g`);
    await db.execute(sql`analyze task`);
    from = count;
    const figures: Record<string, number> = {};
    for (const [name, run] of [
      ["page", () => tasksPage(db, viewer, LOOK, null)],
      ["page in the middle", () => tasksPage(db, viewer, LOOK, `2027-02-01~99:99~${Math.floor(count / 2)}`)],
      ["mine", () => tasksPage(db, viewer, { ...LOOK, whose: "mine" }, null)],
      ["figures", () => tasksFigures(db, viewer, LOOK)],
      ["counts in the bar", () => stationCounts(db, viewer, "2026-11-24")],
    ] as const) {
      const times: number[] = [];
      for (let i = 0; i < RUNS; i += 1) times.push(await timed(run));
      figures[name] = quantile(times, 0.5);
    }
    medians[count] = figures;
    say(`Tasks by due, ${count} tasks, median ms`, figures);
  }
  say(
    "Tasks by due, 100 000 against 1 000 tasks",
    Object.fromEntries(Object.entries(medians[100_000]!).map(([name, ms]) => [name, ms / medians[1_000]![name]!])),
  );
  await house.remove();
}
