"use client";

import { useVirtualizer } from "@tanstack/react-virtual";
import { memo, useEffect, useRef } from "react";
import { sayDay, sayLateness, sayMoment } from "../../core/time/say-day";
import type { TaskRow } from "../../core/views/views";
import { useHouse, useToday } from "../parts/house";
import { PersonLabel, PriorityRule, StateSign } from "../parts/marks";
import { shortName } from "../words/picks";
import type { GroupedRow } from "./day-groups";

const ROW_HEIGHT = 39;
const PHONE_ROW_HEIGHT = 80;

/** Why a task is in the list, in a few words: whose letter it comes from. */
function originOf(task: TaskRow): string {
  const first = task.writer?.split(" ")[0];
  if (!first) return "";
  if (task.kind === "question") return `${first} asks`;
  if (task.kind === "trouble") return `trouble in ${first}’s letter`;
  if (task.side === "theirs") return task.kind === "promise" ? `promised by ${first}` : `asked by ${first}`;
  return `from ${first}’s letter`;
}

const Row = memo(function Row({
  row,
  isHere,
  onPick,
}: {
  row: GroupedRow;
  isHere: boolean;
  onPick: (slug: string) => void;
}) {
  const { task } = row;
  const { me } = useHouse();
  const { now, today } = useToday();
  const isOpen = task.state === "to begin" || task.state === "under way";
  const lateness = isOpen && task.due ? sayLateness(task.due.day, today) : null;
  const who = task.theirs ?? task.owner;
  const isTeam = !task.theirs;
  const note = [
    task.project ?? "no project",
    lateness && task.due ? `was due ${sayDay(task.due.day, today)}` : originOf(task),
  ]
    .filter(Boolean)
    .join(" · ");
  const stateWords =
    lateness ?? (task.state === "done" && task.finishedAt ? `done ${sayMoment(task.finishedAt, now)}` : task.state);
  const stateColour = lateness ? "text-late" : task.state === "under way" || task.state === "done" ? "text-going" : "";
  return (
    <div className={`flex h-full ${row.isLast ? "border-b border-hairline" : ""}`}>
      <div
        className={`gutter !py-[5px] ${row.look === "over" ? "is-over" : row.look === "today" ? "is-today" : ""} max-sm:!w-[98px] max-sm:!pl-3`}
      >
        {row.head && (
          <>
            <b>{row.head.name}</b>
            <span className="block truncate">{row.head.note}</span>
          </>
        )}
      </div>
      <button
        type="button"
        data-slug={task.slug}
        aria-current={isHere ? "true" : undefined}
        className={`flex min-w-0 flex-1 items-stretch pl-2 text-left ${row.isLast ? "" : "border-b border-[color:var(--hairline-faint)]"} ${isHere ? "here" : "hover:bg-wash"}`}
        onClick={() => onPick(task.slug)}
      >
        <span className="flex w-5 flex-none justify-center pt-[5px]">
          <PriorityRule priority={task.priority} height={29} />
        </span>
        <span className="min-w-0 flex-[5] pr-3 pt-[3px]">
          <b className="block truncate text-[14px] leading-[18px]">{task.title}</b>
          <span className="block truncate text-[12px] leading-[15px] text-soft">
            <b className="font-semibold text-ink">{task.reference}</b> · {note}
          </span>
          <span className={`mt-1 hidden items-center gap-1.5 text-[13px] font-semibold max-sm:flex ${stateColour}`}>
            {who && <PersonLabel initials={who.initials} name={who.name} isTeam={isTeam} size="small" />}
            {who ? `${who.id === me.id ? "you" : who.name.split(" ")[0]}, ${stateWords}` : `nobody yet, ${stateWords}`}
          </span>
        </span>
        <span className="flex w-[135px] flex-none items-center gap-[7px] text-[13px] font-semibold max-md:w-[44px] max-sm:hidden">
          {who ? (
            <>
              <PersonLabel initials={who.initials} name={who.name} isTeam={isTeam} />
              <span className="truncate max-md:hidden">{who.id === me.id ? "you" : shortName(who.name)}</span>
            </>
          ) : (
            <span className="truncate border-b border-dashed border-act text-[12.5px] text-act">nobody yet</span>
          )}
        </span>
        <span className="w-[172px] flex-none pt-1 max-sm:hidden">
          <span className={`flex items-center gap-[7px] text-[13px] font-semibold leading-[17px] ${stateColour}`}>
            <StateSign state={task.state} isLate={lateness !== null} />
            {stateWords}
          </span>
          <span className="block truncate pl-[21px] pr-5 text-[12px] leading-[15px] text-soft">
            {lateness ? task.state : task.due?.time ? `by ${task.due.time}` : task.theirs ? "owed to us" : ""}
          </span>
        </span>
      </button>
    </div>
  );
});

/** The list by day. Only the rows in sight are drawn. */
export function TaskList(props: {
  rows: readonly GroupedRow[];
  hereSlug: string | null;
  hasMore: boolean;
  onMore: () => void;
  onPick: (slug: string) => void;
  isPhone: boolean;
}) {
  const box = useRef<HTMLDivElement>(null);
  const height = props.isPhone ? PHONE_ROW_HEIGHT : ROW_HEIGHT;
  const virtual = useVirtualizer({
    count: props.rows.length,
    getScrollElement: () => box.current,
    estimateSize: () => height,
    overscan: 8,
    initialRect: { width: 800, height: 640 },
  });
  const items = virtual.getVirtualItems();
  const lastIndex = items.at(-1)?.index ?? 0;
  const { hasMore, onMore } = props;
  const count = props.rows.length;
  useEffect(() => virtual.measure(), [height, virtual]);
  useEffect(() => {
    if (hasMore && lastIndex >= count - 15) onMore();
  }, [hasMore, lastIndex, count, onMore]);
  const hereIndex = props.rows.findIndex((row) => row.task.slug === props.hereSlug);
  useEffect(() => {
    if (hereIndex >= 0) virtual.scrollToIndex(hereIndex, { align: "auto" });
  }, [hereIndex, virtual]);
  return (
    <div ref={box} className="min-h-0 flex-1 overflow-y-auto">
      <ul aria-label="Tasks by day" style={{ height: virtual.getTotalSize(), position: "relative" }}>
        {items.map((item) => {
          const row = props.rows[item.index]!;
          return (
            <li key={row.task.id} style={{ position: "absolute", top: item.start, left: 0, right: 0, height }}>
              <Row row={row} isHere={row.task.slug === props.hereSlug} onPick={props.onPick} />
            </li>
          );
        })}
      </ul>
    </div>
  );
}
