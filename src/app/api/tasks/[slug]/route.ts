import { ourDomains } from "@/acts/own-addresses";
import { readReference } from "@/core/tasks/reference";
import { taskSheet } from "@/data/queries/tasks";
import { forViewer, NOT_HERE, sayNo } from "../../../_server/reply";

export const dynamic = "force-dynamic";

export async function GET(_request: Request, { params }: { params: Promise<{ slug: string }> }): Promise<Response> {
  const number = readReference((await params).slug);
  return forViewer(async ({ db, personId }) => {
    const sheet = number === null ? null : await taskSheet(db, { personId }, number, ourDomains()[0] ?? null);
    return sheet ? Response.json(sheet) : sayNo(404, NOT_HERE);
  });
}
