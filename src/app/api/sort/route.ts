import { now } from "@/data/clock";
import { roundOf, sortPage } from "@/data/queries/sort";
import { readPlace } from "../../_server/place";
import { forViewer, isId } from "../../_server/reply";

export const dynamic = "force-dynamic";

function wayOf(text: string | null): string | null {
  return text && isId(text) ? text : null;
}

export async function GET(request: Request): Promise<Response> {
  return forViewer(async ({ db, personId }) => {
    const { searchParams } = new URL(request.url);
    const place = readPlace(searchParams.get("place"));
    const page = await sortPage(
      db,
      { personId },
      place,
      searchParams.get("after"),
      undefined,
      wayOf(searchParams.get("way")),
    );
    return Response.json({ ...page, round: await roundOf(db, { personId }, now()) });
  });
}
