"use client";

import { useQuery, useQueryClient } from "@tanstack/react-query";
import Link from "next/link";
import type { ReactNode } from "react";
import { dayOf } from "../../core/time/moment";
import { sayDistance, sayMomentFully } from "../../core/time/say-day";
import type { ReviewView } from "../../core/views/review-view";
import { ask, tell } from "../parts/client";
import { useToday } from "../parts/house";
import { OpenTasks } from "../parts/open-tasks";
import { useSay } from "../parts/says";

function Part({ name, count, children }: { name: string; count: number; children: ReactNode }) {
  return (
    <section className="border-t border-hairline py-2" aria-label={name}>
      <h2 className="px-5 py-1 text-[15px]">
        {name} <span className="text-soft">{count}</span>
      </h2>
      {children}
    </section>
  );
}

/** The week's review: what lies on the shelf, and what has no owner, no date or no next step. */
export function ReviewScreen({ first }: { first: ReviewView }) {
  const { now, today, calendar } = useToday();
  const queries = useQueryClient();
  const say = useSay();
  const { data } = useQuery({
    queryKey: ["review"],
    queryFn: () => ask<ReviewView>("/api/review"),
    initialData: first,
  });
  const finish = async () => {
    await tell("/api/review", {});
    await queries.invalidateQueries({ queryKey: ["review"] });
    say({ text: "Looked through. The next review is in a week." });
  };
  const last = data.reviewedAt;
  return (
    <div className="min-h-0 flex-1 overflow-y-auto px-4 pb-4 pt-[14px] max-sm:px-2">
      <div className="pan mx-auto max-w-[860px]">
        <div className="flex flex-wrap items-center gap-3 px-5 py-3">
          <div className="min-w-0 flex-1">
            <h1 className="text-[20px]">The shelf, and what lacks something</h1>
            <p className="text-[12.5px] text-soft">
              {last === null
                ? "Not looked through yet. Once a week is enough."
                : `Looked through ${sayMomentFully(last, now.zone, now)}, ${sayDistance(dayOf({ at: last, zone: now.zone }), today, calendar)}.`}
            </p>
          </div>
          <button type="button" className="btn" onClick={() => void finish()}>
            Looked through
          </button>
        </div>
        <Part name="On the shelf" count={data.shelf.length + data.shelfTasks.length}>
          {data.shelf.length > 0 && (
            <ul aria-label="Conversations on the shelf">
              {data.shelf.map((row) => (
                <li key={row.id} className="border-t border-hairline first:border-t-0">
                  <Link href={`/sort/${row.id}`} className="block px-5 py-1.5 hover:bg-wash">
                    <b className="block truncate text-[14px] leading-[18px]">{row.first?.title ?? row.subject}</b>
                    <span className="block truncate text-[12px] text-soft">
                      {row.from} · {row.subject}
                    </span>
                  </Link>
                </li>
              ))}
            </ul>
          )}
          {(data.shelfTasks.length > 0 || data.shelf.length === 0) && (
            <OpenTasks
              tasks={data.shelfTasks}
              label="Tasks on the shelf"
              none="Nothing is kept here. P puts a letter or a task on the shelf."
            />
          )}
        </Part>
        <Part name="Without an owner" count={data.nobodys.length}>
          <OpenTasks tasks={data.nobodys} label="Tasks without an owner" none="Every task has an owner." />
        </Part>
        <Part name="Without a date" count={data.undated.length}>
          <OpenTasks tasks={data.undated} label="Tasks without a date" none="Every task has a date." />
        </Part>
        <Part name="Projects without a next step" count={data.idle.length}>
          {data.idle.length === 0 ? (
            <p className="px-5 py-2 text-[13px] text-soft">Something is open in every project.</p>
          ) : (
            <ul aria-label="Projects without a next step">
              {data.idle.map((project) => (
                <li key={project.id} className="border-t border-hairline first:border-t-0">
                  <Link href={`/tasks?project=${project.id}`} className="block px-5 py-1.5 hover:bg-wash">
                    <b>{project.name}</b> <span className="text-[12.5px] text-soft">{project.firm ?? "our own"}</span>
                  </Link>
                </li>
              ))}
            </ul>
          )}
        </Part>
      </div>
    </div>
  );
}
