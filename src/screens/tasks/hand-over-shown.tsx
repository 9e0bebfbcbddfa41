"use client";

import { useQuery } from "@tanstack/react-query";
import { coversHear } from "../../core/hearing/covering";
import type { Happening, Heard } from "../../core/hearing/heard";
import { willHear } from "../../core/hearing/will-hear";
import type { Chain } from "../../core/tasks/chain";
import type { ReadHandOver } from "../../core/tasks/read-hand-over";
import { sayDay } from "../../core/time/say-day";
import type { LoadView } from "../../core/views/notices-view";
import type { DueView, PersonView } from "../../core/views/views";
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
  readonly projectId: string | null;
  /** Those who do not want to hear of it. */
  readonly quiet: readonly string[];
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
    // Who is away comes last.
    .sort(
      (a, b) =>
        Number(a.away !== null) - Number(b.away !== null) || (loadOf(a.id)?.dueBy ?? 0) - (loadOf(b.id)?.dueBy ?? 0),
    );
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
              <b className="truncate">{person.name}</b>
              {person.away && (
                <span className="flex-none text-[12px] font-semibold text-near" title="Away until then">
                  back {sayDay(person.away.backDay, today)}
                </span>
              )}
              <span className="ml-auto flex-none text-[12px] text-soft">{loadWords(loadOf(person.id))}</span>
            </button>
          </li>
        ))}
      </ul>
    </>
  );
}

const WHAT: Readonly<Partial<Record<Happening, string>>> = {
  given: "will own it",
  "taken away": "has it now, and no longer then",
  named: "named in the note",
};

/** Who will hear of the hand-over before it happens, and why. */
export function WillHear(props: { tasks: readonly Handed[]; toIds: readonly string[]; note: string }) {
  const { team, me, projects } = useHouse();
  const told = props.tasks.flatMap((task): (Heard & { readonly forId?: string })[] => {
    const members = projects.find((project) => project.id === task.projectId)?.members ?? null;
    const heard = willHear({
      holding: { ownerId: task.owner?.id ?? null, chain: task.chain },
      actorId: me.id,
      toIds: props.toIds,
      note: props.note,
      quiet: task.quiet,
      mayHear: members === null ? team : team.filter((person) => members.includes(person.id)),
    });
    const covers = new Map(
      team.flatMap(({ id, away }) =>
        away?.coverId && (members === null || members.includes(away.coverId)) ? [[id, away.coverId] as const] : [],
      ),
    );
    return [...heard, ...coversHear(heard, covers, me.id)];
  });
  const nameOf = (id: string) => team.find((one) => one.id === id)?.name ?? "Somebody";
  const all = [...new Map(told.map((one) => [one.personId, one])).values()];
  return (
    <ul className="mt-1 text-[13px]">
      {all.map((one) => (
        <li key={one.personId} className="flex items-center gap-2 px-1 py-[3px]">
          <Loud arcs={one.loudness === "at once" ? 3 : 1} />
          <b>{nameOf(one.personId)}</b>{" "}
          <span className="text-soft">
            {one.forId ? `covers for ${nameOf(one.forId)}` : (WHAT[one.what] ?? one.why)}
          </span>
          <span className="ml-auto text-[12px] text-soft">
            {one.loudness === "at once" ? "at once" : "with the digest"}
          </span>
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
