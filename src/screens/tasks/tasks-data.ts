"use client";

import { type InfiniteData, type QueryClient, useInfiniteQuery, useQuery } from "@tanstack/react-query";
import type { TaskRow, TaskSheet, TasksFigures, TasksPage } from "../../core/views/views";
import { ask } from "../parts/client";

/** What the list shows, as its sentence says it. */
export interface Look {
  readonly whose: "everyone" | "mine" | "to me" | "by me" | "nobody" | "theirs";
  readonly personId?: string | null;
  readonly projectId: string | null;
  readonly show: "open" | "done" | "put by";
}

export type TasksAnswer = TasksPage & { readonly figures: TasksFigures };

/** The part of an address that names a look; nothing for the usual one. */
export function lookInAddress(look: Look): string {
  const search = new URLSearchParams();
  if (look.whose !== "everyone") search.set("whose", look.whose);
  if (look.personId) search.set("person", look.personId);
  if (look.projectId) search.set("project", look.projectId);
  if (look.show !== "open") search.set("show", look.show);
  return search.size > 0 ? `?${search}` : "";
}

export function useTasks(look: Look, first: { look: Look; answer: TasksAnswer }) {
  const address = lookInAddress(look);
  return useInfiniteQuery({
    queryKey: ["tasks", address],
    queryFn: ({ pageParam }) =>
      ask<TasksAnswer>(
        `/api/tasks${address}${pageParam ? `${address ? "&" : "?"}after=${encodeURIComponent(pageParam)}` : ""}`,
      ),
    initialPageParam: "",
    getNextPageParam: (last) => last.next,
    initialData: address === lookInAddress(first.look) ? { pages: [first.answer], pageParams: [""] } : undefined,
    placeholderData: (old) => old,
  });
}

export function useSheet(slug: string | null, first: TaskSheet | null) {
  return useQuery({
    queryKey: ["sheet", slug ?? ""],
    queryFn: () => ask<TaskSheet>(`/api/tasks/${slug}`),
    enabled: slug !== null,
    initialData: first && first.task.slug === slug ? first : undefined,
  });
}

/** Changes a task on the screen, in the list and on its sheet, before the server has answered. */
export function changeTaskOnScreen(queries: QueryClient, slug: string, change: (task: TaskRow) => TaskRow): () => void {
  const before = [
    ...queries.getQueriesData({ queryKey: ["tasks"] }),
    ...queries.getQueriesData({ queryKey: ["sheet", slug] }),
  ];
  queries.setQueriesData<InfiniteData<TasksAnswer>>(
    { queryKey: ["tasks"] },
    (old) =>
      old && {
        ...old,
        pages: old.pages.map((page) => ({
          ...page,
          rows: page.rows.map((row) => (row.slug === slug ? change(row) : row)),
        })),
      },
  );
  queries.setQueriesData<TaskSheet>({ queryKey: ["sheet", slug] }, (old) => old && { ...old, task: change(old.task) });
  return () => {
    for (const [key, data] of before) queries.setQueryData(key, data);
  };
}

/** Asks for a sheet before it is opened. */
export function askAheadForSheet(queries: QueryClient, slug: string): void {
  void queries.prefetchQuery({
    queryKey: ["sheet", slug],
    queryFn: () => ask<TaskSheet>(`/api/tasks/${slug}`),
    staleTime: 30_000,
  });
}
