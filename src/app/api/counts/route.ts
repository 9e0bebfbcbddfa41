import { dayOf } from "@/core/time/moment";
import { now } from "@/data/clock";
import { theOrganisation } from "@/data/queries/people";
import { stationCounts } from "@/data/queries/tasks";
import { forViewer } from "../../_server/reply";

export const dynamic = "force-dynamic";

export async function GET(): Promise<Response> {
  return forViewer(async ({ db, personId }) => {
    const zone = (await theOrganisation(db))?.zone ?? "UTC";
    return Response.json(await stationCounts(db, { personId }, dayOf({ at: now(), zone })));
  });
}
