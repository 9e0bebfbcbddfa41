import { z } from "zod";
import { closeDay, finishRound, roundStart } from "@/data/queries/rounds";
import { houseClock } from "../../_server/clock";
import { forViewer, isForeign, sayNo } from "../../_server/reply";

export const dynamic = "force-dynamic";

const step = z.object({ does: z.enum(["finish", "close the day", "open the day"]) });

export async function GET(): Promise<Response> {
  return forViewer(async ({ db, personId }) => Response.json(await roundStart(db, { personId }, await houseClock(db))));
}

/** A round is finished, or the day closed or opened again. */
export async function POST(request: Request): Promise<Response> {
  if (isForeign(request)) return sayNo(403, "This came from another site. Nothing was changed.");
  return forViewer(async ({ db, personId }) => {
    const input = step.safeParse(await request.json().catch(() => null));
    if (!input.success) return sayNo(400, "This cannot be read. Nothing was changed.");
    const clock = await houseClock(db);
    if (input.data.does === "finish") await finishRound(db, { personId }, clock);
    else await closeDay(db, { personId }, input.data.does === "close the day", clock);
    return Response.json({});
  });
}
