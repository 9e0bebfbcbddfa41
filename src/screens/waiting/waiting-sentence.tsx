"use client";

import { useState } from "react";
import { useHouse } from "../parts/house";
import { AnyProjectWord } from "../words/any-project-word";
import { type Pick, PickWord } from "../words/pick-word";
import type { WaitingLook } from "./waiting-data";

const FROM: Readonly<Record<WaitingLook["from"], string>> = {
  anybody: "anybody",
  outside: "people outside",
  "the team": "the team",
};
const ORDER: Readonly<Record<WaitingLook["order"], string>> = {
  silence: "longest silence first",
  person: "by person",
  project: "by project",
};

/** What Waiting shows, in one sentence whose words can be changed. */
export function WaitingSentence(props: {
  readonly look: WaitingLook;
  /** People outside, who owe us something first, to look at one of them alone. */
  readonly outside: readonly { readonly id: string; readonly name: string }[];
  readonly onLook: (look: WaitingLook) => void;
}) {
  const { look, onLook } = props;
  const { team, me } = useHouse();
  const nameFor = (id: string | null) =>
    id === null ? "all of us" : id === me.id ? "me" : (team.find((one) => one.id === id)?.name ?? "somebody");
  const [open, setOpen] = useState<"from" | "project" | "order" | "whom" | null>(null);
  const word = (name: typeof open) => ({
    isOpen: open === name,
    onOpen: (isOpen: boolean) => setOpen(isOpen ? name : null),
  });
  const everybody = [...props.outside, ...team];
  const person = everybody.find((one) => one.id === look.personId);
  const froms: Pick<Partial<WaitingLook>>[] = [
    ...(["anybody", "outside", "the team"] as const).map((from) => ({
      id: from,
      value: { from, personId: null },
      name: FROM[from],
      matches: [FROM[from]],
    })),
    ...everybody.map((one) => ({
      id: one.id,
      value: { from: "anybody" as const, personId: one.id },
      name: one.name,
      matches: [one.name],
    })),
  ];
  return (
    <p className="min-w-0 text-[14px] font-medium">
      From{" "}
      <b>
        <PickWord
          label="From whom"
          shown={person?.name ?? (look.personId ? "one person" : FROM[look.from])}
          picks={() => froms}
          {...word("from")}
          onPick={(to) => onLook({ ...look, ...to })}
        />
      </b>{" "}
      for{" "}
      <b>
        <PickWord
          label="For whom"
          shown={nameFor(look.forId)}
          picks={() =>
            [null, me.id, ...team.filter((one) => one.id !== me.id).map((one) => one.id)].map((forId) => {
              const name = nameFor(forId);
              return { id: forId ?? "all", value: forId, name, matches: [name] };
            })
          }
          {...word("whom")}
          onPick={(forId) => onLook({ ...look, forId })}
          width={130}
        />
      </b>{" "}
      in{" "}
      <b>
        <AnyProjectWord
          projectId={look.projectId}
          {...word("project")}
          onPick={(projectId) => onLook({ ...look, projectId })}
        />
      </b>
      ,{" "}
      <b>
        <PickWord
          label="In which order"
          shown={ORDER[look.order]}
          picks={() =>
            (["silence", "person", "project"] as const).map((order) => ({
              id: order,
              value: order,
              name: ORDER[order],
              matches: [ORDER[order]],
            }))
          }
          {...word("order")}
          onPick={(order) => onLook({ ...look, order })}
          width={150}
        />
      </b>
    </p>
  );
}
