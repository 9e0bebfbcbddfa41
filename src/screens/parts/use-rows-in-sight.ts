import { useVirtualizer, type VirtualItem } from "@tanstack/react-virtual";
import { type RefObject, useEffect, useRef } from "react";

/** Rows from the end at which more are asked for, so that they are there when the list is scrolled to them. */
const ASK_BEFORE = 15;

/** The rows of a long list that are in sight, and nothing else; keeps the row that is here in sight and asks for more in time. */
export function useRowsInSight(list: {
  readonly count: number;
  readonly rowHeight: number;
  /** Index of the row that is here; -1 where it is not in the list. */
  readonly hereIndex: number;
  readonly hasMore: boolean;
  readonly onMore: () => void;
}): { box: RefObject<HTMLDivElement | null>; items: readonly VirtualItem[]; height: number; lastIndex: number } {
  const { count, rowHeight, hereIndex, hasMore, onMore } = list;
  const box = useRef<HTMLDivElement>(null);
  const virtual = useVirtualizer({
    count,
    getScrollElement: () => box.current,
    estimateSize: () => rowHeight,
    overscan: 8,
    // What is drawn on the server, before anything is measured.
    initialRect: { width: 800, height: 640 },
  });
  const items = virtual.getVirtualItems();
  const lastIndex = items.at(-1)?.index ?? 0;
  // A row that has another height now (on a phone) is measured again.
  useEffect(() => virtual.measure(), [rowHeight, virtual]);
  useEffect(() => {
    if (hasMore && lastIndex >= count - ASK_BEFORE) onMore();
  }, [hasMore, lastIndex, count, onMore]);
  useEffect(() => {
    if (hereIndex >= 0) virtual.scrollToIndex(hereIndex, { align: "auto" });
  }, [hereIndex, virtual]);
  return { box, items, height: virtual.getTotalSize(), lastIndex };
}
