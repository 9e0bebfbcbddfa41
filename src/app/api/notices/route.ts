import { z } from "zod";
import { tellScreens } from "@/acts/tell-screens";
import { now } from "@/data/clock";
import { noticesFor, seeNotices } from "@/data/queries/notices";
import { forViewer, isForeign, sayNo } from "../../_server/reply";

export const dynamic = "force-dynamic";

export async function GET(): Promise<Response> {
  return forViewer(async ({ db, personId }) => Response.json(await noticesFor(db, { personId }, now())));
}

const seen = z.object({ taskNumber: z.int().nullable(), upTo: z.int() });

/** Says what has been seen: all about one task, or everything up to an instant. */
export async function POST(request: Request): Promise<Response> {
  if (isForeign(request)) return sayNo(403, "This came from another site. Nothing was changed.");
  return forViewer(async ({ db, personId }) => {
    const input = seen.safeParse(await request.json().catch(() => null));
    if (!input.success) return sayNo(400, "This could not be understood. Nothing was changed.");
    await seeNotices(db, { personId }, input.data.taskNumber, input.data.upTo, now());
    tellScreens();
    return Response.json({});
  });
}
