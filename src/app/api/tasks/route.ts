import { tasksFigures, tasksPage } from "@/data/queries/tasks";
import { forViewer } from "../../_server/reply";
import { readLook } from "../../_server/tasks-look";

export const dynamic = "force-dynamic";

export async function GET(request: Request): Promise<Response> {
  return forViewer(async ({ db, personId }) => {
    const { searchParams } = new URL(request.url);
    const look = readLook({
      whose: searchParams.get("whose"),
      person: searchParams.get("person"),
      project: searchParams.get("project"),
      show: searchParams.get("show"),
    });
    const page = await tasksPage(db, { personId }, look, searchParams.get("after"));
    return Response.json({ ...page, figures: await tasksFigures(db, { personId }, look) });
  });
}
