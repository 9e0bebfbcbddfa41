import { z } from "zod";
import { setHasteUnlearnt, setUnlearnt } from "@/acts/unlearn";
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
  z.object({ writer: z.string().max(320), haste: z.string().max(40), isUnlearnt: z.boolean() }),
]);

export async function GET(): Promise<Response> {
  return forViewer(async ({ db, personId }) => Response.json(await allLearntFor(db, { personId })));
}

export async function POST(request: Request): Promise<Response> {
  if (isForeign(request)) return sayNo(403, "This call came from another site.");
  return forViewer(async ({ db, personId }) => {
    const parsed = wanted.safeParse(await request.json().catch(() => null));
    if (!parsed.success) return sayNo(422, "What is to be unlearnt cannot be read. Nothing was changed.");
    const changed =
      "haste" in parsed.data
        ? await setHasteUnlearnt(db, { personId }, parsed.data)
        : await setUnlearnt(db, { personId }, parsed.data);
    return changed > 0 ? Response.json(await allLearntFor(db, { personId })) : sayNo(404, NOT_HERE);
  });
}
