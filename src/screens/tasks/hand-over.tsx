"use client";

import { useQuery } from "@tanstack/react-query";
import { useId, useState } from "react";
import { firstNameOf } from "../../core/letters/first-name";
import { type LinePiece, readHandOver } from "../../core/tasks/read-hand-over";
import { sayDay, sayDistance } from "../../core/time/say-day";
import type { DueView, PersonView } from "../../core/views/views";
import { askLetter } from "../../core/waiting/ask-letter";
import { ask } from "../parts/client";
import { useHouse, useToday } from "../parts/house";
import { useDraft } from "../parts/use-draft";
import { type Handed, Loads, WillHear } from "./hand-over-shown";
import { OutsideLetter } from "./outside-letter";

/** What a hand-over needs to be done. */
export interface HandingOver {
  readonly toIds: readonly string[];
  readonly note: string;
  readonly due?: DueView;
}

/** The line with a bracket under each piece that was understood. */
function Gloss({ line, pieces }: { line: string; pieces: readonly LinePiece[] }) {
  const marks = [...pieces].sort((a, b) => a.start - b.start);
  const parts: React.ReactNode[] = [];
  let at = 0;
  for (const piece of marks) {
    parts.push(line.slice(at, piece.start));
    parts.push(
      <span key={piece.start} className="border-x border-b border-act pb-0.5">
        {line.slice(piece.start, piece.end)}
      </span>,
    );
    at = piece.end;
  }
  parts.push(line.slice(at));
  return (
    <p aria-hidden="true" className="mt-1 truncate whitespace-pre px-[10px] text-[12px] text-soft">
      {parts}
    </p>
  );
}

/** Somebody outside who can be named. */
interface Outsider {
  readonly id: string;
  readonly name: string;
  readonly address: string;
}

/** A letter that asks somebody outside for it, and the wait that stands for it then. */
export interface AskedOutside {
  readonly to: Outsider;
  readonly text: string;
  readonly due?: DueView;
}

/**
 * Handing a task over: one typed line, below it how it was understood, who has room, and who will hear. Where it names somebody
 * outside, a letter to them stands there instead.
 */
export function HandOver(props: {
  readonly task: Handed & { readonly title: string };
  readonly onHand: (to: HandingOver) => Promise<boolean>;
  /** Asks somebody outside by letter; null where that is not done from here. */
  readonly onAsk: ((asked: AskedOutside) => Promise<boolean>) | null;
  readonly onClose: () => void;
}) {
  const { task } = props;
  const house = useHouse();
  const { now, today, calendar } = useToday();
  const [line, setLine] = useDraft(`hand over ${task.id}`);
  const [letter, setLetter] = useState<string | null>(null);
  const id = useId();
  const { data: outside } = useQuery({
    queryKey: ["outside"],
    queryFn: () => ask<Outsider[]>("/api/outside"),
    enabled: props.onAsk !== null,
    staleTime: 300_000,
  });
  const known = props.onAsk === null ? [] : (outside ?? []);
  const read = readHandOver(line, [...house.team, ...known], now, calendar, house.figures);
  const to = read.to.flatMap((one) => house.team.find((person) => person.id === one.personId) ?? []);
  const outsiders = read.to.flatMap((one) => known.find((person) => person.id === one.personId) ?? []);
  const outsider = outsiders.length === 1 && to.length === 0 ? outsiders[0]! : null;
  const due = read.due?.day ?? task.due?.day ?? null;
  const isReady = (to.length > 0 && outsiders.length === 0 && read.unsure.length === 0) || outsider !== null;
  const pieces = [...read.to, ...(read.due ? [read.due] : []), ...(read.note ? [read.note] : [])];
  const newDue = read.due ? { due: { day: read.due.day, time: read.due.time, zone: house.zone } } : {};
  const proposed = outsider
    ? askLetter({ name: outsider.name, sender: house.me.name, title: task.title, due, note: read.note?.text ?? "" })
    : "";
  const hand = async () => {
    if (!isReady) return;
    const done =
      outsider && props.onAsk
        ? await props.onAsk({ to: outsider, text: letter ?? proposed, ...newDue })
        : await props.onHand({ toIds: to.map((person) => person.id), note: read.note?.text ?? "", ...newDue });
    if (done) {
      setLine("");
      props.onClose();
    }
  };
  // The name typed so far gives way to the one that is picked; the rest of the line stays.
  const pick = (person: PersonView) => {
    const rest = read.to.length > 0 ? line.slice(read.to.at(-1)!.end) : line.replace(/^\s*\S*/, "");
    setLine(`${person.name}${rest === "" ? " " : rest}`);
    document.getElementById(id)?.focus();
  };
  const names = [...to, ...outsiders].map((person) => person.name);
  const mixed = outsiders.length > 0 && !outsider;
  const glossed: [string, string, string][] = [
    [
      outsider ? "asked of" : "owner",
      mixed
        ? "the team, or one outside"
        : names.join(" and ") || (read.unsure.length > 0 ? "which of them?" : "a name first"),
      outsider ? "you wait for it" : to.length > 1 ? "a task each, that know of each other" : "",
    ],
    [
      "due",
      due ? `${sayDay(due, today)}${read.due?.time ? `, ${read.due.time}` : ""}` : "no date",
      due ? `${sayDistance(due, today, calendar)}${read.due ? "" : ", as it is"}` : "nobody is reminded",
    ],
    ["note", read.note?.text ?? "no note", read.note ? (outsider ? "goes into the letter" : "stays inside") : ""],
  ];
  const firsts = names.map(firstNameOf).join(" and ");
  return (
    <section className="rounded-[13px] border border-act bg-pan p-3" aria-label="Hand over">
      <input
        id={id}
        autoFocus
        className="field w-full !text-[15px] font-semibold"
        aria-label="Hand over to whom, by when, with what note"
        placeholder="suki wednesday noon. Only sheet 3 changed."
        value={line}
        onChange={(event) => {
          setLine(event.target.value);
          setLetter(null);
        }}
        onKeyDown={(event) => {
          if (event.key === "Enter") void hand();
          if (event.key === "Escape") {
            event.stopPropagation();
            props.onClose();
          }
        }}
      />
      <Gloss line={line} pieces={pieces} />
      <dl className="mt-1 grid grid-cols-3 gap-x-3 text-[12px]">
        {glossed.map(([name, value, more]) => (
          <div key={name} className="min-w-0 border-l border-act pl-2">
            <dt className="font-semibold text-act">{name}</dt>
            <dd className="line-clamp-2 text-[13px] font-semibold leading-[16px]" title={value}>
              {value}
            </dd>
            <dd className="text-soft">{more}</dd>
          </div>
        ))}
      </dl>
      {outsider ? (
        <OutsideLetter to={outsider} title={task.title} text={letter ?? proposed} onText={setLetter} />
      ) : (
        <>
          <Loads read={read} due={due} onPick={pick} />
          <h3 className="mt-2 text-[13px]">Who hears of it</h3>
          <WillHear tasks={[task]} toIds={to.map((person) => person.id)} note={read.note?.text ?? ""} />
        </>
      )}
      <div className="mt-2 flex items-center gap-2">
        <button type="button" className="btn is-small" onClick={() => void hand()} disabled={!isReady}>
          {outsider ? `Ask ${firsts}, and wait` : to.length > 0 ? `Hand over to ${firsts}` : "Hand over"}
        </button>
        <button type="button" className="btn is-small is-line" onClick={props.onClose}>
          Leave it
        </button>
      </div>
    </section>
  );
}
