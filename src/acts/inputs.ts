import { z } from "zod";
import { PRIORITIES, SLIP_KINDS } from "../core/reading/slip";
import { TASK_STATES } from "../core/tasks/task";

// The shapes that acts take, each once. Texts are capped far above what the core allows, so that the core's sentence is read.

export const id = z.uuid();
export const text = z.string().max(20_000);
export const day = z.string().regex(/^\d{4}-\d{2}-\d{2}$/, "a day is written 2026-11-25");
export const time = z.string().regex(/^\d{2}:\d{2}$/, "a time is written 14:00");
export const due = z.object({ day, time: time.nullable(), zone: z.string().max(60) }).nullable();
export const priority = z.enum(PRIORITIES);
export const owner = z.discriminatedUnion("side", [
  z.object({ side: z.literal("ours"), personId: id.nullable() }),
  z.object({ side: z.literal("theirs"), correspondentId: id }),
]);

export const fieldChange = z.discriminatedUnion("field", [
  z.object({ field: z.literal("title"), to: text }),
  z.object({ field: z.literal("owner"), to: owner }),
  z.object({ field: z.literal("due"), to: due }),
  z.object({ field: z.literal("priority"), to: priority }),
  z.object({ field: z.literal("estimate"), to: z.int().nullable() }),
  z.object({ field: z.literal("project"), to: z.object({ projectId: id.nullable(), workstreamId: id.nullable() }) }),
  z.object({ field: z.literal("state"), to: z.enum(TASK_STATES) }),
  z.object({ field: z.literal("kind"), to: z.enum(SLIP_KINDS) }),
]);

/** The columns as the person saw them when they changed them. */
export const was = z
  .record(z.string().max(40), z.union([z.string().max(20_000), z.number(), z.boolean(), z.null()]))
  .nullable();
