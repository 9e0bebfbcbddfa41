"use client";

import { readPutBy } from "../../core/tasks/read-put-by";
import { dayOf } from "../../core/time/moment";
import { sayDistance, sayMomentFully } from "../../core/time/say-day";
import { AskedLine } from "./asked-line";
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
  const isReady = (read.kind === "shelf" && !isMoment) || (read.kind === "until" && !isPast);
  return (
    <AskedLine
      name={props.label ?? "Put by"}
      label={props.label ?? "Put by until when"}
      placeholder="thursday"
      line={line}
      onLine={setLine}
      does={props.does ?? "Put by"}
      isReady={isReady}
      onDo={() => void put(read.kind === "until" ? read.at : null)}
      onClose={props.onClose}
      more={
        !isMoment && (
          <button type="button" className="btn is-small is-line" onClick={() => void put(null)}>
            On the shelf
          </button>
        )
      }
      words={words}
    />
  );
}
