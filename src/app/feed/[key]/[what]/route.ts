import { daysFeed, tasksFeed } from "@/core/exchange/calendar-feed";
import { dayOf } from "@/core/time/moment";
import { now } from "@/data/clock";
import { sharedDatabase } from "@/data/engine/shared-database";
import { fedTasks, feedOwner } from "@/data/queries/feed";
import { theOrganisation } from "@/data/queries/people";
import { ourAddress } from "../../../_server/our-address";

export const dynamic = "force-dynamic";

/** A calendar feed (RFC 5545), read by calendar programs without signing in: who knows its address may read it. */
export async function GET(
  request: Request,
  { params }: { params: Promise<{ key: string; what: string }> },
): Promise<Response> {
  const { key, what } = await params;
  const { db } = await sharedDatabase();
  const owner = /^[\w-]{32}$/.test(key) ? await feedOwner(db, key) : null;
  if (!owner || (what !== "days.ics" && what !== "tasks.ics"))
    return new Response("There is no such calendar. Its address may have been renewed.\n", { status: 404 });
  const tasks = await fedTasks(db, { personId: owner.id }, ourAddress(request.headers), now());
  const zone = owner.zone ?? (await theOrganisation(db))?.zone ?? "UTC";
  const body =
    what === "tasks.ics" ? tasksFeed(owner, tasks) : daysFeed(owner, tasks, dayOf({ at: now(), zone }), now());
  return new Response(body, {
    headers: { "content-type": "text/calendar; charset=utf-8", "cache-control": "private, max-age=30" },
  });
}
