"use client";

import { useState } from "react";
import type { Why } from "../../core/hearing/heard";
import type { TaskSheet } from "../../core/views/views";
import { useHouse } from "../parts/house";
import { Loud } from "../parts/loud";
import { PickWord } from "../words/pick-word";

const LOUD_WORDS = { "at once": "at once", later: "with the digest", not: "not this one" } as const;
const LOUD_ARCS = { "at once": 3, later: 1, not: 0 } as const;

/** The reasons as they are said to oneself. */
const YOUR: Readonly<Partial<Record<Why, string>>> = {
  "owns it": "own it",
  "covers for": "cover for",
  "had it": "had it",
};

/** Who hears of the task, why and how loudly; anybody can be kept posted, and each can say that they do not want to hear. */
export function WhoHears({
  sheet,
  onPosted,
  onPostedAt,
}: {
  sheet: TaskSheet;
  onPosted: (personId: string, hears: boolean | null) => void;
  /** Kept posted on every task of its project or workstream. */
  onPostedAt: (place: { projectId: string; workstreamId: string | null }, personId: string, name: string) => void;
}) {
  const { me, team } = useHouse();
  const [isOpen, setOpen] = useState(false);
  const [isPlaceOpen, setPlaceOpen] = useState(false);
  const { task } = sheet;
  const places = [
    { projectId: task.projectId, workstreamId: null, name: task.project },
    { projectId: task.projectId, workstreamId: task.workstreamId, name: sheet.workstream },
  ].filter((place) => place.name !== null && place.projectId !== null);
  const nameOf = (id: string) => team.find((one) => one.id === id)?.name ?? "Somebody";
  const isMine = sheet.task.owner?.id === me.id;
  return (
    <div className="text-[13px]">
      <ul>
        {sheet.hears.map(({ personId, why, loudness, forId, at }) => {
          const name = personId === me.id ? "You" : nameOf(personId);
          return (
            <li key={personId} className="flex items-baseline gap-1.5 leading-[20px]">
              <span className="self-center">
                <Loud arcs={LOUD_ARCS[loudness]} />
              </span>
              <b className="flex-none">{name}</b>
              <span className="text-soft">
                {(personId === me.id && YOUR[why]) || why}
                {forId && ` ${nameOf(forId)}`}
                {at && ` on all of ${at}`}, {LOUD_WORDS[loudness]}
              </span>
              {why === "kept posted" && at === null && (
                <button
                  type="button"
                  className="word ml-auto text-[12px]"
                  aria-label={`No longer keep ${name} posted`}
                  onClick={() => onPosted(personId, null)}
                >
                  leave out
                </button>
              )}
              {personId === me.id && why === "handed it over" && (
                <button
                  type="button"
                  className="word ml-auto text-[12px]"
                  onClick={() => onPosted(personId, loudness === "not" ? null : false)}
                >
                  {loudness === "not" ? "hear again" : "not this one"}
                </button>
              )}
            </li>
          );
        })}
      </ul>
      {sheet.hears.length === 0 && <span className="text-late">Nobody hears of it. </span>}
      {isMine && sheet.hears.length === 1 && <span className="text-soft">Nobody else. </span>}
      <PickWord
        label="Keep posted"
        shown="keep somebody posted"
        isMissing
        isOpen={isOpen}
        onOpen={setOpen}
        picks={() =>
          team
            .filter((person) => !sheet.hears.some((one) => one.personId === person.id))
            .map((person) => ({
              id: person.id,
              value: person.id,
              name: person.id === me.id ? "you" : person.name,
              matches: [person.name, ...person.nicknames],
              note: person.work,
            }))
        }
        onPick={(personId) => onPosted(personId, true)}
      />
      {places.length > 0 && (
        <span className="text-soft">
          {", "}
          <PickWord
            label="Keep posted on more than this task"
            shown="or on the project"
            isQuiet
            isOpen={isPlaceOpen}
            onOpen={setPlaceOpen}
            width={190}
            picks={() =>
              places.flatMap(({ projectId, workstreamId, name }) =>
                team
                  .filter((person) => !sheet.hears.some((one) => one.personId === person.id && one.at === name))
                  .map((person) => ({
                    id: `${person.id} ${workstreamId}`,
                    value: { place: { projectId: projectId!, workstreamId }, personId: person.id, name: name! },
                    name: person.id === me.id ? "you" : person.name,
                    matches: [person.name, ...person.nicknames, ...(person.id === me.id ? ["you", "me"] : [])],
                    note: `on all of ${name}`,
                  })),
              )
            }
            onPick={({ place, personId, name }) => onPostedAt(place, personId, name)}
          />
        </span>
      )}
    </div>
  );
}
