import { z } from "zod";
import { now } from "@/data/clock";
import type { Database } from "@/data/engine/database";
import type { Viewer } from "@/data/need-to-know";
import { theOrganisation } from "@/data/queries/people";
import { type WaitingLook, waitingFigures, waitingPage } from "@/data/queries/waiting";

const look = z.object({
  from: z.enum(["anybody", "outside", "the team"]).catch("anybody"),
  personId: z.uuid().nullable().catch(null),
  projectId: z.uuid().nullable().catch(null),
  isMine: z.boolean().catch(false),
  order: z.enum(["silence", "person", "project"]).catch("silence"),
});

/** What an address says of Waiting; what cannot be read falls back to everything, the longest silence first. */
export function readWaitingLook(search: {
  from?: string | null;
  person?: string | null;
  project?: string | null;
  mine?: string | null;
  order?: string | null;
}): WaitingLook {
  return look.parse({
    from: search.from,
    personId: search.person,
    projectId: search.project,
    isMine: search.mine === "1",
    order: search.order,
  });
}

/** One page of Waiting with its figures. */
export async function waitingAnswer(db: Database, viewer: Viewer, asked: WaitingLook, after: string | null) {
  const organisation = await theOrganisation(db);
  const calendar = organisation ?? { zone: "UTC", workingDays: [1, 2, 3, 4, 5], holidays: [] };
  const at = { at: now(), zone: calendar.zone, calendar };
  const page = await waitingPage(db, viewer, asked, after, at);
  return { ...page, figures: await waitingFigures(db, viewer, asked, at) };
}
