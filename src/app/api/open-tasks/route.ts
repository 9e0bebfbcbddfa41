import { openTasksBeside } from "@/data/queries/open-tasks";
import { forViewer, isId, sayNo } from "../../_server/reply";

export const dynamic = "force-dynamic";

/** Tasks that are open in the conversation of a letter: what an answer to it is held against while it is written. */
export async function GET(request: Request): Promise<Response> {
  const letterId = new URL(request.url).searchParams.get("beside");
  return forViewer(async ({ db, personId }) =>
    letterId !== null && isId(letterId)
      ? Response.json(await openTasksBeside(db, { personId }, letterId))
      : sayNo(400, "This call cannot be read."),
  );
}
