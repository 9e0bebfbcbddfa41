import { z } from "zod";
import {
  setHasteUnlearnt,
  setKindUnlearnt,
  setPriorityUnlearnt,
  setUnlearnt,
  setWordingUnlearnt,
} from "@/acts/unlearn";
import { PRIORITIES, SLIP_KINDS } from "@/core/reading/slip";
import type { Database } from "@/data/engine/database";
import type { Viewer } from "@/data/need-to-know";
import { allLearntFor } from "@/data/queries/learnt";
import { forViewer, isForeign, NOT_HERE, sayNo } from "../../_server/reply";

export const dynamic = "force-dynamic";

const wanted = z.union([
  z.object({
    writer: z.string().max(320),
    rule: z.string().max(200).nullable(),
    phrase: z.string().max(400).nullable(),
    isMarked: z.boolean(),
    isUnlearnt: z.boolean(),
  }),
  z.object({ rule: z.string().max(200), read: z.enum(SLIP_KINDS), isUnlearnt: z.boolean() }).strict(),
  z.object({ writer: z.string().max(320), phrase: z.string().max(400), isUnlearnt: z.boolean() }).strict(),
  z.object({ writer: z.string().max(320), read: z.enum(PRIORITIES), isUnlearnt: z.boolean() }).strict(),
  z.object({ writer: z.string().max(320), haste: z.string().max(40), isUnlearnt: z.boolean() }),
]);

function turned(db: Database, viewer: Viewer, what: z.infer<typeof wanted>): Promise<number> {
  if ("haste" in what) return setHasteUnlearnt(db, viewer, what);
  if ("isMarked" in what) return setUnlearnt(db, viewer, what);
  if ("phrase" in what) return setKindUnlearnt(db, viewer, what);
  return "writer" in what ? setPriorityUnlearnt(db, viewer, what) : setWordingUnlearnt(db, viewer, what);
}

export async function GET(): Promise<Response> {
  return forViewer(async ({ db, personId }) => Response.json(await allLearntFor(db, { personId })));
}

export async function POST(request: Request): Promise<Response> {
  if (isForeign(request)) return sayNo(403, "This call came from another site.");
  return forViewer(async ({ db, personId }) => {
    const parsed = wanted.safeParse(await request.json().catch(() => null));
    if (!parsed.success) return sayNo(422, "What is to be unlearnt cannot be read. Nothing was changed.");
    const changed = await turned(db, { personId }, parsed.data);
    return changed > 0 ? Response.json(await allLearntFor(db, { personId })) : sayNo(404, NOT_HERE);
  });
}
