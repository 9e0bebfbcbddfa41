"use client";

import { useQuery } from "@tanstack/react-query";
import { useId } from "react";
import { giversIn } from "../../core/tasks/chain";
import { type LinePiece, type ReadHandOver, readHandOver } from "../../core/tasks/read-hand-over";
import { sayDay, sayDistance } from "../../core/time/say-day";
import type { DueView, LoadView, PersonView, TaskRow } from "../../core/views/views";
import { ask } from "../parts/client";
import { useHouse, useToday } from "../parts/house";
import { PersonLabel } from "../parts/marks";
import { useDraft } from "../parts/use-draft";

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

function loadWords(load: LoadView | undefined, dayWords: string | null): string {
  if (!load) return "…";
  const late = load.late > 0 ? `, ${load.late} late` : "";
  return dayWords ? `${load.dueBy} due up to ${dayWords}${late}, ${load.all} in all` : `${load.all} open${late}`;
}

/** What each of those who may get it has on hand; the ones that are named stand first and lit. */
function Loads({
  read,
  due,
  onPick,
}: {
  read: ReadHandOver;
  due: string | null;
  onPick: (person: PersonView) => void;
}) {
  const { team, me } = useHouse();
  const { today } = useToday();
  const by = due ?? today;
  const { data } = useQuery({ queryKey: ["load", by], queryFn: () => ask<LoadView[]>(`/api/load?by=${by}`) });
  const loadOf = (id: string) => data?.find((one) => one.personId === id);
  const named = read.to.map((one) => one.personId);
  const asked = read.unsure.length > 0 ? read.unsure : named;
  const others = team
    .filter((person) => !asked.includes(person.id) && person.id !== me.id)
    .sort((a, b) => (loadOf(a.id)?.dueBy ?? 0) - (loadOf(b.id)?.dueBy ?? 0));
  const first = asked.flatMap((id) => team.find((person) => person.id === id) ?? []);
  return (
    <ul className="mt-1">
      {[...first, ...others].slice(0, Math.max(4, first.length)).map((person) => (
        <li key={person.id}>
          <button
            type="button"
            className={`flex w-full items-center gap-2 border-b border-hairline px-1 py-1 text-left text-[13px] ${named.includes(person.id) ? "bg-act-wash" : "hover:bg-wash"}`}
            onClick={() => onPick(person)}
          >
            <PersonLabel initials={person.initials} name={person.name} isTeam size="small" />
            <b>{person.name}</b>
            <span className="ml-auto text-[12px] text-soft">
              {loadWords(loadOf(person.id), due ? sayDay(due, today) : null)}
            </span>
          </button>
        </li>
      ))}
    </ul>
  );
}

/** Who will hear of the hand-over before it happens, and why. */
function WillHear({ task, to }: { task: TaskRow; to: readonly PersonView[] }) {
  const { team, me } = useHouse();
  const nameOf = (id: string) => team.find((person) => person.id === id)?.name ?? "somebody";
  const rows: { name: string; why: string; when: string; arcs: number }[] = to.map((person) => ({
    name: person.name,
    why: "will own it",
    when: "at once",
    arcs: 3,
  }));
  if (task.owner && task.owner.id !== me.id && !to.some((person) => person.id === task.owner?.id))
    rows.push({ name: task.owner.name, why: "has it now", when: "at once: it is taken away", arcs: 3 });
  for (const id of new Set(giversIn({ ownerId: null, chain: task.chain })))
    if (id !== me.id && !to.some((person) => person.id === id) && id !== task.owner?.id)
      rows.push({ name: nameOf(id), why: "handed it over", when: "with the digest", arcs: 1 });
  return (
    <ul className="mt-1 text-[13px]">
      {rows.map((row) => (
        <li key={row.name} className="flex items-center gap-2 px-1 py-[3px]">
          <Loud arcs={row.arcs} />
          <b>{row.name}</b> <span className="text-soft">{row.why}</span>
          <span className="ml-auto text-[12px] text-soft">{row.when}</span>
        </li>
      ))}
      <li className="flex items-center gap-2 px-1 py-[3px]">
        <Loud arcs={1} />
        <b>You</b> <span className="text-soft">hand it over</span>
        <span className="ml-auto text-[12px] text-soft">the answer, and when it is done</span>
      </li>
    </ul>
  );
}

