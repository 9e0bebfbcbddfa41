import { feedKeyOf } from "@/data/queries/feed";
import { ourAddress } from "../../_server/our-address";
import { forViewer, isForeign, sayNo } from "../../_server/reply";

export const dynamic = "force-dynamic";

/** New addresses for one's own feeds; the old ones no longer work. */
export async function POST(request: Request): Promise<Response> {
  if (isForeign(request)) return sayNo(403, "This came from another site. Nothing was changed.");
  return forViewer(async ({ db, personId }) =>
    Response.json({ base: `${ourAddress(request.headers)}/feed/${await feedKeyOf(db, { personId }, true)}` }),
  );
}
