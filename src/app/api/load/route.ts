import { isDay } from "@/core/time/day";
import { dayOf } from "@/core/time/moment";
import { now } from "@/data/clock";
import { loadOfTeam } from "@/data/queries/load";
import { theOrganisation } from "@/data/queries/people";
import { forViewer, sayNo } from "../../_server/reply";

export const dynamic = "force-dynamic";

/** What each of the team has on hand up to a day. */
export async function GET(request: Request): Promise<Response> {
  return forViewer(async ({ db, personId }) => {
    const by = new URL(request.url).searchParams.get("by") ?? "";
    if (!isDay(by)) return sayNo(400, `There is no ${by.slice(0, 20)}.`);
    const today = dayOf({ at: now(), zone: (await theOrganisation(db))?.zone ?? "UTC" });
    return Response.json(await loadOfTeam(db, { personId }, by, today));
  });
}
