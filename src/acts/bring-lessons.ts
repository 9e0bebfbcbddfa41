import { sql } from "drizzle-orm";
import { z } from "zod";
import { canMean, OPEN_NAMES } from "../core/reading/haste";
import { PRIORITIES, SLIP_KINDS } from "../core/reading/slip";
import { SENSES } from "../core/reading/weighing/sense";
import type { Database } from "../data/engine/database";
import { newId } from "../data/ids";
import { tellScreens } from "./tell-screens";

/** A lesson as it is exported, one a line. */
const lesson = z
  .object({
    writer: z.string().min(1).max(320),
    rule: z.string().max(200).nullable(),
    phrase: z.string().max(200).nullable(),
    brushedOff: z.number().int().min(0).max(1_000_000),
    kept: z.number().int().min(0).max(1_000_000),
    isMarked: z.boolean(),
  })
  .refine((one) => (one.rule === null) !== (one.phrase === null), "it is about a rule or a phrase, not both");

/** What haste, and words that leave the day open, were kept as, as it is exported. */
const haste = z
  .object({
    writer: z.string().min(1).max(320),
    haste: z.enum(OPEN_NAMES),
    days: z.number().int().min(0).max(1_000).nullable(),
    kept: z.number().int().min(1).max(1_000_000),
  })
  .refine(({ haste: words, days }) => canMean(words, days), "those words have no such day");

/** A passage that was dealt with, as it is exported. */
const example = z.object({
  writer: z.string().min(1).max(320),
  phrase: z.string().min(1).max(200),
  read: z.enum(SLIP_KINDS).nullable(),
  rule: z.string().max(200).nullable(),
  sense: z.enum(SENSES),
  times: z.number().int().min(1).max(1_000_000),
});

/** What a priority was kept as, as it is exported. */
const priority = z.object({
  writer: z.string().min(1).max(320),
  read: z.enum(PRIORITIES),
  keptAs: z.enum(PRIORITIES),
  kept: z.number().int().min(1).max(1_000_000),
});

/** Lessons that are brought in at once at the most. */
const MOST = 20_000;

/** Which of the kinds of lessons a line is, by what only that kind has. */
function shapeOf(read: unknown) {
  if (typeof read !== "object" || read === null) return lesson;
  return "haste" in read ? haste : "sense" in read ? example : "keptAs" in read ? priority : lesson;
}

type Brought = z.infer<typeof lesson> | z.infer<typeof haste> | z.infer<typeof example> | z.infer<typeof priority>;

function insertOf(one: Brought, now: number) {
  const id = newId(now);
  const at = new Date(now);
  if ("haste" in one)
    return sql`insert into haste_brought (id, writer, haste, days, kept, brought_at) values (${id}, ${one.writer}, ${one.haste}, ${one.days}, ${one.kept}, ${at})
      on conflict (writer, haste, coalesce(days, -1)) do update set kept = excluded.kept, brought_at = excluded.brought_at`;
  if ("sense" in one)
    return sql`insert into example_brought (id, writer, phrase, read, rule, sense, times, brought_at) values (${id}, ${one.writer}, ${one.phrase}, ${one.read}, ${one.rule}, ${one.sense}, ${one.times}, ${at})
      on conflict (writer, phrase, coalesce(read, ''), coalesce(rule, ''), sense) do update set times = excluded.times, brought_at = excluded.brought_at`;
  if ("keptAs" in one)
    return sql`insert into priority_brought (id, writer, read, kept_as, kept, brought_at) values (${id}, ${one.writer}, ${one.read}, ${one.keptAs}, ${one.kept}, ${at})
      on conflict (writer, read, kept_as) do update set kept = excluded.kept, brought_at = excluded.brought_at`;
  return sql`insert into lesson_brought (id, writer, rule, phrase, brushed_off, kept, is_marked, brought_at)
    values (${id}, ${one.writer}, ${one.rule}, ${one.phrase}, ${one.brushedOff}, ${one.kept}, ${one.isMarked}, ${at})
    on conflict (writer, coalesce(rule, ''), coalesce(phrase, ''), is_marked) do update set brushed_off = excluded.brushed_off, kept = excluded.kept, brought_at = excluded.brought_at`;
}

/**
 * Brings in what was learnt elsewhere: one JSON object a line, as `jam learnt --json` prints them. All lines or none; the same
 * lesson brought again takes the place of the one before.
 * @throws an Error that says which line cannot be read, and that nothing was brought in
 */
export async function bringLessons(db: Database, text: string, now: number): Promise<number> {
  const lines = text.split("\n").flatMap((line, i) => (line.trim() === "" ? [] : [{ line, number: i + 1 }]));
  if (lines.length > MOST)
    throw new Error(`There are ${lines.length} lessons; ${MOST} are the most. Nothing was brought in.`);
  const lessons = lines.map(({ line, number }) => {
    let read: unknown = null;
    try {
      read = JSON.parse(line);
    } catch {
      throw new Error(`Line ${number} is no JSON. Nothing was brought in.`);
    }
    const parsed = shapeOf(read).safeParse(read);
    if (!parsed.success)
      throw new Error(`Line ${number} is no lesson: ${parsed.error.issues[0]?.message}. Nothing was brought in.`);
    return { ...parsed.data, writer: parsed.data.writer.toLowerCase() };
  });
  await db.transaction(async (tx) => {
    for (const one of lessons) await tx.execute(insertOf(one, now));
  });
  if (lessons.length > 0) tellScreens();
  return lessons.length;
}
