import { sql } from "drizzle-orm";
import { z } from "zod";
import { HASTE_NAMES } from "../core/reading/haste";
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

/** What haste was kept as, as it is exported. */
const haste = z.object({
  writer: z.string().min(1).max(320),
  haste: z.enum(HASTE_NAMES),
  days: z.number().int().min(0).max(1_000).nullable(),
  kept: z.number().int().min(1).max(1_000_000),
});

/** Lessons that are brought in at once at the most. */
const MOST = 20_000;

function isHaste(read: unknown): boolean {
  return typeof read === "object" && read !== null && "haste" in read;
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
    const parsed = (isHaste(read) ? haste : lesson).safeParse(read);
    if (!parsed.success)
      throw new Error(`Line ${number} is no lesson: ${parsed.error.issues[0]?.message}. Nothing was brought in.`);
    return { ...parsed.data, writer: parsed.data.writer.toLowerCase() };
  });
  await db.transaction(async (tx) => {
    for (const one of lessons)
      if ("haste" in one)
        await tx.execute(
          sql`insert into haste_brought (id, writer, haste, days, kept, brought_at) values (${newId(now)}, ${one.writer}, ${one.haste}, ${one.days}, ${one.kept}, ${new Date(now)})
            on conflict (writer, haste, coalesce(days, -1)) do update set kept = excluded.kept, brought_at = excluded.brought_at`,
        );
      else
        await tx.execute(
          sql`insert into lesson_brought (id, writer, rule, phrase, brushed_off, kept, is_marked, brought_at)
          values (${newId(now)}, ${one.writer}, ${one.rule}, ${one.phrase}, ${one.brushedOff}, ${one.kept}, ${one.isMarked}, ${new Date(now)})
          on conflict (writer, coalesce(rule, ''), coalesce(phrase, ''), is_marked) do update set brushed_off = excluded.brushed_off, kept = excluded.kept, brought_at = excluded.brought_at`,
        );
  });
  if (lessons.length > 0) tellScreens();
  return lessons.length;
}