/** How loudly somebody hears: three arcs at once, one later, a ring not at all. */
export function Loud({ arcs }: { arcs: number }) {
  return (
    <svg width="20" height="14" viewBox="0 0 20 14" className="flex-none" aria-hidden="true">
      {arcs === 0 ? (
        <circle cx="5" cy="7" r="3" fill="none" stroke="var(--tie)" strokeWidth="1.5" />
      ) : (
        <circle cx="5" cy="7" r="3" fill={arcs > 1 ? "var(--act)" : "var(--rim)"} />
      )}
      {Array.from({ length: arcs }, (_, i) => (
        <path
          key={arcs * 10 + i}
          d={`M${9 + i * 3.4} ${4 - i * 1.1}a${4 + i * 1.6} ${4 + i * 1.6} 0 0 1 0 ${6 + i * 2.2}`}
          fill="none"
          stroke={arcs > 1 ? "var(--act)" : "var(--rim)"}
          strokeWidth="1.5"
        />
      ))}
    </svg>
  );
}

/** Handing a task over: one typed line, below it how it was understood, who has room, and who will hear. */
export function HandOver(props: {
  readonly task: TaskRow;
  readonly onHand: (to: HandingOver) => Promise<boolean>;
  readonly onClose: () => void;
}) {
  const { task } = props;
  const house = useHouse();
  const { now, today, calendar } = useToday();
  const [line, setLine] = useDraft(`hand over ${task.id}`);
  const id = useId();
  const read = readHandOver(line, house.team, now, calendar, house.figures);
  const to = read.to.flatMap((one) => house.team.find((person) => person.id === one.personId) ?? []);
  const due = read.due?.day ?? task.due?.day ?? null;
  const isReady = to.length > 0 && read.unsure.length === 0;
  const pieces = [...read.to, ...(read.due ? [read.due] : []), ...(read.note ? [read.note] : [])];
  const hand = async () => {
    if (!isReady) return;
    const done = await props.onHand({
      toIds: to.map((person) => person.id),
      note: read.note?.text ?? "",
      ...(read.due ? { due: { day: read.due.day, time: read.due.time, zone: house.zone } } : {}),
    });
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
  const glossed: [string, string, string][] = [
    [
      "owner",
      to.map((person) => person.name).join(" and ") || (read.unsure.length > 0 ? "which of them?" : "a name first"),
      to.length > 1 ? "a task each, that know of each other" : "",
    ],
    [
      "due",
      due ? `${sayDay(due, today)}${read.due?.time ? `, ${read.due.time}` : ""}` : "no date",
      due ? `${sayDistance(due, today, calendar)}${read.due ? "" : ", as it is"}` : "nobody is reminded",
    ],
    ["note", read.note?.text ?? "no note", read.note ? "stays inside" : ""],
  ];
  return (
    <section className="mx-[18px] mt-3 rounded-[13px] border border-act p-3" aria-label="Hand over">
      <input
        id={id}
        autoFocus
        className="field w-full !text-[15px] font-semibold"
        aria-label="Hand over to whom, by when, with what note"
        placeholder="suki wednesday noon. Only sheet 3 changed."
        value={line}
        onChange={(event) => setLine(event.target.value)}
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
            <dd className="truncate text-[13px] font-semibold" title={value}>
              {value}
            </dd>
            <dd className="truncate text-soft">{more}</dd>
          </div>
        ))}
      </dl>
      <h3 className="mt-2 text-[13px]">On their hands</h3>
      <Loads read={read} due={due} onPick={pick} />
      <h3 className="mt-2 text-[13px]">Who hears of it</h3>
      <WillHear task={task} to={to} />
      <div className="mt-2 flex items-center gap-2">
        <button type="button" className="btn is-small" onClick={() => void hand()} disabled={!isReady}>
          {to.length > 0 ? `Hand over to ${to.map((person) => person.name.split(" ")[0]).join(" and ")}` : "Hand over"}
        </button>
        <button type="button" className="btn is-small is-line" onClick={props.onClose}>
          Leave it
        </button>
      </div>
    </section>
  );
}
