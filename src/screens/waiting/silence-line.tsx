"use client";

import { scaleLinear } from "d3-scale";
import { addDays, type Day, weekdayOf } from "../../core/time/day";
import { instantOf } from "../../core/time/moment";
import { sayDay, sayLateness } from "../../core/time/say-day";
import type { LineEvent, WaitRow } from "../../core/views/waiting-view";
import { useToday } from "../parts/house";
import { silenceWords } from "./next-words";

/** Per cent of the width at which today begins and ends: what was has more room than what comes. */
const TODAY = [49, 62] as const;

const DAYS_BEFORE = 14;
const DAYS_AFTER = 13;

/** Where an instant lies on the lines, in per cent of the width, and the Mondays that are marked. */
export function useLineScale(): { x: (at: number) => number; mondays: readonly Day[]; at: (day: Day) => number } {
  const { today, now } = useToday();
  const start = (day: Day) => instantOf(day, "00:00", now.zone);
  const first = addDays(today, -DAYS_BEFORE - (weekdayOf(today) - 1));
  const last = addDays(today, DAYS_AFTER);
  const scale = scaleLinear()
    .domain([start(first), start(today), start(addDays(today, 1)), start(last)])
    .range([1, TODAY[0], TODAY[1], 100])
    .clamp(true);
  const mondays = [];
  for (let day = first; day < last; day = addDays(day, 1)) if (weekdayOf(day) === 1 && day !== today) mondays.push(day);
  return { x: (at) => scale(at), mondays, at: (day) => scale(start(day)) };
}

/** The head of the lines: Mondays, and today. */
export function LineHead() {
  const { today } = useToday();
  const { mondays, at } = useLineScale();
  return (
    <div className="relative h-full text-[12px] text-soft">
      {mondays
        .filter((day) => Math.abs(at(day) - TODAY[0]) > 11 && at(day) < 84)
        .map((day) => (
          <span key={day} className="absolute top-[9px] whitespace-nowrap" style={{ left: `${at(day)}%` }}>
            {sayDay(day, today)}
          </span>
        ))}
      <span
        className="absolute inset-y-0 flex flex-col items-center justify-center whitespace-nowrap bg-near-wash leading-[14px]"
        style={{ left: `${TODAY[0]}%`, width: `${TODAY[1] - TODAY[0]}%` }}
      >
        <b className="font-head text-[13px] text-near">Today</b>
        <span className="text-[11px]">{sayDay(today, today)}</span>
      </span>
    </div>
  );
}

/** Where the line lies in its row, in pixels. */
const Y = 27;

/** Per cent of the width that the words of a date that is over need to its left. */
const ROOM_FOR_LABEL = 38;

/** One event on the line: filled dot we wrote, ring they wrote, open triangle a chase, tick taken on, arrow handed back. */
export function EventMark({ what }: { what: LineEvent["what"] }) {
  switch (what) {
    case "we wrote":
      return <circle r="4.6" fill="var(--rim)" />;
    case "they wrote":
      return <circle r="4.4" fill="var(--pan)" stroke="var(--theirs)" strokeWidth="2" />;
    case "chased":
      return <path d="M0 -6L6 5H-6Z" fill="var(--pan)" stroke="var(--rim)" strokeWidth="1.7" strokeLinejoin="round" />;
    case "rang":
      return <path d="M-5 -4.5H5V4.5H-5Z" fill="var(--pan)" stroke="var(--rim)" strokeWidth="1.7" />;
    case "taken on":
      return <path d="M-5 0L-1 5L7 -6" fill="none" stroke="var(--going)" strokeWidth="2.4" />;
    case "handed back":
      return <path d="M7 0H-5M0 -5L-5 0L0 5" fill="none" stroke="var(--act)" strokeWidth="1.9" />;
  }
}

const MARK_NAMES: Readonly<Record<LineEvent["what"], string>> = {
  "we wrote": "we wrote",
  "they wrote": "they wrote",
  chased: "chase",
  rang: "rang in vain",
  "taken on": "taken on",
  "handed back": "handed back",
};

