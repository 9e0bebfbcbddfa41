import { z } from "zod";
import { hearsNot } from "@/data/queries/hears-not";
import { forViewer, sayNo } from "../../_server/reply";

export const dynamic = "force-dynamic";

const wanted = z.array(z.uuid()).min(1).max(500);

/** Who does not want to hear of which of several tasks, by their ids. */
export async function GET(request: Request): Promise<Response> {
  return forViewer(async ({ db, personId }) => {
    const ids = wanted.safeParse((new URL(request.url).searchParams.get("tasks") ?? "").split(","));
    return ids.success
      ? Response.json(await hearsNot(db, { personId }, ids.data))
      : sayNo(400, "It is not said of which tasks.");
  });
}
