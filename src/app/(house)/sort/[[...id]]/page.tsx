import type { Metadata } from "next";
import { now } from "@/data/clock";
import { conversationFor, roundOf, sortPage } from "@/data/queries/sort";
import { SortScreen } from "@/screens/sort/sort-screen";
import { isId } from "../../../_server/reply";
import { viewerOrSignIn } from "../../../_server/viewer";

export const metadata: Metadata = { title: "Sort" };

export default async function SortPage({
  params,
  searchParams,
}: {
  params: Promise<{ id?: string[] }>;
  searchParams: Promise<{ place?: string }>;
}) {
  const { db, personId } = await viewerOrSignIn("/sort");
  const [asked] = (await params).id ?? [];
  const place = (await searchParams).place === "dealt" ? "dealt with" : "sort";
  const page = { ...(await sortPage(db, { personId }, place, null)), round: await roundOf(db, { personId }, now()) };
  const id = asked && isId(asked) ? asked : page.rows[0]?.id;
  const conversation = id ? await conversationFor(db, { personId }, id) : null;
  return (
    <SortScreen
      key={`${place} ${asked ?? ""}`}
      place={place}
      first={page}
      conversation={conversation}
      asked={asked ?? null}
    />
  );
}
