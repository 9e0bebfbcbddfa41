import { useVirtualizer, type VirtualItem } from "@tanstack/react-virtual";
import { type RefObject, useEffect, useRef } from "react";

/** Rows from the end at which more are asked for, so that they are there when the list is scrolled to them. */
const ASK_BEFORE = 15;

/** The rows of a long list that are in sight, and nothing else; keeps the row that is here in sight and asks for more in time. */
export function useRowsInSight(list: {
  readonly count: number;
  readonly rowHeight: number;
  /** The row that is here, and its index: -1 where it is not in the list. */
  readonly hereId: string | null;
  readonly hereIndex: number;
  readonly hasMore: boolean;
  readonly onMore: () => void;
}): { box: RefObject<HTMLDivElement | null>; items: readonly VirtualItem[]; height: number; lastIndex: number } {
  const { count, rowHeight, hereId, hereIndex, hasMore, onMore } = list;
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
  const before = useRef<{ id: string | null; index: number }>({ id: null, index: -1 });
  useEffect(() => {
    const was = before.current;
    before.current = { id: hereId, index: hereIndex };
    if (hereIndex < 0) return;
    // What came in or went above it moved the row that is here; whoever has scrolled away from it stays where they look.
    const hasOnlyMoved = was.id === hereId && was.index >= 0;
    const inSight = virtual.range;
    const wasInSight = inSight !== null && was.index >= inSight.startIndex && was.index <= inSight.endIndex;
    if (!hasOnlyMoved || wasInSight) virtual.scrollToIndex(hereIndex, { align: "auto" });
  }, [hereId, hereIndex, virtual]);
  return { box, items, height: virtual.getTotalSize(), lastIndex };
}