/** The line of one wait through time: what was written, the silence, what is due or promised, and how far it is over. */
export function SilenceLine({ row }: { row: WaitRow }) {
  const { now, today } = useToday();
  const { x, mondays, at } = useLineScale();
  // Of what lies before the line begins only the last is drawn, at its edge.
  const before = row.events.findLastIndex((event) => x(event.at) <= 1);
  const events = before > 0 ? row.events.slice(before) : row.events;
  const nowX = TODAY[1] - 0.2;
  const begin = x(events[0]?.at ?? row.task.createdAt);
  const lastAt = Math.max(events.at(-1)?.at ?? row.task.createdAt, row.heardAt);
  const quietFrom = x(lastAt);
  const due = row.due?.day ?? null;
  const over = due ? sayLateness(due, today) : null;
  const dueX = due ? at(due) + (due === today ? TODAY[1] - TODAY[0] : 0) : 0;
  const says = silenceWords(row, now, today);
  const heavy = says.look === "long";
  const word = row.isPromise ? "promised" : row.isOutside ? "needed" : row.task.doubt ? "due, in doubt" : "due";
  const dueColour = over ? "var(--late)" : row.isPromise ? "var(--theirs)" : "var(--rim)";
  const isLeft = dueX > 84;
  const hasRoomLeft = dueX > ROOM_FOR_LABEL;
  const label = [
    says.words,
    due ? `${word} ${sayDay(due, today)}${over ? `, ${over}` : ""}` : "no date",
    ...events
      .slice(-5)
      .map((event) => `${MARK_NAMES[event.what]} ${sayDay(new Date(event.at).toISOString().slice(0, 10), today)}`),
  ].join("; ");
  const colours = { long: "var(--late)", plain: "var(--ink-soft)", going: "var(--going)", act: "var(--act)" };
  return (
    <svg className="h-full w-full overflow-visible" role="img" aria-label={label}>
      <rect x={`${TODAY[0]}%`} width={`${TODAY[1] - TODAY[0]}%`} y="0" height="100%" fill="var(--near-wash)" />
      {mondays.map((day) => (
        <line key={day} x1={`${at(day)}%`} x2={`${at(day)}%`} y1="0" y2="100%" stroke="var(--hairline)" />
      ))}
      <line x1={`${begin}%`} x2={`${quietFrom}%`} y1={Y} y2={Y} stroke="var(--rim)" strokeWidth="2" />
      <line
        x1={`${quietFrom}%`}
        x2={`${nowX}%`}
        y1={Y}
        y2={Y}
        stroke={heavy ? "var(--late)" : "var(--rim)"}
        strokeWidth={heavy ? 2.6 : 1.8}
        strokeDasharray="1.6 3.4"
      />
      {due && !over && dueX > nowX && (
        <line
          x1={`${nowX}%`}
          x2={`${dueX}%`}
          y1={Y}
          y2={Y}
          stroke="var(--tie)"
          strokeWidth="1"
          strokeDasharray="1.4 3"
        />
      )}
      {over && (
        <rect
          x={`${dueX}%`}
          width={`${Math.max(1, nowX - dueX)}%`}
          y={Y + 5}
          height="6"
          fill="url(#late-hatch)"
          stroke="var(--late)"
          strokeWidth="1"
        />
      )}
      {due && (
        <svg x={`${dueX}%`} y={Y - 9} overflow="visible">
          <title>{word}</title>
          <rect x="-1.2" width="2.6" height="19" fill={dueColour} />
          {row.isPromise && <rect x="3.2" width="2.6" height="19" fill={dueColour} />}
        </svg>
      )}
      {events.map((event) => (
        <svg key={`${event.at}${event.what}`} x={`${x(event.at)}%`} y={Y} overflow="visible">
          <title>{MARK_NAMES[event.what]}</title>
          <EventMark what={event.what} />
        </svg>
      ))}
      <text x={`${TODAY[0] - 1.6}%`} y="17" textAnchor="end" fill={colours[says.look]} fontSize="12" fontWeight="600">
        {says.words}
      </text>
      {due && over && (
        <text
          x={`${hasRoomLeft ? dueX - 1.6 : dueX}%`}
          y={hasRoomLeft ? 45 : 47.5}
          textAnchor={hasRoomLeft ? "end" : "start"}
          fill="var(--late)"
          fontSize={hasRoomLeft ? 12 : 11}
        >
          {word} {sayDay(due, today)}, {over}
        </text>
      )}
      {due && !over && (
        <svg x={`${dueX}%`} overflow="visible">
          <text x={isLeft ? -8 : 11} y="24" textAnchor={isLeft ? "end" : "start"} fill={dueColour} fontSize="12">
            {word}
          </text>
          <text x={isLeft ? -8 : 11} y="38" textAnchor={isLeft ? "end" : "start"} fill={dueColour} fontSize="12">
            {sayDay(due, today)}
          </text>
        </svg>
      )}
    </svg>
  );
}

/** What the marks mean. */
export function LineKey() {
  const marks: LineEvent["what"][] = ["we wrote", "they wrote", "chased", "rang", "taken on", "handed back"];
  return (
    <div className="flex h-9 flex-none items-center gap-3.5 overflow-hidden whitespace-nowrap border-t border-hairline px-4 text-[12px] text-soft max-md:hidden">
      {marks.map((what) => (
        <span key={what} className="flex items-center gap-1.5">
          <svg width="16" height="14" viewBox="-8 -7 16 14" aria-hidden="true">
            <EventMark what={what} />
          </svg>
          {MARK_NAMES[what]}
        </span>
      ))}
      <span className="flex items-center gap-1.5">
        <svg width="10" height="14" aria-hidden="true">
          <rect x="1" y="1" width="2.6" height="12" fill="var(--theirs)" />
          <rect x="5.6" y="1" width="2.6" height="12" fill="var(--theirs)" />
        </svg>
        promised
      </span>
      <span className="flex items-center gap-1.5">
        <svg width="26" height="8" aria-hidden="true">
          <line x1="0" x2="26" y1="4" y2="4" stroke="var(--late)" strokeWidth="2.6" strokeDasharray="1.6 3.4" />
        </svg>
        long silence
      </span>
      <span className="flex items-center gap-1.5">
        <svg width="22" height="8" aria-hidden="true">
          <defs>
            <pattern id="late-hatch" width="5" height="5" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
              <rect width="2.4" height="5" fill="var(--late)" />
            </pattern>
          </defs>
          <rect x=".5" y="1" width="20" height="6" fill="url(#late-hatch)" stroke="var(--late)" />
        </svg>
        over
      </span>
    </div>
  );
}
