import { now } from "@/data/clock";
import { noteReviewed, reviewFor } from "@/data/queries/review";
import { forViewer, isForeign, sayNo } from "../../_server/reply";

export const dynamic = "force-dynamic";

export async function GET(): Promise<Response> {
  return forViewer(async ({ db, personId }) => Response.json(await reviewFor(db, { personId })));
}

/** The review is finished. */
export async function POST(request: Request): Promise<Response> {
  if (isForeign(request)) return sayNo(403, "This came from another site. Nothing was changed.");
  return forViewer(async ({ db, personId }) => {
    await noteReviewed(db, { personId }, now());
    return Response.json({});
  });
}
