import { forViewer } from "../../_server/reply";
import { readWaitingLook, waitingAnswer } from "../../_server/waiting-look";

export const dynamic = "force-dynamic";

export async function GET(request: Request): Promise<Response> {
  return forViewer(async ({ db, personId }) => {
    const { searchParams } = new URL(request.url);
    const look = readWaitingLook(Object.fromEntries(searchParams), { personId });
    return Response.json(await waitingAnswer(db, { personId }, look, searchParams.get("after")));
  });
}
