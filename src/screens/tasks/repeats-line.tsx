"use client";

import { readRepeat } from "../../core/repeating/read-repeat";
import { nextDay } from "../../core/repeating/rule";
import { sayRepeat } from "../../core/repeating/say-repeat";
import { sayDay } from "../../core/time/say-day";
import type { TaskRow } from "../../core/views/views";
import { AskedLine } from "../parts/asked-line";
import { useHouse, useToday } from "../parts/house";
import { useDraft } from "../parts/use-draft";

/** Days of the series that are named before it is kept. */
const DAYS_AHEAD = 3;

/** How a task repeats, typed in words; below them how they were understood, with the next days. */
export function RepeatsLine(props: {
  readonly task: TaskRow;
  readonly onRepeat: (rule: string | null) => Promise<boolean>;
  readonly onClose: () => void;
}) {
  const { task } = props;
  const { figures } = useHouse();
  const { now, today, calendar } = useToday();
  const [line, setLine] = useDraft(`repeat ${task.id}`);
  const read = line.trim() === "" ? null : readRepeat(line, now, calendar, figures);
  const from = task.due?.day ?? today;
  const days: string[] = [];
  if (read?.ok)
    for (
      let day = nextDay(read.rule, from, from);
      day !== null && days.length < DAYS_AHEAD;
      day = nextDay(read.rule, from, day)
    )
      days.push(day);
  const save = async (rule: string | null) => {
    if (await props.onRepeat(rule)) {
      setLine("");
      props.onClose();
    }
  };
  const words =
    read === null
      ? "“every first Monday”, “every other Friday until March”, “two weeks after done”."
      : !read.ok
        ? read.why
        : read.rule.startsWith("AFTER")
          ? `${sayRepeat(read.rule)}: the next one is made when this one is finished.`
          : `${sayRepeat(read.rule)}: next ${days.map((day) => sayDay(day, today)).join(", ")}. Each is made when the one before is finished.`;
  return (
    <AskedLine
      name="Repeats"
      label="How it repeats"
      placeholder="every first Monday"
      line={line}
      onLine={setLine}
      does="Repeat"
      isReady={read?.ok === true}
      onDo={() => read?.ok && void save(read.rule)}
      onClose={props.onClose}
      more={
        task.repeats !== null && (
          <button type="button" className="btn is-small is-line" onClick={() => void save(null)}>
            Not any more
          </button>
        )
      }
      words={words}
    />
  );
}
