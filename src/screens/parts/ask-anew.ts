import type { QueryClient } from "@tanstack/react-query";

/**
 * Asks again for all that the screens show. What is on its way for the first time is given up and asked for once more, also
 * where it is only fetched ahead: its answer may have been read before the change, and would be kept as if it were new.
 */
export async function askAnew(queries: QueryClient): Promise<void> {
  const first = queries
    .getQueryCache()
    .findAll({ fetchStatus: "fetching", predicate: (query) => query.state.data === undefined });
  await Promise.all(first.map((query) => query.cancel({ revert: true })));
  // Of what nobody looks at yet the client itself asks nothing again; whether it comes is seen when it is opened.
  for (const query of first) if (!query.isActive()) query.fetch().catch(() => {});
  await queries.invalidateQueries();
}
