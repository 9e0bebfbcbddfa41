import { z } from "zod";
import type { Database } from "@/data/engine/database";
import type { Viewer } from "@/data/need-to-know";
import { type WaitingLook, waitingFigures, waitingPage } from "@/data/queries/waiting";
import { houseClock } from "./clock";

const look = z.object({
  from: z.enum(["anybody", "outside", "the team"]).catch("anybody"),
  personId: z.uuid().nullable().catch(null),
  projectId: z.uuid().nullable().catch(null),
  forId: z.uuid().nullable().catch(null),
  order: z.enum(["silence", "person", "project"]).catch("silence"),
});

/** What an address says of Waiting; what cannot be read falls back to everything, the longest silence first. */
export function readWaitingLook(
  search: {
    from?: string | null;
    person?: string | null;
    project?: string | null;
    for?: string | null;
    mine?: string | null;
    order?: string | null;
  },
  viewer: Viewer,
): WaitingLook {
  return look.parse({
    from: search.from,
    personId: search.person,
    projectId: search.project,
    forId: search.mine === "1" ? viewer.personId : search.for,
    order: search.order,
  });
}

/** One page of Waiting with its figures. */
export async function waitingAnswer(db: Database, viewer: Viewer, asked: WaitingLook, after: string | null) {
  const at = await houseClock(db);
  const page = await waitingPage(db, viewer, asked, after, at);
  return { ...page, figures: await waitingFigures(db, viewer, asked, at) };
}
