"use client";

import { useQuery } from "@tanstack/react-query";
import { type Chain, giversIn } from "../../core/tasks/chain";
import type { ReadHandOver } from "../../core/tasks/read-hand-over";
import { sayDay } from "../../core/time/say-day";
import type { DueView, LoadView, PersonView } from "../../core/views/views";
import { ask } from "../parts/client";
import { useHouse, useToday } from "../parts/house";
import { Loud } from "../parts/loud";
import { PersonLabel } from "../parts/marks";

/** What is handed over: a task, or a slip that becomes one. */
export interface Handed {
  readonly id: string;
  readonly due: DueView | null;
  readonly owner: PersonView | null;
  readonly chain: Chain;
}

function loadWords(load: LoadView | undefined): string {
  if (!load) return "…";
  return `${load.dueBy} due${load.late > 0 ? `, ${load.late} late` : ""} · ${load.all} in all`;
}

/** What each of those who may get it has on hand; the ones that are named stand first and lit. */
export function Loads({
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
    <>
      <h3 className="mt-2 text-[13px]">
        On their hands{" "}
        <span className="text-[12px] font-medium text-soft" style={{ fontFamily: "var(--font-ui)" }}>
          up to {sayDay(by, today)}
        </span>
      </h3>
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
              <span className="ml-auto text-[12px] text-soft">{loadWords(loadOf(person.id))}</span>
            </button>
          </li>
        ))}
      </ul>
    </>
  );
}

/** Who will hear of the hand-over before it happens, and why. */
export function WillHear({ task, to }: { task: Handed; to: readonly PersonView[] }) {
  const { team, me } = useHouse();
  const nameOf = (id: string) => team.find((person) => person.id === id)?.name ?? "somebody";
  const rows: { name: string; why: string; when: string; arcs: number }[] = to.map((person) => ({
    name: person.name,
    why: "will own it",
    when: "at once",
    arcs: 3,
  }));
  if (task.owner && task.owner.id !== me.id && !to.some((person) => person.id === task.owner?.id))
    rows.push({ name: task.owner.name, why: "has it now", when: "at once: taken away", arcs: 3 });
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
        <span className="ml-auto text-[12px] text-soft">the answer, and the end</span>
      </li>
    </ul>
  );
}
