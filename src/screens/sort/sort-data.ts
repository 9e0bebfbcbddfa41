"use client";

import { type InfiniteData, type QueryClient, useInfiniteQuery, useQuery } from "@tanstack/react-query";
import { useEffect } from "react";
import type { ConversationPlace, ConversationView, RoundView, SortPage, SortRow } from "../../core/views/views";
import { ask } from "../parts/client";

export type Place = ConversationPlace;
export type SortAnswer = SortPage & { readonly round: RoundView };

/** How an address names a list. */
export const PLACE_IN_ADDRESS = { sort: "sort", "dealt with": "dealt", "put by": "put-by" } as const;

/** Conversations that are asked for ahead, so that the next one is there at the key press. */
const AHEAD = 4;

export function sortKey(place: Place): readonly string[] {
  return ["sort", place];
}

function conversationKey(id: string): readonly string[] {
  return ["conversation", id];
}

const fetchConversation = (id: string) => ask<ConversationView>(`/api/conversations/${id}`);

/** The list of Sort, page after page. */
export function useSortList(place: Place, first: SortAnswer, way: string | null) {
  return useInfiniteQuery({
    queryKey: sortKey(place),
    queryFn: ({ pageParam }) =>
      ask<SortAnswer>(
        `/api/sort?place=${PLACE_IN_ADDRESS[place]}${way ? `&way=${way}` : ""}${pageParam ? `&after=${encodeURIComponent(pageParam)}` : ""}`,
      ),
    initialPageParam: "",
    getNextPageParam: (last) => last.next,
    initialData: { pages: [first], pageParams: [""] },
  });
}

/** One conversation. */
export function useConversation(id: string | null, first: ConversationView | null) {
  return useQuery({
    queryKey: conversationKey(id ?? "none"),
    queryFn: () => fetchConversation(id!),
    enabled: id !== null,
    initialData: first && first.id === id ? first : undefined,
  });
}

/** Asks for the next conversations of the list before they are needed. */
export function useAskAhead(queries: QueryClient, rows: readonly SortRow[], index: number): void {
  const ids = rows
    .slice(Math.max(0, index + 1), index + 1 + AHEAD)
    .map((row) => row.id)
    .join();
  useEffect(() => {
    for (const id of ids.split(","))
      if (id)
        void queries.prefetchQuery({
          queryKey: conversationKey(id),
          queryFn: () => fetchConversation(id),
          staleTime: 60_000,
        });
  }, [queries, ids]);
}

type List = InfiniteData<SortAnswer>;

/** Takes a conversation out of the list at once; what it was before comes back where the act fails. */
export function takeOut(queries: QueryClient, place: Place, id: string): () => void {
  const key = sortKey(place);
  const before = queries.getQueryData<List>(key);
  queries.setQueryData<List>(
    key,
    (old) =>
      old && {
        ...old,
        pages: old.pages.map((page, i) => ({
          ...page,
          rows: page.rows.filter((row) => row.id !== id),
          round:
            i === 0
              ? { ...page.round, dealt: page.round.dealt + 1, left: Math.max(0, page.round.left - 1) }
              : page.round,
        })),
      },
  );
  return () => queries.setQueryData(key, before);
}

/** Changes a conversation on the screen before the server has answered. */
export function changeOnScreen(
  queries: QueryClient,
  id: string,
  change: (old: ConversationView) => ConversationView,
): () => void {
  const key = conversationKey(id);
  const before = queries.getQueryData<ConversationView>(key);
  queries.setQueryData<ConversationView>(key, (old) => old && change(old));
  return () => queries.setQueryData(key, before);
}
