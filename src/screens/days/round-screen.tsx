"use client";

import { useQuery, useQueryClient } from "@tanstack/react-query";
import Link from "next/link";
import type { ReactNode } from "react";
import { dayOf } from "../../core/time/moment";
import { sayDay, sayDistance, sayMoment, sayMomentFully } from "../../core/time/say-day";
import { MOST_IN_A_PART, type RoundDone, type RoundStart } from "../../core/views/days-view";
import type { TaskRow } from "../../core/views/views";
import { ask, tell } from "../parts/client";
import { useToday } from "../parts/house";
import { OpenTasks } from "../parts/open-tasks";
import { useSay } from "../parts/says";

/** One part of the round: what it is, how much of it there is, and where it is dealt with. */
function Part(props: {
  name: string;
  count: number | string;
  isLate?: boolean;
  where?: ReactNode;
  children?: ReactNode;
}) {
  return (
    <section className="border-t border-hairline py-2" aria-label={props.name}>
      <h2 className="flex items-baseline gap-2 px-5 py-1 text-[15px]">
        {props.name}
        <span className={props.isLate ? "text-late" : "text-soft"}>{props.count}</span>
        {props.where && (
          <span className="ml-auto text-[13px] font-medium" style={{ fontFamily: "var(--font-ui)" }}>
            {props.where}
          </span>
        )}
      </h2>
      {props.children}
    </section>
  );
}

function TaskPart({ name, tasks, where }: { name: string; tasks: readonly TaskRow[]; where?: ReactNode }) {
  const { today } = useToday();
  if (tasks.length === 0) return null;
  return (
    <Part
      name={name}
      count={tasks.length < MOST_IN_A_PART ? tasks.length : `${MOST_IN_A_PART} or more`}
      isLate={tasks.some((task) => task.due !== null && task.due.day < today)}
      where={where}
    >
      <OpenTasks tasks={tasks} label={name} none="" />
    </Part>
  );
}

function minutesWords(minutes: number): string {
  return minutes === 0 ? "no time yet" : `${minutes} minute${minutes === 1 ? "" : "s"}`;
}

