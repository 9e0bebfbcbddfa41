import { outgoingOfPerson } from "@/data/queries/outgoing";
import { forViewer } from "../../_server/reply";

export const dynamic = "force-dynamic";

/** One's own letters that are not out yet. */
export async function GET(): Promise<Response> {
  return forViewer(async ({ db, personId }) => Response.json(await outgoingOfPerson(db, { personId })));
}
