"use client";

import { type CSSProperties, type ReactNode, type RefObject, useEffect, useRef, useState } from "react";
import { createPortal } from "react-dom";
import { readTypedDate } from "../../core/time/dates-in-words";
import type { Moment } from "../../core/time/moment";
import { sayDay, sayDistance } from "../../core/time/say-day";
import type { DueView } from "../../core/views/views";
import { useHouse, useToday } from "../parts/house";

/** A title shown as text; opened, it is a field. What was typed stays in the field until it is saved or given up. */
export function TitleWord(props: {
  title: string;
  isOpen: boolean;
  onOpen: (isOpen: boolean) => void;
  onSave: (title: string) => Promise<boolean>;
  className?: string;
}) {
  if (!props.isOpen) {
    return (
      <button
        type="button"
        className={`block text-left w-full [overflow-wrap:anywhere] ${props.className ?? ""}`}
        onClick={() => props.onOpen(true)}
        title="Change the title"
      >
        {props.title}
      </button>
    );
  }
  return <TitleField {...props} />;
}

function TitleField(props: {
  title: string;
  onOpen: (isOpen: boolean) => void;
  onSave: (title: string) => Promise<boolean>;
  className?: string;
}) {
  const [typed, setTyped] = useState(props.title);
  const save = async () => {
    if (typed.trim() === props.title || (await props.onSave(typed))) props.onOpen(false);
  };
  return (
    <input
      autoFocus
      aria-label="Title"
      className={`word-input w-full ${props.className ?? ""}`}
      value={typed}
      onChange={(event) => setTyped(event.target.value)}
      onBlur={() => void save()}
      onKeyDown={(event) => {
        if (event.key === "Enter") void save();
        if (event.key === "Escape") {
          event.stopPropagation();
          setTyped(props.title);
          props.onOpen(false);
        }
      }}
    />
  );
}

/** How a due day is said: "Wed 25 Nov" and its distance. */
export function DueText({ due }: { due: DueView }) {
  const { today, calendar } = useToday();
  return (
    <>
      {sayDay(due.day, today)}
      {due.time ? `, ${due.time}` : ""}
      <span className="sr-only">, {sayDistance(due.day, today, calendar)}</span>
    </>
  );
}

/** A due date shown with its weekday; opened, it is a field whose words are read as one types ("fri", "in two weeks", "3 dec 14:00"). */
export function DueWord(props: {
  readonly due: DueView | null;
  readonly others?: readonly string[];
  readonly isOpen: boolean;
  readonly onOpen: (isOpen: boolean) => void;
  readonly onSave: (due: DueView | null) => Promise<boolean>;
  readonly isQuiet?: boolean;
}) {
  if (!props.isOpen) {
    return (
      <button
        type="button"
        className={`word ${props.due ? "" : "is-missing"} ${props.isQuiet ? "is-quiet" : ""}`}
        onClick={() => props.onOpen(true)}
        title="Change the due date"
      >
        <span className="sr-only">Due: </span>
        {props.due ? <DueText due={props.due} /> : "no date"}
      </button>
    );
  }
  return <DueField {...props} />;
}

function DueField(props: {
  due: DueView | null;
  others?: readonly string[];
  onOpen: (isOpen: boolean) => void;
  onSave: (due: DueView | null) => Promise<boolean>;
}) {
  const house = useHouse();
  const { now, today, calendar } = useToday();
  const field = useRef<HTMLInputElement>(null);
  const [typed, setTyped] = useState("");
  const [isTouched, setTouched] = useState(false);
  const read = readDue(typed, now, house);
  const others = [...new Set([...(props.due ? [props.due.day] : []), ...(props.others ?? [])])];
  const save = async (due: DueView | null) => {
    if (await props.onSave(due)) props.onOpen(false);
  };
  return (
    <span className="inline-block">
      <input
        ref={field}
        autoFocus
        aria-label="Due"
        aria-invalid={isTouched && read.kind === "unclear"}
        aria-describedby="due-gloss"
        className="word-input w-[150px]"
        placeholder={props.due ? sayDay(props.due.day, today) : "fri, in two weeks, 3 dec 14:00"}
        autoComplete="off"
        value={typed}
        onChange={(event) => {
          setTyped(event.target.value);
          setTouched(true);
        }}
        onBlur={() => {
          if (typed.trim() === "") props.onOpen(false);
        }}
        onKeyDown={(event) => {
          if (event.key === "Escape") {
            event.stopPropagation();
            props.onOpen(false);
          }
          if (event.key !== "Enter") return;
          if (typed.trim() === "") props.onOpen(false);
          else if (read.kind !== "unclear")
            void save(read.kind === "none" ? null : { day: read.date.day, time: read.date.time, zone: house.zone });
        }}
      />
      <Beside field={field}>
        {typed.trim() === "" ? (
          <>
            {others.length > 1 && <span className="block px-2 pt-1 text-soft">The words could also mean:</span>}
            {others.length > 1 &&
              others.map((day) => (
                <button
                  key={day}
                  type="button"
                  className="gloss-row"
                  onMouseDown={(event) => event.preventDefault()}
                  onClick={() => void save({ day, time: null, zone: house.zone })}
                >
                  <b>{sayDay(day, today)}</b> <span className="text-soft">{sayDistance(day, today, calendar)}</span>
                </button>
              ))}
            <span className="block px-2 py-1 text-soft">Type “fri”, “in two weeks”, “3 dec 14:00”, or “none”.</span>
          </>
        ) : read.kind === "unclear" ? (
          <span className="block px-2 py-1 text-late">{read.why}</span>
        ) : read.kind === "none" ? (
          <span className="block px-2 py-1">no date: nobody would be reminded</span>
        ) : (
          <span className="block px-2 py-1">
            <b>{sayDay(read.date.day, today)}</b>
            {read.date.time ? `, ${read.date.time}` : ""},{" "}
            <span className="text-soft">{sayDistance(read.date.day, today, calendar)}</span>
          </span>
        )}
      </Beside>
    </span>
  );
}

/** Room that the gloss of a field may need below it; where there is less, it stands above. */
const GLOSS_HEIGHT = 170;
const GLOSS_WIDTH = 330;

/** How a field's words are understood, beside the field and above everything else, so that no list cuts it off. */
function Beside({ field, children }: { field: RefObject<HTMLInputElement | null>; children: ReactNode }) {
  const [place, setPlace] = useState<CSSProperties | null>(null);
  useEffect(() => {
    const measure = () => {
      const box = field.current?.getBoundingClientRect();
      if (!box) return;
      const left = Math.max(8, Math.min(box.left, window.innerWidth - GLOSS_WIDTH - 8));
      const isBelow = box.bottom + GLOSS_HEIGHT < window.innerHeight;
      setPlace({ left, ...(isBelow ? { top: box.bottom + 4 } : { bottom: window.innerHeight - box.top + 4 }) });
    };
    measure();
    window.addEventListener("scroll", measure, true);
    window.addEventListener("resize", measure);
    return () => {
      window.removeEventListener("scroll", measure, true);
      window.removeEventListener("resize", measure);
    };
  }, [field]);
  return createPortal(
    <span
      id="due-gloss"
      role="status"
      className="gloss fixed block w-max whitespace-normal text-[13px] font-medium"
      style={place ?? { visibility: "hidden" }}
    >
      {children}
    </span>,
    document.body,
  );
}

function readDue(
  typed: string,
  now: Moment,
  house: { workingDays: readonly number[]; holidays: readonly string[]; figures: "dmy" | "mdy" },
) {
  return readTypedDate(typed, now, house, house.figures);
}
