"use client";

import { readLine } from "../../core/tasks/read-line";
import { sayDuration } from "../../core/time/duration";
import { sayDay, sayDistance } from "../../core/time/say-day";
import { useHouse, useToday } from "../parts/house";
import { LineField } from "../parts/line-field";
import { PRIORITY_NAMES } from "../parts/marks";
import { useDraft } from "../parts/use-draft";
import type { Look } from "./tasks-data";

/** A new task from one plain line; below it, how its words were understood. */
export function NewTask({
  look,
  onMake,
  onClose,
}: {
  look: Look;
  onMake: (input: unknown) => Promise<boolean>;
  onClose: () => void;
}) {
  const house = useHouse();
  const { now, today, calendar } = useToday();
  const [line, setLine] = useDraft("new task");
  const read = readLine(line, house.team, house.projects, now, calendar, house.figures);
  const ownerId =
    read.ownerId ??
    (look.whose === "mine" ? house.me.id : (house.team.find((person) => person.id === look.personId)?.id ?? null));
  const owner = house.team.find((person) => person.id === ownerId);
  const projectId = read.projectId ?? look.projectId;
  const project = house.projects.find((one) => one.id === projectId);
  const make = async () => {
    if (line.trim() === "") return onClose();
    const isMade = await onMake({
      title: read.title,
      ownerId,
      due: read.due ? { ...read.due, zone: house.zone } : null,
      priority: read.priority,
      estimate: read.estimate,
      projectId,
      workstreamId: null,
    });
    if (isMade) setLine("");
  };
  return (
    <LineField
      label="A new task, in one line"
      placeholder="Price for cedar, for Kofi by Wednesday, high"
      line={line}
      onLine={setLine}
      does="Make it"
      isReady={line.trim() !== ""}
      onDo={() => void make()}
      onClose={onClose}
      columns={`minmax(0,2fr) 1fr 1fr auto auto${read.estimate === null ? "" : " auto"}`}
      glossed={[
        ["title", read.title || "what is to be done"],
        ["owner", owner ? (owner.id === house.me.id ? "you" : owner.name) : "nobody yet"],
        [
          "due",
          read.due
            ? `${sayDay(read.due.day, today)}${read.due.time ? `, ${read.due.time}` : ""}, ${sayDistance(read.due.day, today, calendar)}`
            : "no date: nobody would be reminded",
        ],
        ["priority", PRIORITY_NAMES[read.priority]],
        ["project", project?.name ?? "no project"],
        ...(read.estimate === null ? [] : [["takes", sayDuration(read.estimate)] as const]),
      ]}
    />
  );
}
