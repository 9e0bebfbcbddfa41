"use client";

import { Popover, PopoverButton, PopoverPanel } from "@headlessui/react";
import { useQuery } from "@tanstack/react-query";
import Link from "next/link";
import { useEffect, useRef } from "react";
import { sayMoment } from "../../core/time/say-day";
import type { NoticesView } from "../../core/views/notices-view";
import { type CountsView, MOST_COUNTED } from "../../core/views/views";
import { ask, tell } from "../parts/client";
import { useToday } from "../parts/house";
import { PersonLabel } from "../parts/marks";

type Notice = NoticesView["notices"][number];

/** Notices by task, in the order of the newest of each. */
function byTask(notices: readonly Notice[]): Notice[][] {
  const tasks = new Map<string, Notice[]>();
  for (const one of notices) tasks.set(one.slug, [...(tasks.get(one.slug) ?? []), one]);
  return [...tasks.values()];
}

/** The list itself: once it has been on the screen, what stood in it counts as seen when it closes. */
function NoticeList({ onClose }: { onClose: () => void }) {
  const { now } = useToday();
  const { data } = useQuery({ queryKey: ["notices"], queryFn: () => ask<NoticesView>("/api/notices") });
  const newest = useRef(0);
  newest.current = Math.max(newest.current, ...(data?.notices.map((one) => one.at) ?? [0]));
  useEffect(
    () => () => {
      if (newest.current > 0) void tell("/api/notices", { taskNumber: null, upTo: newest.current });
    },
    [],
  );
  if (!data) return <p className="p-4 text-soft">Looking …</p>;
  if (data.notices.length === 0)
    return (
      <p className="p-4 text-soft">Nothing yet. What is given to you, asked of you or finished for you comes here.</p>
    );
  return (
    <ul className="max-h-[70dvh] overflow-y-auto">
      {byTask(data.notices).map((group) => {
        const [first] = group;
        return (
          <li key={first!.slug} className="border-b border-hairline px-4 py-2 last:border-0">
            <Link
              href={`/tasks/${first!.slug}`}
              onClick={onClose}
              className="block text-[14px] font-bold leading-[19px]"
            >
              {first!.title} <span className="text-[12px] font-semibold text-soft">{first!.reference}</span>
            </Link>
            <ul>
              {group.map((one) => (
                <li key={one.id} className="flex gap-2 py-[3px] text-[13px] leading-[18px]">
                  <PersonLabel initials={one.by.initials} name={one.by.name} isTeam={one.by.isTeam} size="small" />
                  <span
                    className={`min-w-0 flex-1 [overflow-wrap:anywhere] ${one.isFresh ? "font-semibold" : "text-soft"}`}
                  >
                    {one.isFresh && <span className="sr-only">New: </span>}
                    {one.forWhom && <b>For {one.forWhom}: </b>}
                    {one.words}
                  </span>
                  <span className="flex-none text-[12px] text-soft">{sayMoment(one.at, now)}</span>
                </li>
              ))}
            </ul>
          </li>
        );
      })}
    </ul>
  );
}

/** What one should hear: how much of it is new, and the quiet list. */
export function Notices({ counts }: { counts: CountsView }) {
  const shown = counts.fresh > MOST_COUNTED ? `${MOST_COUNTED}+` : String(counts.fresh);
  return (
    <Popover className="relative">
      <PopoverButton
        className="flex h-8 items-center gap-1.5 rounded-[8px] px-2 text-[13px] font-semibold text-[color:var(--bar-ink-strong)]"
        aria-label={counts.fresh === 0 ? "What you should hear: nothing new" : `What you should hear: ${shown} new`}
      >
        <svg width="18" height="14" viewBox="0 0 18 14" aria-hidden="true">
          <circle cx="4" cy="7" r="2.6" fill="currentColor" />
          <path d="M8.6 3.6a5 5 0 0 1 0 6.8M12 1a9 9 0 0 1 0 12" fill="none" stroke="currentColor" strokeWidth="1.6" />
        </svg>
        {counts.fresh > 0 && (
          <span className="tabular-nums">
            {shown}
            <span className="max-sm:hidden"> new</span>
          </span>
        )}
      </PopoverButton>
      <PopoverPanel anchor={{ to: "bottom end", gap: 8 }} className="pan z-40 w-[400px] max-w-[94vw] p-0">
        {({ close }) => (
          <>
            <h2 className="border-b border-hairline px-4 py-2 text-[16px]">What you should hear</h2>
            <NoticeList onClose={close} />
          </>
        )}
      </PopoverPanel>
    </Popover>
  );
}
