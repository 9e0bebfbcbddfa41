"use client";

import type { ReactNode } from "react";
import { PRIORITIES, type Priority, SLIP_KINDS, type SlipKind } from "../../core/reading/slip";
import { TASK_STATES, type TaskState } from "../../core/tasks/task";
import type { CorrespondentView, PersonView } from "../../core/views/views";
import { useHouse } from "../parts/house";
import { KIND_COLOURS, KIND_NAMES, PersonLabel, PRIORITY_NAMES, PriorityRule, StateSign } from "../parts/marks";
import { type Pick, PickWord } from "./pick-word";

/** The owner that a pick stands for. */
export type OwnerPick = { side: "ours"; personId: string | null } | { side: "theirs"; correspondentId: string };

interface WordProps<Value> {
  readonly isOpen: boolean;
  readonly onOpen: (isOpen: boolean) => void;
  readonly onPick: (value: Value) => void;
  readonly isQuiet?: boolean;
}

/** Who has it: a member of the team, somebody outside who owes it, or nobody yet. */
export function OwnerWord(
  props: WordProps<OwnerPick> & {
    owner: PersonView | null;
    theirs: CorrespondentView | null;
    outside?: readonly CorrespondentView[];
    /** Who comes first: they had such tasks before. */
    suggested?: PersonView | null;
    isShort?: boolean;
    missing?: string;
    width?: number;
  },
) {
  const house = useHouse();
  const first = props.suggested?.id === house.me.id ? null : props.suggested;
  const picks = (): Pick<OwnerPick>[] => [
    ...(first ? [{ ...ownPick(first), note: "had such tasks before" }] : []),
    { ...ownPick(house.me), name: "you" },
    ...house.team.filter((person) => person.id !== house.me.id && person.id !== first?.id).map(ownPick),
    ...(props.outside ?? []).map((who) => ({
      id: who.id,
      value: { side: "theirs" as const, correspondentId: who.id },
      name: who.name,
      matches: [who.name, who.address],
      note: `${who.firm ?? "outside"}: a wait`,
      sign: <PersonLabel initials={who.initials} name={who.name} isTeam={false} size="small" />,
    })),
    { id: "nobody", value: { side: "ours", personId: null }, name: "nobody yet", matches: ["nobody", "none"] },
  ];
  const shown =
    (props.theirs && (props.isShort ? shortName(props.theirs.name) : props.theirs.name)) ??
    (props.owner
      ? props.owner.id === house.me.id
        ? "you"
        : props.isShort
          ? shortName(props.owner.name)
          : props.owner.name
      : (props.missing ?? "nobody yet"));
  return (
    <PickWord
      label="Owner"
      shown={shown}
      isMissing={!props.owner && !props.theirs}
      width={props.width}
      picks={picks}
      isOpen={props.isOpen}
      onOpen={props.onOpen}
      isQuiet={props.isQuiet}
      onPick={props.onPick}
    />
  );
}

function ownPick(person: PersonView): Pick<OwnerPick> {
  return {
    id: person.id,
    value: { side: "ours", personId: person.id },
    name: person.name,
    matches: [person.name, person.address, ...person.nicknames],
    note: person.work,
    sign: <PersonLabel initials={person.initials} name={person.name} isTeam size="small" />,
  };
}

/** "Kofi Brandt" in a narrow place: "Kofi B." */
export function shortName(name: string): string {
  const [first, ...rest] = name.split(/\s+/);
  const last = rest.at(-1);
  return last ? `${first} ${last.charAt(0)}.` : name;
}

export function PriorityWord(props: WordProps<Priority> & { priority: Priority; shown?: ReactNode }) {
  const picks = () =>
    PRIORITIES.map((priority) => ({
      id: priority,
      value: priority,
      name: PRIORITY_NAMES[priority],
      matches: [priority],
      sign: (
        <span className="inline-flex w-2">
          <PriorityRule priority={priority} height={14} />
        </span>
      ),
    }));
  return (
    <PickWord
      label="Priority"
      shown={props.shown ?? PRIORITY_NAMES[props.priority]}
      picks={picks}
      isOpen={props.isOpen}
      onOpen={props.onOpen}
      isQuiet={props.isQuiet}
      onPick={props.onPick}
      width={90}
    />
  );
}

const KIND_NOTES: Readonly<Record<SlipKind, string>> = {
  ask: "somebody is to do it",
  question: "an answer is wanted",
  promise: "the writer will do it",
  trouble: "something is at risk",
};

/** What a passage is; the reader may have taken it for something else. */
export function KindWord(props: WordProps<SlipKind> & { kind: SlipKind; isUnsure: boolean }) {
  const picks = () =>
    SLIP_KINDS.map((kind) => ({
      id: kind,
      value: kind,
      name: KIND_NAMES[kind],
      matches: [kind],
      note: KIND_NOTES[kind],
    }));
  return (
    <PickWord
      label="Kind"
      shown={
        <b className={KIND_COLOURS[props.kind]}>
          {KIND_NAMES[props.kind]}
          {props.isUnsure && "?"}
        </b>
      }
      picks={picks}
      isOpen={props.isOpen}
      onOpen={props.onOpen}
      onPick={props.onPick}
      width={100}
    />
  );
}

export function StateWord(props: WordProps<TaskState> & { state: TaskState; shown?: string; className?: string }) {
  const picks = () =>
    TASK_STATES.map((state) => ({
      id: state,
      value: state,
      name: state,
      matches: [state],
      sign: <StateSign state={state} isLate={false} />,
    }));
  return (
    <PickWord
      label="State"
      shown={<span className={props.className}>{props.shown ?? props.state}</span>}
      picks={picks}
      isOpen={props.isOpen}
      onOpen={props.onOpen}
      isQuiet={props.isQuiet}
      onPick={props.onPick}
      width={100}
    />
  );
}

/** The project, and with `withWorkstreams` its workstreams as places of their own. */
export function ProjectWord(
  props: WordProps<{ projectId: string | null; workstreamId: string | null }> & {
    projectId: string | null;
    workstreamId: string | null;
    withWorkstreams?: boolean;
  },
) {
  const { projects } = useHouse();
  const picks = (): Pick<{ projectId: string | null; workstreamId: string | null }>[] => [
    ...projects.flatMap((project) => [
      {
        id: project.id,
        value: { projectId: project.id, workstreamId: null },
        name: project.name,
        matches: [project.name],
      },
      ...(props.withWorkstreams
        ? project.workstreams.map((stream) => ({
            id: stream.id,
            value: { projectId: project.id, workstreamId: stream.id },
            name: stream.name,
            note: project.name,
            matches: [stream.name, project.name],
          }))
        : []),
    ]),
    {
      id: "none",
      value: { projectId: null, workstreamId: null },
      name: "no project",
      matches: ["none", "no project"],
    },
  ];
  const project = projects.find((one) => one.id === props.projectId);
  const stream = project?.workstreams.find((one) => one.id === props.workstreamId);
  return (
    <PickWord
      label="Project"
      shown={project ? (stream ? `${project.name} · ${stream.name}` : project.name) : "no project"}
      isMissing={!project}
      picks={picks}
      isOpen={props.isOpen}
      onOpen={props.onOpen}
      isQuiet={props.isQuiet}
      onPick={props.onPick}
      width={180}
    />
  );
}
