import { z } from "zod";
import { NOTICE_MAIL } from "@/core/hearing/heard";
import { HOW_HEARD, NEWS, roundInQuietHours } from "@/core/hearing/wishes";
import { setNoticeMail } from "@/data/queries/notice-mail";
import { forViewer, isForeign, sayNo } from "../../_server/reply";

export const dynamic = "force-dynamic";

const time = z.string().regex(/^(?:[01]\d|2[0-3]):[0-5]\d$/, "a time is written 08:00");

const settings = z
  .object({
    mail: z.enum(NOTICE_MAIL),
    times: z.array(time).min(1).max(6),
    wishes: z.partialRecord(z.enum(NEWS), z.enum(HOW_HEARD)).default({}),
    quietFrom: time.nullable().default(null),
    quietUntil: time.nullable().default(null),
  })
  .refine((one) => (one.quietFrom === null) === (one.quietUntil === null), "quiet hours have a beginning and an end")
  // A digest that is due while all is quiet would never come.
  .refine(
    (one) => roundInQuietHours(one.times, one.quietFrom, one.quietUntil) === null,
    "a round lies in the quiet hours",
  );

/** How one's notices come by mail, when the rounds and the digest are, and when it is quiet. */
export async function POST(request: Request): Promise<Response> {
  if (isForeign(request)) return sayNo(403, "This came from another site. Nothing was changed.");
  return forViewer(async ({ db, personId }) => {
    const input = settings.safeParse(await request.json().catch(() => null));
    if (!input.success)
      return sayNo(
        400,
        "Write each time like 08:00: one to six rounds, none of them in the quiet hours, which have a beginning and an end. Nothing was changed.",
      );
    await setNoticeMail(db, { personId }, input.data);
    return Response.json({});
  });
}
