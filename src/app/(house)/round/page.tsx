import type { Metadata } from "next";
import { roundStart } from "@/data/queries/rounds";
import { RoundScreen } from "@/screens/days/round-screen";
import { houseClock } from "../../_server/clock";
import { viewerOrSignIn } from "../../_server/viewer";

export const metadata: Metadata = { title: "This round" };

export default async function RoundPage() {
  const { db, personId } = await viewerOrSignIn("/round");
  return <RoundScreen first={await roundStart(db, { personId }, await houseClock(db))} />;
}
