import { z } from "zod";
import { perform } from "@/acts/perform";
import { now } from "@/data/clock";
import { sharedDatabase } from "@/data/engine/shared-database";
import { answerLink } from "@/data/queries/answer-links";
import { isForeign, sayNo } from "../../_server/reply";

export const dynamic = "force-dynamic";

const answer = z.object({
  key: z.string().max(64),
  act: z.enum(["take on", "hand back", "ask back"]),
  words: z.string().max(4_000),
});

/** An answer to a hand-over by the link in a letter: a person has read the page and pressed a button of it. */
export async function POST(request: Request): Promise<Response> {
  if (isForeign(request)) return sayNo(403, "This came from another site. Nothing was changed.");
  const input = answer.safeParse(await request.json().catch(() => null));
  if (!input.success) return sayNo(400, "This could not be understood. Nothing was changed.");
  const { key, act, words } = input.data;
  const { db } = await sharedDatabase();
  const link = await answerLink(db, key);
  if (!link) return sayNo(404, "This link answers to nothing any more. Nothing was changed.");
  const more = act === "hand back" ? { reason: words } : act === "ask back" ? { question: words } : {};
  const done = await perform(db, { personId: link.personId, now: now() }, act, { taskId: link.taskId, ...more });
  return done.ok ? Response.json({}) : sayNo(409, done.says);
}
