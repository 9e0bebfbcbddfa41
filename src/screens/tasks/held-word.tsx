"use client";

import { useQuery } from "@tanstack/react-query";
import Link from "next/link";
import { useState } from "react";
import type { TaskRow } from "../../core/views/views";
import type { WaitingPage } from "../../core/views/waiting-view";
import { ask } from "../parts/client";
import { SmallWord } from "../parts/small-word";
import { PickWord } from "../words/pick-word";

/** What a task cannot go on without: one of the waits of its project, or of all of them where it has none. */
export function HeldWord({ task, onHold }: { task: TaskRow; onHold: (heldById: string | null) => Promise<boolean> }) {
  const [isOpen, setOpen] = useState(false);
  const { data } = useQuery({
    queryKey: ["waits to be held by", task.projectId],
    queryFn: () => ask<WaitingPage>(`/api/waiting${task.projectId ? `?project=${task.projectId}` : ""}`),
    enabled: isOpen,
  });
  const waits = (data?.rows ?? []).filter((row) => row.task.id !== task.id);
  if (task.heldBy)
    return (
      <span className="block text-[12.5px] font-medium">
        <span className="text-near">Held</span> until{" "}
        <Link className="word" href={`/tasks/${task.heldBy.slug}`} title={task.heldBy.title}>
          {task.heldBy.reference}, {task.heldBy.title}
        </Link>
        {task.heldBy.by && ` is here from ${task.heldBy.by}`}
        <SmallWord className="ml-2" onClick={() => void onHold(null)}>
          goes on
        </SmallWord>
      </span>
    );
  return (
    <span className="ml-2 text-[12.5px] font-medium text-soft [&>button]:inline-flex [&>button]:min-h-6 [&>button]:items-center">
      <PickWord
        label="Held by which wait"
        shown="held?"
        isOpen={isOpen}
        onOpen={setOpen}
        width={170}
        picks={() =>
          waits.map((row) => ({
            id: row.task.id,
            value: row.task.id,
            name: row.task.title,
            matches: [row.task.title, row.task.reference, row.from?.name ?? ""],
            note: `${row.from?.name ?? "nobody yet"}, ${row.task.reference}`,
          }))
        }
        onPick={(id) => void onHold(id)}
      />
    </span>
  );
}
