import { likelyTasks } from "@/data/queries/likely-tasks";
import { forViewer, isId, NOT_HERE, sayNo } from "../../../../_server/reply";

export const dynamic = "force-dynamic";

/** Tasks that a conversation may be put on. */
export async function GET(request: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  const { id } = await params;
  const words = (new URL(request.url).searchParams.get("words") ?? "").slice(0, 200);
  return forViewer(async ({ db, personId }) =>
    isId(id) ? Response.json(await likelyTasks(db, { personId }, id, words)) : sayNo(404, NOT_HERE),
  );
}