function EarlierRounds({ rounds }: { rounds: readonly RoundDone[] }) {
  const { now } = useToday();
  if (rounds.length === 0) return null;
  return (
    <section className="pan" aria-label="Earlier rounds">
      <h2 className="px-5 pb-1 pt-3 text-[15px]">Earlier rounds</h2>
      <table className="w-full text-[13px] tabular-nums">
        <thead className="text-left text-[12px] text-soft">
          <tr className="[&>th]:font-medium [&>th]:py-1">
            <th className="pl-5">Finished</th>
            <th>Came</th>
            <th>Dealt with</th>
            <th>Left</th>
            <th className="pr-5">Minutes</th>
          </tr>
        </thead>
        <tbody>
          {rounds.map((one) => (
            <tr
              key={one.id}
              className={`border-t border-hairline [&>td]:py-1 ${one.what === "day" ? "font-semibold" : ""}`}
            >
              <td className="pl-5">
                {sayMoment(one.endedAt, now)}
                {one.what === "day" && ", the day"}
              </td>
              <td>{one.came}</td>
              <td>{one.dealt}</td>
              <td>{one.left}</td>
              <td className="pr-5">{one.minutes}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

/** The start of a round: what came, what is due, what came back, which waits broke; and its end, and the day's. */
export function RoundScreen({ first }: { first: RoundStart }) {
  const queries = useQueryClient();
  const say = useSay();
  const { now, today, calendar } = useToday();
  const { data } = useQuery({
    queryKey: ["round"],
    queryFn: () => ask<RoundStart>("/api/round"),
    initialData: first,
  });
  const does = async (step: "finish" | "close the day" | "open the day", text: string) => {
    await tell("/api/round", { does: step });
    await queries.invalidateQueries({ queryKey: ["round"] });
    say({ text });
  };
  const { waits } = data;
  const isQuiet =
    data.given.length + data.back.length + data.due.length + data.returned.length + data.doubted.length === 0 &&
    data.left === 0 &&
    waits.lettersReady + waits.calls === 0;
  return (
    <div className="min-h-0 flex-1 overflow-y-auto px-4 pb-4 pt-[14px] max-sm:px-2">
      <div className="mx-auto grid max-w-[1180px] grid-cols-[minmax(0,1fr)_342px] items-start gap-[14px] max-lg:grid-cols-1">
        <section className="pan" aria-label="This round">
          <div className="px-5 py-3">
            <h1 className="text-[20px]">{data.name}</h1>
            <p className="text-[13px] text-soft">
              Since {sayMomentFully(data.since, now.zone, now)}: <b className="text-ink">{data.came}</b> came,{" "}
              <b className="text-ink">{data.dealt}</b> dealt with, <b className="text-ink">{data.left}</b> left;{" "}
              {minutesWords(data.minutes)}.
            </p>
          </div>
          {(data.isBack || data.covers.length > 0) && (
            <p className="border-t border-hairline bg-wash px-5 py-2 text-[13.5px]">
              {data.isBack && (
                <>
                  You are back.{" "}
                  <Link className="word inline-flex min-h-6 items-center" href="/cover">
                    What happened while you were away
                  </Link>
                  {". "}
                </>
              )}
              {data.covers.map((one) => (
                <span key={one.name}>
                  You cover for{" "}
                  <Link className="word inline-flex min-h-6 items-center" href="/cover">
                    {one.name}
                  </Link>{" "}
                  until {sayDay(one.backDay, today)}.{" "}
                </span>
              ))}
            </p>
          )}
          {isQuiet && (
            <p className="border-t border-hairline px-5 py-6 text-center text-soft">
              Nothing waits for you. Finish the round, and come back at the next.
            </p>
          )}
          {data.left > 0 && (
            <Part
              name="To sort"
              count={data.left}
              where={
                <Link className="word inline-flex min-h-6 items-center" href="/sort">
                  sort them
                </Link>
              }
            >
              <ul aria-label="To sort">
                {data.letters.map((letter) => (
                  <li key={letter.id} className="border-t border-hairline first:border-t-0">
                    <Link href={`/sort/${letter.id}`} className="flex gap-3 px-5 py-1 text-[13.5px] hover:bg-wash">
                      <b className="min-w-0 flex-1 truncate">{letter.title}</b>
                      <span className="max-w-[40%] flex-none truncate text-[12.5px] text-soft">{letter.from}</span>
                    </Link>
                  </li>
                ))}
              </ul>
            </Part>
          )}
          <TaskPart name="Given to you, not answered" tasks={data.given} />
          <TaskPart name="Handed back, or nobody’s" tasks={data.back} />
          <TaskPart name="In doubt, of what you gave" tasks={data.doubted} />
          <TaskPart
            name="Due today, or over"
            tasks={data.due}
            where={
              <Link className="word inline-flex min-h-6 items-center" href="/tasks?whose=mine">
                all of mine
              </Link>
            }
          />
          <TaskPart name="Came back" tasks={data.returned} />
        </section>
        <div className="flex flex-col gap-[14px]">
          <section className="pan px-5 py-3" aria-label="What others owe you">
            <h2 className="text-[15px]">What others owe you</h2>
            <ul className="mt-1 text-[13.5px]">
              <li className="flex justify-between py-[3px]">
                Promises broken <b className={waits.broken > 0 ? "text-late" : "text-soft"}>{waits.broken}</b>
              </li>
              <li className="flex justify-between py-[3px]">
                Letters to look over{" "}
                <b className={waits.lettersReady > 0 ? "text-act" : "text-soft"}>{waits.lettersReady}</b>
              </li>
              <li className="flex justify-between py-[3px]">
                People to ring <b className={waits.calls > 0 ? "text-act" : "text-soft"}>{waits.calls}</b>
              </li>
            </ul>
            <Link className="btn is-small is-line mt-2" href="/waiting?mine=1">
              Look them over
            </Link>
          </section>
          <section className="pan px-5 py-3" aria-label="The end">
            <button type="button" className="btn" onClick={() => void does("finish", "The round is finished.")}>
              Finish the round
            </button>
            <p className="mt-3 text-[13px]">
              <b>{data.doneToday}</b> finished today; <b>{data.tomorrow.length}</b> due on the next working day.
            </p>
            <ul className="mt-1 text-[12.5px] text-soft">
              {data.tomorrow.slice(0, 5).map((task) => (
                <li key={task.id} className="min-h-6 truncate">
                  <Link className="word is-quiet inline-flex min-h-6 items-center" href={`/tasks/${task.slug}`}>
                    {task.title}
                  </Link>
                </li>
              ))}
            </ul>
            {data.closedUntil === null ? (
              <button
                type="button"
                className="btn is-line mt-3"
                onClick={() => void does("close the day", "The day is closed. Nothing interrupts until the next.")}
              >
                Close the day
              </button>
            ) : (
              <p className="mt-3 text-[13px]">
                <b>The day is closed.</b>{" "}
                <span className="text-soft">
                  Quiet until {sayMomentFully(data.closedUntil, now.zone, now)},{" "}
                  {sayDistance(dayOf({ at: data.closedUntil, zone: now.zone }), today, calendar)}.
                </span>{" "}
                <button type="button" className="word" onClick={() => void does("open the day", "Open again.")}>
                  Open it again
                </button>
              </p>
            )}
            <p className="mt-2 text-[12px] text-soft">
              {sayDay(today, today)}. The times of your rounds stand under{" "}
              <Link className="word" href="/mail-about-tasks">
                mail about your tasks
              </Link>
              .
            </p>
          </section>
          <EarlierRounds rounds={data.earlier} />
        </div>
      </div>
    </div>
  );
}
