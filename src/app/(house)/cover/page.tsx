import type { Metadata } from "next";
import { now } from "@/data/clock";
import { coverFor } from "@/data/queries/while-away";
import { CoverScreen } from "@/screens/days/cover-screen";
import { viewerOrSignIn } from "../../_server/viewer";

export const metadata: Metadata = { title: "Away and cover" };

export default async function CoverPage() {
  const { db, personId } = await viewerOrSignIn("/cover");
  return <CoverScreen first={await coverFor(db, { personId }, now())} />;
}
