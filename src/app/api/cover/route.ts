import { now } from "@/data/clock";
import { coverFor, seeWhileAway } from "@/data/queries/while-away";
import { forViewer, isForeign, sayNo } from "../../_server/reply";

export const dynamic = "force-dynamic";

export async function GET(): Promise<Response> {
  return forViewer(async ({ db, personId }) => Response.json(await coverFor(db, { personId }, now())));
}

/** Whoever was away has looked at what happened meanwhile. */
export async function POST(request: Request): Promise<Response> {
  if (isForeign(request)) return sayNo(403, "This came from another site. Nothing was changed.");
  return forViewer(async ({ db, personId }) => {
    await seeWhileAway(db, { personId }, now());
    return Response.json({});
  });
}
