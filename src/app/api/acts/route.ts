import { z } from "zod";
import { perform } from "@/acts/perform";
import { now } from "@/data/clock";
import { forViewer, isForeign, sayNo } from "../../_server/reply";

export const dynamic = "force-dynamic";

const call = z.object({
  name: z.string().max(40),
  input: z.unknown(),
  key: z.string().min(8).max(80).nullable().default(null),
});

export async function POST(request: Request): Promise<Response> {
  if (isForeign(request)) return sayNo(403, "This call came from another site. Nothing was changed.");
  return forViewer(async ({ db, personId }) => {
    const parsed = call.safeParse(await request.json().catch(() => null));
    if (!parsed.success) return sayNo(400, "This call cannot be read. Nothing was changed.");
    const { name, input, key } = parsed.data;
    const done = await perform(db, { personId, now: now() }, name, input, key);
    if (done.ok) return Response.json({ entryId: done.entryId, made: done.made, about: done.about });
    const status = {
      "not found": 404,
      "not allowed": 403,
      "changed meanwhile": 409,
      "built upon": 409,
      "already undone": 409,
      "nothing to undo": 409,
      invalid: 422,
    }[done.refusal.code];
    return Response.json({ says: done.says, code: done.refusal.code }, { status });
  });
}
