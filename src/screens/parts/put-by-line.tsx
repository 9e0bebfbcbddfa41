"use client";

import { readPutBy } from "../../core/tasks/read-put-by";
import { dayOf } from "../../core/time/moment";
import { sayDistance, sayMomentFully } from "../../core/time/say-day";
import { useHouse, useToday } from "./house";
import { useDraft } from "./use-draft";

/** Until when something is put by, in one line: "thursday", "monday 14:00", "shelf"; below it how that was understood. */
export function PutByLine(props: {
  readonly about: string;
  /** What the line is for, where it does not put something by but only names a moment. */
  readonly label?: string;
  readonly does?: string;
  /** Puts it by until an instant; null: without a date. */
  readonly onPutBy: (until: number | null) => Promise<boolean>;
  readonly onClose: () => void;
}) {
  const isMoment = props.does !== undefined;
  const { figures } = useHouse();
  const { now, today, calendar } = useToday();
  const [line, setLine] = useDraft(`put by ${props.about}`);
  const read = readPutBy(line, now, calendar, figures);
  const isPast = read.kind === "until" && read.at <= now.at;
  const put = async (until: number | null) => {
    if (await props.onPutBy(until)) {
      setLine("");
      props.onClose();
    }
  };
  const words =
    line.trim() === ""
      ? `A day, a day and time, ${isMoment ? "or “in 2 hours”." : "“in 2 hours”, or “shelf” for no date."}`
      : read.kind === "shelf"
        ? "On the shelf, without a date."
        : read.kind === "until"
          ? `${isPast ? "That is past: " : isMoment ? "" : "Back "}${sayMomentFully(read.at, now.zone, now)}, ${sayDistance(dayOf({ at: read.at, zone: now.zone }), today, calendar)}${isPast || isMoment ? "" : ", or when somebody writes in it"}.`
          : "No day is named here.";
  return (
    <section className="rounded-[13px] border border-act bg-pan p-3" aria-label={props.label ?? "Put by"}>
      <div className="flex flex-wrap gap-2">
        <input
          autoFocus
          className="field min-w-0 flex-1 font-semibold"
          aria-label={props.label ?? "Put by until when"}
          placeholder="thursday"
          value={line}
          onChange={(event) => setLine(event.target.value)}
          onKeyDown={(event) => {
            if (event.key === "Enter") {
              if (read.kind === "shelf" && !isMoment) void put(null);
              else if (read.kind === "until" && !isPast) void put(read.at);
            }
            if (event.key === "Escape") {
              event.stopPropagation();
              props.onClose();
            }
          }}
        />
        <button
          type="button"
          className="btn is-small"
          disabled={read.kind === "not understood" || isPast || line.trim() === ""}
          onClick={() => void put(read.kind === "until" ? read.at : null)}
        >
          {props.does ?? "Put by"}
        </button>
        {!isMoment && (
          <button type="button" className="btn is-small is-line" onClick={() => void put(null)}>
            On the shelf
          </button>
        )}
      </div>
      <p className="mt-1.5 border-l border-act pl-2 text-[12.5px] text-soft">{words}</p>
    </section>
  );
}
