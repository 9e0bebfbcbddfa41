import type { QueryClient } from "@tanstack/react-query";

/**
 * Asks again for all that the screens show. What is on its way for the first time is given up and asked for once more: its
 * answer may have been read before the change, and the queries themselves would keep it as if it were new.
 */
export async function askAnew(queries: QueryClient): Promise<void> {
  await queries.cancelQueries({ predicate: (query) => query.state.data === undefined });
  await queries.invalidateQueries();
}
