import { conversationFor } from "@/data/queries/sort";
import { forViewer, isId, NOT_HERE, sayNo } from "../../../_server/reply";

export const dynamic = "force-dynamic";

export async function GET(_request: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  const { id } = await params;
  return forViewer(async ({ db, personId }) => {
    const conversation = isId(id) ? await conversationFor(db, { personId }, id) : null;
    return conversation ? Response.json(conversation) : sayNo(404, NOT_HERE);
  });
}
