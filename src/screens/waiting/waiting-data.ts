"use client";

import { useInfiniteQuery } from "@tanstack/react-query";
import type { WaitingFigures, WaitingPage } from "../../core/views/waiting-view";
import { ask } from "../parts/client";

/** What Waiting shows, as its sentence says it. */
export interface WaitingLook {
  readonly from: "anybody" | "outside" | "the team";
  readonly personId: string | null;
  readonly projectId: string | null;
  /** Waited for by this member of the team alone; null for all. */
  readonly forId: string | null;
  readonly order: "silence" | "person" | "project";
}

export type WaitingAnswer = WaitingPage & { readonly figures: WaitingFigures };

/** The part of an address that names a look; nothing for the usual one. */
export function waitingInAddress(look: WaitingLook): string {
  const search = new URLSearchParams();
  if (look.from !== "anybody") search.set("from", look.from);
  if (look.personId) search.set("person", look.personId);
  if (look.projectId) search.set("project", look.projectId);
  if (look.forId) search.set("for", look.forId);
  if (look.order !== "silence") search.set("order", look.order);
  return search.size > 0 ? `?${search}` : "";
}

export function useWaiting(look: WaitingLook, first: { look: WaitingLook; answer: WaitingAnswer }) {
  const address = waitingInAddress(look);
  return useInfiniteQuery({
    queryKey: ["waiting", address],
    queryFn: ({ pageParam }) =>
      ask<WaitingAnswer>(
        `/api/waiting${address}${pageParam ? `${address ? "&" : "?"}after=${encodeURIComponent(pageParam)}` : ""}`,
      ),
    initialPageParam: "",
    getNextPageParam: (last) => last.next,
    initialData: address === waitingInAddress(first.look) ? { pages: [first.answer], pageParams: [""] } : undefined,
    placeholderData: (old) => old,
  });
}
