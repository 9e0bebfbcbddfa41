"use client";

import Link from "next/link";
import { sayDay, sayLateness } from "../../core/time/say-day";
import type { TaskRow } from "../../core/views/views";
import { useHouse, useToday } from "./house";
import { PersonLabel, PriorityRule } from "./marks";

/** Open tasks as short lines: title, who has it, by when. `none` says what it means that there are none. */
export function OpenTasks({ tasks, label, none }: { tasks: readonly TaskRow[]; label: string; none: string }) {
  const { me } = useHouse();
  const { today } = useToday();
  if (tasks.length === 0) return <p className="px-5 py-2 text-[13px] text-soft">{none}</p>;
  return (
    <ul aria-label={label}>
      {tasks.map((task) => {
        const who = task.theirs ?? task.owner;
        const late = task.due ? sayLateness(task.due.day, today) : null;
        return (
          <li
            key={task.id}
            className="relative flex items-center gap-2.5 border-t border-hairline px-5 py-1.5 first:border-t-0 hover:bg-wash"
          >
            <PriorityRule priority={task.priority} height={26} />
            <span className="min-w-0 flex-1">
              <Link
                href={`/tasks/${task.slug}`}
                className="block truncate text-[14px] font-bold leading-[18px] after:absolute after:inset-0 after:content-['']"
              >
                {task.title}
              </Link>
              <span className="block truncate text-[12px] leading-[15px] text-soft">
                {task.reference} · {task.project ?? "no project"}
              </span>
            </span>
            <span className={`flex-none text-right text-[12.5px] ${late ? "font-semibold text-late" : "text-soft"}`}>
              {task.due ? sayDay(task.due.day, today) : "no date"}
              {late && <span className="block">{late}</span>}
            </span>
            <span className="flex w-[34px] flex-none justify-end">
              {who ? (
                <PersonLabel
                  initials={who.initials}
                  name={who.id === me.id ? "you" : who.name}
                  isTeam={!task.theirs}
                  size="small"
                />
              ) : (
                <span className="text-[11px] font-semibold text-act">nobody</span>
              )}
            </span>
          </li>
        );
      })}
    </ul>
  );
}
