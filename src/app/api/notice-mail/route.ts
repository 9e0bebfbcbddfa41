import { z } from "zod";
import { NOTICE_MAIL } from "@/core/hearing/heard";
import { setNoticeMail } from "@/data/queries/notice-mail";
import { forViewer, isForeign, sayNo } from "../../_server/reply";

export const dynamic = "force-dynamic";

const settings = z.object({
  mail: z.enum(NOTICE_MAIL),
  times: z
    .array(z.string().regex(/^(?:[01]\d|2[0-3]):[0-5]\d$/, "a time is written 08:00"))
    .min(1)
    .max(6),
});

/** How one's notices come by mail, and when the digest does. */
export async function POST(request: Request): Promise<Response> {
  if (isForeign(request)) return sayNo(403, "This came from another site. Nothing was changed.");
  return forViewer(async ({ db, personId }) => {
    const input = settings.safeParse(await request.json().catch(() => null));
    if (!input.success)
      return sayNo(400, "Write each time of the digest like 08:00, one to six of them. Nothing was changed.");
    await setNoticeMail(db, { personId }, input.data);
    return Response.json({});
  });
}
