import type { Metadata } from "next";
import { knownOutside } from "@/data/queries/people";
import { WaitingScreen } from "@/screens/waiting/waiting-screen";
import { viewerOrSignIn } from "../../_server/viewer";
import { readWaitingLook, waitingAnswer } from "../../_server/waiting-look";

export const metadata: Metadata = { title: "Waiting" };

export default async function WaitingPage({
  searchParams,
}: {
  searchParams: Promise<{
    from?: string;
    person?: string;
    project?: string;
    for?: string;
    mine?: string;
    order?: string;
  }>;
}) {
  const { db, personId } = await viewerOrSignIn("/waiting");
  const look = readWaitingLook(await searchParams, { personId });
  const first = await waitingAnswer(db, { personId }, look, null);
  const outside = await knownOutside(db, { personId });
  return <WaitingScreen key={JSON.stringify(look)} look={look} first={first} outside={outside} />;
}
