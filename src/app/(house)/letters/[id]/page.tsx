import type { Metadata } from "next";
import { letterFor } from "@/data/queries/letters";
import { conversationFor } from "@/data/queries/sort";
import { LetterScreen } from "@/screens/letters/letter-screen";
import { isId } from "../../../_server/reply";
import { viewerOrSignIn } from "../../../_server/viewer";

export const metadata: Metadata = { title: "Letter" };

export default async function LetterPage({
  params,
  searchParams,
}: {
  params: Promise<{ id: string }>;
  searchParams: Promise<{ from?: string; to?: string }>;
}) {
  const { id } = await params;
  const { db, personId } = await viewerOrSignIn(`/letters/${id}`);
  const letter = isId(id) ? await letterFor(db, { personId }, id) : null;
  const conversation = letter ? await conversationFor(db, { personId }, letter.conversationId) : null;
  const { from, to } = await searchParams;
  const lit =
    Number.isInteger(Number(from)) && Number(to) > Number(from) ? { start: Number(from), end: Number(to) } : null;
  return <LetterScreen letter={letter} conversation={conversation} lit={lit} />;
}
