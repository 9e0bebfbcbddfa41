"use client";

import { useHouse } from "../parts/house";
import { PickWord } from "./pick-word";

/** Which project a list shows, or any. */
export function AnyProjectWord(props: {
  readonly projectId: string | null;
  readonly isOpen: boolean;
  readonly onOpen: (isOpen: boolean) => void;
  readonly onPick: (projectId: string | null) => void;
}) {
  const { projects } = useHouse();
  return (
    <PickWord
      label="Project"
      shown={projects.find((project) => project.id === props.projectId)?.name ?? "any project"}
      picks={() => [
        { id: "any", value: null as string | null, name: "any project", matches: ["any project"] },
        ...projects.map((project) => ({
          id: project.id,
          value: project.id as string | null,
          name: project.name,
          matches: [project.name],
        })),
      ]}
      isOpen={props.isOpen}
      onOpen={props.onOpen}
      onPick={props.onPick}
    />
  );
}
