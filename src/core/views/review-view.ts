import type { SortRow, TaskRow } from "./views";

/** What a week's review looks through. Lists are cut at some length; the counts are of all. */
export interface ReviewView {
  /** When the viewer last finished one. */
  readonly reviewedAt: number | null;
  readonly shelf: readonly SortRow[];
  readonly shelfTasks: readonly TaskRow[];
  readonly nobodys: readonly TaskRow[];
  readonly undated: readonly TaskRow[];
  /** Projects in which nothing is open. */
  readonly idle: readonly { readonly id: string; readonly name: string; readonly firm: string | null }[];
}

/** Everything open with somebody outside and their firm, either way. */
export interface OpenItems {
  readonly theirs: readonly TaskRow[];
  readonly ours: readonly TaskRow[];
}
