import type { Metadata } from "next";
import { learntFor } from "@/data/queries/lessons";
import { LearntScreen } from "@/screens/learnt/learnt-screen";
import { viewerOrSignIn } from "../../_server/viewer";

export const metadata: Metadata = { title: "What was learnt" };

export default async function LearntPage() {
  const { db, personId } = await viewerOrSignIn("/learnt");
  return <LearntScreen first={await learntFor(db, { personId })} />;
}
