import type { Metadata } from "next";
import { allLearntFor } from "@/data/queries/learnt";
import { LearntScreen } from "@/screens/learnt/learnt-screen";
import { viewerOrSignIn } from "../../_server/viewer";

export const metadata: Metadata = { title: "What was learnt" };

export default async function LearntPage() {
  const { db, personId } = await viewerOrSignIn("/learnt");
  return <LearntScreen first={await allLearntFor(db, { personId })} />;
}
