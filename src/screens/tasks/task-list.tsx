"use client";

import { useRowsInSight } from "../parts/use-rows-in-sight";
import type { GroupedRow } from "./day-groups";
import { type RowActs, type RowField, TaskRowView } from "./task-row";

const ROW_HEIGHT = 39;
const PHONE_ROW_HEIGHT = 80;

/** The list by day. Only the rows in sight are drawn. */
export function TaskList(props: {
  rows: readonly GroupedRow[];
  hereSlug: string | null;
  editing: { readonly slug: string; readonly field: RowField } | null;
  /** Those that are marked, to be handed over together. */
  marked: readonly { readonly id: string }[];
  acts: RowActs;
  hasMore: boolean;
  onMore: () => void;
  isPhone: boolean;
  label: string;
}) {
  const rowHeight = props.isPhone ? PHONE_ROW_HEIGHT : ROW_HEIGHT;
  const { box, items, height } = useRowsInSight({
    count: props.rows.length,
    rowHeight,
    hereId: props.hereSlug,
    hereIndex: props.rows.findIndex((row) => row.task.slug === props.hereSlug),
    hasMore: props.hasMore,
    onMore: props.onMore,
  });
  return (
    <div ref={box} className="min-h-0 flex-1 overflow-y-auto">
      <ul aria-label={props.label} style={{ height, position: "relative" }}>
        {items.map((item) => {
          const row = props.rows[item.index]!;
          const { slug } = row.task;
          const editing = props.editing?.slug === slug ? props.editing.field : null;
          return (
            <li
              key={row.task.id}
              style={{
                position: "absolute",
                top: item.start,
                left: 0,
                right: 0,
                height: rowHeight,
                zIndex: editing ? 5 : undefined,
              }}
            >
              <TaskRowView
                row={row}
                isHere={slug === props.hereSlug}
                isMarked={props.marked.some((one) => one.id === row.task.id)}
                editing={editing}
                acts={props.acts}
              />
            </li>
          );
        })}
      </ul>
    </div>
  );
}
