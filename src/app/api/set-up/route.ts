import { firstSetUp, setUp } from "@/acts/set-up";
import { now } from "@/data/clock";
import { sharedDatabase } from "@/data/engine/shared-database";
import { sayNo } from "../../_server/reply";

export const dynamic = "force-dynamic";

export async function POST(request: Request): Promise<Response> {
  const parsed = firstSetUp.safeParse(await request.json().catch(() => null));
  if (!parsed.success)
    return sayNo(
      422,
      `${parsed.error.issues[0]?.message ?? "This cannot be read."} Nothing was set up yet; what you typed is still here.`,
    );
  const { db } = await sharedDatabase();
  return (await setUp(db, parsed.data, now()))
    ? Response.json({})
    : sayNo(409, "Somebody has set this up already. Sign in instead.");
}
