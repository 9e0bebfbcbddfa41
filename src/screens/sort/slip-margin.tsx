"use client";

import { type ReactNode, useLayoutEffect, useRef, useState } from "react";
import { levelSlips } from "./level-slips";

const GAP = 9;
/** Room at the head of the margin for where the conversation goes. */
const HEAD = 90;

interface Placed {
  readonly tops: readonly number[];
  readonly marks: readonly number[];
  readonly height: number;
}

/**
 * Sets slips level with their passages, joined by a hairline each. Measures again whenever something on the board grows or
 * moves.
 */
export function SlipMargin(props: {
  ids: readonly string[];
  litId: string | null;
  head: ReactNode;
  slip: (id: string) => ReactNode;
  foot: ReactNode;
}) {
  const margin = useRef<HTMLDivElement>(null);
  const foot = useRef<HTMLDivElement>(null);
  const [placed, setPlaced] = useState<Placed | null>(null);
  const key = props.ids.join();
  useLayoutEffect(() => {
    const { current: box } = margin;
    // Asked of the page, not by a ref: the refs of parents are not set yet when a child measures for the first time.
    const board = box?.closest<HTMLElement>("[data-board]");
    if (!board || !box) return;
    const ids = key === "" ? [] : key.split(",");
    const measure = () => {
      const origin = box.getBoundingClientRect().top;
      const cards = ids.map((id) => box.querySelector<HTMLElement>(`[data-slip="${id}"]`));
      const marks = ids.map((id) => {
        const ends = board.querySelectorAll<HTMLElement>(`[data-passage="${id}"]`);
        const end = ends[0];
        return end ? Math.round(end.getBoundingClientRect().top - origin + 13) : -1;
      });
      const footHeight = (foot.current?.offsetHeight ?? 0) + GAP;
      const wanted = cards.map((card, i) => ({
        wanted: marks[i]! >= 0 ? marks[i]! - 22 : 0,
        height: card?.offsetHeight ?? 80,
      }));
      const tops = levelSlips(wanted, HEAD, board.clientHeight - footHeight, GAP);
      const last = tops.length > 0 ? tops.at(-1)! + wanted.at(-1)!.height + GAP : HEAD;
      setPlaced((old) => {
        const next = { tops, marks, height: last + footHeight + 6 };
        return JSON.stringify(old) === JSON.stringify(next) ? old : next;
      });
    };
    measure();
    const observer = new ResizeObserver(measure);
    observer.observe(board);
    for (const child of board.querySelectorAll("[data-letter],[data-slip]")) observer.observe(child);
    return () => observer.disconnect();
  });
  return (
    <div
      ref={margin}
      className="relative border-l border-hairline bg-wash max-sm:hidden"
      style={{ minHeight: placed?.height }}
    >
      {placed && (
        <svg
          className="pointer-events-none absolute left-0 top-0 overflow-visible"
          width="22"
          height={placed.height}
          aria-hidden="true"
        >
          {props.ids.map((id, i) => {
            const mark = placed.marks[i] ?? -1;
            if (mark < 0) return null;
            const isLit = id === props.litId;
            const bend = 4 + ((i * 3.4) % 14);
            return (
              <path
                key={id}
                d={`M0 ${mark + 0.5}H${bend}V${(placed.tops[i] ?? 0) + 18.5}H21`}
                fill="none"
                stroke={isLit ? "var(--act)" : "var(--tie)"}
                strokeWidth={isLit ? 1.5 : 1}
              />
            );
          })}
        </svg>
      )}
      <div className="absolute left-[21px] right-[14px] top-[17px] h-[58px] border-b border-hairline text-[13px] leading-[19px]">
        {props.head}
      </div>
      {props.ids.map((id, i) => (
        <div
          key={id}
          data-slip={id}
          className="absolute left-[21px] right-[14px]"
          style={{
            top: placed?.tops[i] ?? HEAD + i * 90,
            visibility: placed ? "visible" : "hidden",
            zIndex: id === props.litId ? 2 : 1,
            transition: "top var(--motion) ease-out",
          }}
        >
          {props.slip(id)}
        </div>
      ))}
      <div
        ref={foot}
        className="absolute left-[21px] right-[14px]"
        style={{
          top: placed ? placed.height - (foot.current?.offsetHeight ?? 88) - 6 : undefined,
          bottom: placed ? undefined : 12,
        }}
      >
        {props.foot}
      </div>
    </div>
  );
}
