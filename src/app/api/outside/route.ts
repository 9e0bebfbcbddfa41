import { knownOutside } from "@/data/queries/people";
import { forViewer } from "../../_server/reply";

export const dynamic = "force-dynamic";

/** People outside whom the viewer may name. */
export async function GET(): Promise<Response> {
  return forViewer(async ({ db, personId }) => Response.json(await knownOutside(db, { personId })));
}
