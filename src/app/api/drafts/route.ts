import { z } from "zod";
import { addressesFor } from "@/acts/own-addresses";
import { now } from "@/data/clock";
import { draftOf, keepDraft } from "@/data/queries/drafts";
import { forViewer, isForeign, isId, sayNo } from "../../_server/reply";

export const dynamic = "force-dynamic";

const about = z.string().min(3).max(80);
const person = z.object({ name: z.string().max(400), address: z.string().max(400) });
const kept = z.object({
  about,
  values: z
    .object({
      to: z.array(person).max(200),
      cc: z.array(person).max(200),
      subject: z.string().max(20_000),
      text: z.string().max(400_000),
      from: z.string().max(400),
      files: z
        .array(z.object({ id: z.uuid(), name: z.string().max(300), size: z.number() }))
        .max(50)
        .default([]),
    })
    .nullable(),
});

/** What is being written about something, and the addresses that it may go out from. */
export async function GET(request: Request): Promise<Response> {
  const { searchParams } = new URL(request.url);
  const asked = about.safeParse(searchParams.get("about"));
  const answers = searchParams.get("answers");
  return forViewer(async ({ db, personId }) => {
    if (!asked.success || (answers !== null && !isId(answers))) return sayNo(400, "This call cannot be read.");
    return Response.json({
      values: await draftOf(db, { personId }, asked.data),
      from: await addressesFor(db, { personId }, answers),
    });
  });
}

export async function PUT(request: Request): Promise<Response> {
  if (isForeign(request)) return sayNo(403, "This call came from another site. Nothing was changed.");
  return forViewer(async ({ db, personId }) => {
    const parsed = kept.safeParse(await request.json().catch(() => null));
    if (!parsed.success) return sayNo(400, "This draft cannot be kept here; it is still in this window.");
    await keepDraft(db, { personId }, parsed.data.about, parsed.data.values, now());
    return Response.json({});
  });
}
