import { lettersWith } from "@/data/queries/letters-with";
import { openItemsWith } from "@/data/queries/review";
import { forViewer, isId, NOT_HERE, sayNo } from "../../../../_server/reply";

export const dynamic = "force-dynamic";

export async function GET(_request: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  return forViewer(async ({ db, personId }) => {
    const { id } = await params;
    const found = isId(id) ? await lettersWith(db, { personId }, id) : null;
    return found ? Response.json(await openItemsWith(db, { personId }, id)) : sayNo(404, NOT_HERE);
  });
}
