"use client";

import Link from "next/link";
import { sayMoment } from "../../core/time/say-day";
import type { WhileAway } from "../../core/views/days-view";
import { useToday } from "../parts/house";
import { OpenTasks } from "../parts/open-tasks";

/** What happened to somebody's work while they were away: done in their place, come to them, run over. */
export function HappenedWhile({ happened, isOwn }: { happened: WhileAway; isOwn: boolean }) {
  const { now } = useToday();
  const { done, given, over } = happened;
  if (isOwn && done.length + given.length + over.length === 0)
    return <p className="border-t border-hairline px-5 py-3 text-[13px] text-soft">Nothing happened meanwhile.</p>;
  return (
    <>
      {done.length > 0 && (
        <section className="border-t border-hairline py-2" aria-label="Done in their place">
          <h3 className="px-5 py-1 text-[14px]">
            Done for {isOwn ? "you" : "them"} <span className="text-soft">{done.length}</span>
          </h3>
          <ul>
            {done.map((one) => (
              <li key={one.id} className="flex gap-2 px-5 py-1 text-[13px] leading-[19px]">
                <span className="min-w-0 flex-1 [overflow-wrap:anywhere]">
                  {one.slug ? (
                    <Link className="word font-semibold" href={`/tasks/${one.slug}`}>
                      {one.title}
                    </Link>
                  ) : (
                    <b>{one.title}</b>
                  )}{" "}
                  <span className="text-soft">
                    {one.by} {one.words}
                  </span>
                </span>
                <span className="flex-none text-[12px] text-soft">{sayMoment(one.at, now)}</span>
              </li>
            ))}
          </ul>
        </section>
      )}
      {(
        [
          [isOwn ? "Came to you" : "Came to them", given],
          ["Over its date", over],
        ] as const
      )
        .filter(([, tasks]) => tasks.length > 0)
        .map(([name, tasks]) => (
          <section key={name} className="border-t border-hairline py-2" aria-label={name}>
            <h3 className="px-5 py-1 text-[14px]">
              {name} <span className="text-soft">{tasks.length}</span>
            </h3>
            <OpenTasks tasks={tasks} label={name} none="" />
          </section>
        ))}
    </>
  );
}
