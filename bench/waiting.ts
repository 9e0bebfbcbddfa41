import { sql } from "drizzle-orm";
import { stationCounts } from "../src/data/queries/tasks";
import { type WaitingLook, waitingFigures, waitingPage } from "../src/data/queries/waiting";
import { benchHouse } from "./house";
import { quantile, say, timed } from "./measure";

const RUNS = 40;
const LOOK: WaitingLook = { from: "anybody", personId: null, projectId: null, forId: null, order: "silence" };
const NOW = {
  at: Date.parse("2026-11-24T11:20:00Z"),
  zone: "Europe/London",
  calendar: { workingDays: [1, 2, 3, 4, 5], holidays: [] },
};

/** Waiting with few and with many waits, each with its conversation of three letters: it must open as fast. */
export async function benchWaiting(): Promise<void> {
  const house = await benchHouse();
  const { db } = house.open;
  const viewer = { personId: house.personId };
  const medians: Record<number, Record<string, number>> = {};
  let from = 0;
  await db.execute(sql`insert into way_in (id, name, kind) values (gen_random_uuid(), 'bench waits', 'mailbox')`);
  await db.execute(
    sql`insert into correspondent (id, name, address) select gen_random_uuid(), 'Person ' || g, 'p' || g || '@outside.example' from generate_series(1, 400) g`,
  );
  for (const count of [100, 10_000]) {
    await db.execute(sql`create temporary table fresh as
      select g, gen_random_uuid() as conversation, gen_random_uuid() as first, k.id as who, k.address from generate_series(${from + 1}::int, ${count}::int) g join correspondent k on k.address = 'p' || (g % 400 + 1) || '@outside.example'`);
    await db.execute(
      sql`insert into conversation (id, subject, place, dealt_at, last_at, came_at, is_unread) select conversation, 'Subject ' || g, 'dealt with', now(), now(), now(), false from fresh`,
    );
    await db.execute(sql`insert into letter (id, sha256, size, conversation_id, sent_at, is_dated, "offset", received_at, from_name, from_address, "to", cc, subject, text, parts, files, has_html, search)
      select case n when 1 then first else gen_random_uuid() end, 'bench' || g || '-' || n, 400, conversation, timestamptz '2026-11-24' - (g * 7919 % 5000) * interval '1 hour' - n * interval '9 hours', true, '+00:00', now(), 'Person', address,
        '[]', '[]', 'Subject ' || g, 'I will send you the drawing on Thursday. ' || repeat('More words. ', 30), '[]', '[]', false, ''::tsvector from fresh, generate_series(1, 3) n`);
    await db.execute(
      sql`insert into arrival (letter_id, way_in_id, at) select l.id, (select id from way_in where name = 'bench waits'), now() from letter l join fresh f on f.conversation = l.conversation_id`,
    );
    await db.execute(sql`insert into task (id, fruit, number, title, side, owner_id, theirs_id, due_day, priority, state, conversation_id, letter_id, start, "end", kind, created_at, created_by, changed_at, heard_at)
      select gen_random_uuid(), 'quince', g, 'Wait ' || g, 'theirs', ${house.personId}, who, date '2026-11-01' + (g * 31 % 60), 'normal', 'to begin', conversation, first, 0, 40, 'promise', now(), ${house.personId}, now(), timestamptz '2026-11-24' - (g * 7919 % 5000) * interval '1 hour' from fresh`);
    await db.execute(sql`drop table fresh`);
    await db.execute(sql`analyze`);
    from = count;
    const figures: Record<string, number> = {};
    for (const [name, run] of [
      ["page", () => waitingPage(db, viewer, LOOK, null, NOW)],
      ["figures", () => waitingFigures(db, viewer, LOOK, NOW)],
      ["one person", () => waitingPage(db, viewer, { ...LOOK, order: "person" }, null, NOW)],
      ["counts in the bar", () => stationCounts(db, viewer, "2026-11-24")],
    ] as const) {
      const times: number[] = [];
      for (let i = 0; i < RUNS; i += 1) times.push(await timed(run));
      figures[name] = quantile(times, 0.5);
    }
    medians[count] = figures;
    say(`Waiting, ${count} waits, median ms`, figures);
  }
  say(
    "Waiting, 10 000 against 100 waits",
    Object.fromEntries(Object.entries(medians[10_000]!).map(([name, ms]) => [name, ms / medians[100]![name]!])),
  );
  await house.remove();
}
