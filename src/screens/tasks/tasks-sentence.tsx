"use client";

import { useState } from "react";
import { useHouse } from "../parts/house";
import { AnyProjectWord } from "../words/any-project-word";
import { PickWord } from "../words/pick-word";
import type { Look } from "./tasks-data";

const WHOSE: Readonly<Record<Look["whose"], string>> = {
  everyone: "Everyone’s tasks",
  mine: "My tasks",
  "to me": "What was given to me",
  "by me": "What I gave to others",
  nobody: "Nobody’s tasks",
  theirs: "What others owe us",
};
const SHOW: Readonly<Record<Look["show"], string>> = {
  open: "without the done ones",
  done: "only those finished",
  "put by": "only those put by",
};

/** What the list shows, in one sentence whose words can be changed. */
export function TasksSentence({
  look,
  outsider,
  onLook,
}: {
  look: Look;
  outsider: string | null;
  onLook: (look: Look) => void;
}) {
  const { team } = useHouse();
  const personName = team.find((person) => person.id === look.personId)?.name ?? outsider;
  const [open, setOpen] = useState<"whose" | "project" | "show" | null>(null);
  const word = (name: "whose" | "project" | "show") => ({
    isOpen: open === name,
    onOpen: (isOpen: boolean) => setOpen(isOpen ? name : null),
  });
  return (
    <p className="min-w-0 text-[14.5px] font-medium">
      <b>
        <PickWord
          label="Whose"
          shown={look.personId ? `${personName ?? "Somebody"}’s tasks` : WHOSE[look.whose]}
          picks={() => [
            ...Object.entries(WHOSE).map(([id, name]) => ({
              id,
              value: { whose: id as Look["whose"], personId: null as string | null },
              name,
              matches: [name],
            })),
            ...team.map((person) => ({
              id: person.id,
              value: { whose: "everyone" as Look["whose"], personId: person.id as string | null },
              name: `${person.name}’s tasks`,
              matches: [person.name, ...person.nicknames],
            })),
          ]}
          {...word("whose")}
          onPick={(whose) => onLook({ ...look, ...whose })}
          width={150}
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
          label="Which"
          shown={SHOW[look.show]}
          picks={() =>
            Object.entries(SHOW).map(([id, name]) => ({ id, value: id as Look["show"], name, matches: [name] }))
          }
          {...word("show")}
          onPick={(show) => onLook({ ...look, show })}
          width={170}
        />
      </b>
      , by{" "}
      {look.show === "done"
        ? "the day they were finished"
        : look.whose === "by me" && look.show === "open"
          ? "person"
          : "due date"}
    </p>
  );
}
