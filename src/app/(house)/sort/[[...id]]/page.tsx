import type { Metadata } from "next";
import { now } from "@/data/clock";
import { conversationFor, roundOf, sortPage, waysFor } from "@/data/queries/sort";
import { SortScreen } from "@/screens/sort/sort-screen";
import { readPlace } from "../../../_server/place";
import { isId } from "../../../_server/reply";
import { viewerOrSignIn } from "../../../_server/viewer";

export const metadata: Metadata = { title: "Sort" };

export default async function SortPage({
  params,
  searchParams,
}: {
  params: Promise<{ id?: string[] }>;
  searchParams: Promise<{ place?: string; way?: string }>;
}) {
  const { db, personId } = await viewerOrSignIn("/sort");
  const [asked] = (await params).id ?? [];
  const wanted = await searchParams;
  const place = readPlace(wanted.place);
  const way = wanted.way && isId(wanted.way) ? wanted.way : null;
  const page = {
    ...(await sortPage(db, { personId }, place, null, undefined, way)),
    round: await roundOf(db, { personId }, now()),
  };
  const id = asked && isId(asked) ? asked : page.rows[0]?.id;
  const conversation = id ? await conversationFor(db, { personId }, id) : null;
  return (
    <SortScreen
      key={`${place} ${asked ?? ""} ${way}`}
      place={place}
      way={way}
      ways={await waysFor(db, { personId })}
      first={page}
      conversation={conversation}
    />
  );
}
