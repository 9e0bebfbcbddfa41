import type { Metadata } from "next";
import { reviewFor } from "@/data/queries/review";
import { ReviewScreen } from "@/screens/review/review-screen";
import { viewerOrSignIn } from "../../_server/viewer";

export const metadata: Metadata = { title: "The shelf" };

export default async function ReviewPage() {
  const { db, personId } = await viewerOrSignIn("/review");
  return <ReviewScreen first={await reviewFor(db, { personId })} />;
}
