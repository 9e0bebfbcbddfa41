import { find } from "@/data/queries/find";
import { forViewer } from "../../_server/reply";

export const dynamic = "force-dynamic";

export async function GET(request: Request): Promise<Response> {
  return forViewer(async ({ db, personId }) =>
    Response.json(await find(db, { personId }, new URL(request.url).searchParams.get("words") ?? "")),
  );
}
