import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { lettersWith } from "@/data/queries/letters-with";
import { openItemsWith } from "@/data/queries/review";
import { LettersWithScreen } from "@/screens/people/letters-with-screen";
import { isId } from "../../../_server/reply";
import { viewerOrSignIn } from "../../../_server/viewer";

export const metadata: Metadata = { title: "Letters" };

export default async function PersonPage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  const { db, personId } = await viewerOrSignIn(`/people/${id}`);
  const found = isId(id) ? await lettersWith(db, { personId }, id) : null;
  if (!found) notFound();
  return <LettersWithScreen id={id} found={found} items={await openItemsWith(db, { personId }, id)} />;
}
