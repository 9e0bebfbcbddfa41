"use client";

import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useEffect, useRef, useState } from "react";
import { firstNameOf } from "../../core/letters/first-name";
import type { LikelyTask } from "../../core/views/views";
import { whoSees } from "../../core/views/who-sees";
import { ask } from "../parts/client";
import { useHouse } from "../parts/house";

/** Why a task is offered: "same words, people and project". */
function why(task: LikelyTask): string {
  const same = [
    task.hasSameWords ? "words" : "",
    task.hasSamePeople ? "people" : "",
    task.isSameProject ? "project" : "",
  ].filter(Boolean);
  const last = same.pop();
  return last ? `same ${same.length > 0 ? `${same.join(", ")} and ` : ""}${last}` : "";
}

/** Asks which task a conversation is put on: the likely ones first, or whatever is searched for. */
export function JoinTask(props: {
  readonly conversationId: string;
  readonly onPick: (task: LikelyTask) => void;
  readonly onClose: () => void;
}) {
  const [typed, setTyped] = useState("");
  const [at, setAt] = useState(0);
  const house = useHouse();
  const field = useRef<HTMLInputElement>(null);
  const panel = useRef<HTMLElement>(null);
  useEffect(() => field.current?.focus(), []);
  const { data: tasks } = useQuery({
    queryKey: ["likely", props.conversationId, typed],
    queryFn: () =>
      ask<LikelyTask[]>(`/api/conversations/${props.conversationId}/likely?words=${encodeURIComponent(typed)}`),
    placeholderData: keepPreviousData,
  });
  const shown = tasks ?? [];
  // The tasks that are offered should be seen with the question, not lie below the acts.
  const count = shown.length;
  useEffect(() => {
    if (count > 0) panel.current?.scrollIntoView({ block: "nearest" });
  }, [count]);
  return (
    <section ref={panel} className="paper mb-4 mt-3 !rounded-[13px] p-3" aria-label="Join to a task">
      <input
        ref={field}
        role="combobox"
        aria-label="Which task?"
        aria-expanded={shown.length > 0}
        aria-controls="likely-tasks"
        aria-activedescendant={shown[at] ? `likely-${shown[at].id}` : undefined}
        className="w-full rounded-[10px] border border-tie bg-pan px-3 py-1.5 text-[14px]"
        placeholder="Which task? Words of its title, or its reference"
        value={typed}
        onChange={(event) => {
          setTyped(event.target.value);
          setAt(0);
        }}
        onKeyDown={(event) => {
          if (event.key === "Escape") props.onClose();
          else if (event.key === "ArrowDown") setAt(Math.min(shown.length - 1, at + 1));
          else if (event.key === "ArrowUp") setAt(Math.max(0, at - 1));
          else if (event.key === "Enter" && shown[at]) props.onPick(shown[at]);
          else return;
          event.preventDefault();
        }}
      />
      <p className="mt-1.5 px-2 text-[12px] text-soft">
        {shown[at]
          ? `On ${shown[at].reference} they are seen by ${whoSees([shown[at].projectId], [], house)}.`
          : "Whoever may see the task sees the letters."}
      </p>
      <div id="likely-tasks" role="listbox" aria-label="Tasks" className="mt-1">
        {shown.map((task, i) => (
          <div
            key={task.id}
            id={`likely-${task.id}`}
            role="option"
            tabIndex={-1}
            aria-selected={i === at}
            className={`flex cursor-pointer items-baseline gap-2 rounded-[8px] px-2 py-1 ${i === at ? "bg-wash" : ""}`}
            onMouseMove={() => setAt(i)}
            onClick={() => props.onPick(task)}
            onKeyDown={(event) => event.key === "Enter" && props.onPick(task)}
          >
            <b className="flex-none text-[12.5px]">{task.reference}</b>
            <span className="min-w-0 flex-1 truncate text-[13.5px]">{task.title}</span>
            <span className="flex-none text-[12px] text-soft">
              {[task.owner && firstNameOf(task.owner), why(task)].filter(Boolean).join(" · ")}
            </span>
          </div>
        ))}
        {tasks && shown.length === 0 && (
          <p className="px-2 py-1 text-[13px] text-soft">
            {typed.trim() === ""
              ? "No open task has its people, project or words. Type some of the title."
              : "No open task has these words."}
          </p>
        )}
      </div>
    </section>
  );
}
