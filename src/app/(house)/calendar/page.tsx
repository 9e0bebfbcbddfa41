import type { Metadata } from "next";
import { headers } from "next/headers";
import { feedKeyOf } from "@/data/queries/feed";
import { FeedsScreen } from "@/screens/calendar/feeds-screen";
import { ourAddress } from "../../_server/our-address";
import { viewerOrSignIn } from "../../_server/viewer";

export const metadata: Metadata = { title: "Calendar feeds" };

export default async function CalendarPage() {
  const { db, personId } = await viewerOrSignIn("/calendar");
  const key = await feedKeyOf(db, { personId }, false);
  return <FeedsScreen first={`${ourAddress(await headers())}/feed/${key}`} />;
}
