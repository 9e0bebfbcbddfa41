"use client";

import { useQuery } from "@tanstack/react-query";
import { useCallback, useMemo, useState } from "react";
import { firstNameOf } from "../../core/letters/first-name";
import { readHandOver } from "../../core/tasks/read-hand-over";
import { sayDay, sayDistance } from "../../core/time/say-day";
import type { DueView, TaskRow } from "../../core/views/views";
import { ask } from "../parts/client";
import { useHouse, useToday } from "../parts/house";
import { LineField } from "../parts/line-field";
import { useDraft } from "../parts/use-draft";
import { Loads, WillHear } from "./hand-over-shown";

/** The tasks of a list that are marked; those that have left the list are marked no more. */
export function useMarked(rows: readonly TaskRow[]): {
  marked: readonly TaskRow[];
  mark: (taskId: string) => void;
  clear: () => void;
} {
  const [ids, setIds] = useState<readonly string[]>([]);
  const marked = useMemo(() => rows.filter((row) => ids.includes(row.id)), [rows, ids]);
  const mark = useCallback(
    (taskId: string) => setIds((old) => (old.includes(taskId) ? old.filter((id) => id !== taskId) : [...old, taskId])),
    [],
  );
  const clear = useCallback(() => setIds([]), []);
  return { marked, mark, clear };
}

/** The tasks that are marked, and handing all of them over in one line. */
export function MarkedTasks(props: {
  readonly tasks: readonly TaskRow[];
  readonly onHand: (toId: string, note: string, due: DueView | null) => Promise<boolean>;
  readonly onClear: () => void;
}) {
  const { tasks } = props;
  const { team, zone, figures } = useHouse();
  const { now, today, calendar } = useToday();
  const [isHanding, setHanding] = useState(false);
  const [line, setLine] = useDraft("hand over many");
  const ids = tasks.map((task) => task.id).join(",");
  const { data: quiet } = useQuery({
    queryKey: ["hears not", ids],
    queryFn: () => ask<{ taskId: string; personId: string }[]>(`/api/hears-not?tasks=${ids}`),
    enabled: isHanding && ids !== "",
  });
  const quietOf = (taskId: string) => (quiet ?? []).flatMap((one) => (one.taskId === taskId ? [one.personId] : []));
  if (tasks.length === 0) return null;
  const read = readHandOver(line, team, now, calendar, figures);
  const named = read.to.flatMap((one) => team.find((person) => person.id === one.personId) ?? []);
  const [to] = named;
  const note = read.note?.text ?? "";
  const isReady = named.length === 1 && read.unsure.length === 0;
  const hand = async () => {
    if (!isReady || !to) return;
    const due = read.due ? { day: read.due.day, time: read.due.time, zone } : null;
    if (await props.onHand(to.id, note, due)) {
      setLine("");
      setHanding(false);
      props.onClear();
    }
  };
  return (
    <section aria-label="Marked tasks" className="flex-none border-b border-hairline">
      <div className="flex flex-wrap items-center gap-3 bg-act-wash px-4 py-1.5 text-[13px]">
        <span className="min-w-0 flex-1 truncate">
          <b>
            {tasks.length} task{tasks.length === 1 ? "" : "s"} marked
          </b>{" "}
          <span className="text-soft">{tasks.map((task) => task.reference).join(", ")}</span>
        </span>
        {!isHanding && (
          <button type="button" className="btn is-small" onClick={() => setHanding(true)}>
            Hand them over
          </button>
        )}
        <button type="button" className="btn is-small is-line" onClick={props.onClear}>
          Unmark all
        </button>
      </div>
      {isHanding && (
        <>
          <LineField
            label="Hand them over to whom, by when, with what note"
            placeholder="suki friday. All of the yard."
            line={line}
            onLine={setLine}
            does={to && isReady ? `Hand over to ${firstNameOf(to.name)}` : "Hand over"}
            isReady={isReady}
            onDo={() => void hand()}
            onClose={() => setHanding(false)}
            columns="1fr 1fr 1.4fr"
            glossed={[
              [
                "owner",
                named.length > 1
                  ? "one at a time"
                  : (to?.name ?? (read.unsure.length > 0 ? "which of them?" : "a name first")),
              ],
              [
                "due",
                read.due
                  ? `${sayDay(read.due.day, today)}, ${sayDistance(read.due.day, today, calendar)}`
                  : "each as it is",
              ],
              ["note", note || "no note"],
            ]}
          />
          <div className="grid grid-cols-2 gap-6 px-4 pb-3 max-md:grid-cols-1">
            <div>
              <Loads
                read={read}
                due={read.due?.day ?? null}
                onPick={(person) => setLine(`${person.name}${read.to[0] ? line.slice(read.to[0].end) : " "}`)}
              />
            </div>
            <div>
              <h3 className="mt-2 text-[13px]">Who hears of it</h3>
              <WillHear
                tasks={tasks.map((task) => ({ ...task, quiet: quietOf(task.id) }))}
                toIds={to ? [to.id] : []}
                note={note}
              />
            </div>
          </div>
        </>
      )}
    </section>
  );
}
