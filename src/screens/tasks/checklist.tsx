"use client";

import { useState } from "react";
import type { StepChange } from "../../core/tasks/decisions/change-steps";
import { sayMoment } from "../../core/time/say-day";
import type { TaskRow } from "../../core/views/views";
import { useToday } from "../parts/house";
import { SmallWord } from "../parts/small-word";
import { AnswerLine } from "./given-to-me";

/** The checklist of a task: steps that are ticked, added and taken away. */
export function Checklist({ task, onStep }: { task: TaskRow; onStep: (change: StepChange) => Promise<boolean> }) {
  const { now } = useToday();
  const [isAdding, setAdding] = useState(false);
  return (
    <div className="text-[13px] font-medium">
      <ul aria-label="Steps">
        {task.steps.map((step) => (
          <li key={step.id} className="group flex items-baseline gap-2 leading-[20px]">
            <label className="flex min-w-0 flex-1 items-baseline gap-2">
              <input
                type="checkbox"
                className="translate-y-[2px]"
                checked={step.doneAt !== ""}
                onChange={(event) => void onStep({ kind: "tick", stepId: step.id, isDone: event.target.checked })}
              />
              <span className={`[overflow-wrap:anywhere] ${step.doneAt === "" ? "" : "text-soft"}`}>{step.text}</span>
            </label>
            {step.doneAt !== "" && (
              <span className="text-[12px] text-soft">{sayMoment(Date.parse(step.doneAt), now)}</span>
            )}
            <button
              type="button"
              className="text-[12px] text-act opacity-0 focus-visible:opacity-100 group-hover:opacity-100 max-sm:opacity-100"
              aria-label={`Take the step away: ${step.text}`}
              onClick={() => void onStep({ kind: "remove", stepId: step.id })}
            >
              take away
            </button>
          </li>
        ))}
      </ul>
      {isAdding ? (
        <AnswerLine
          draft={`step ${task.id}`}
          label="A step"
          does="Add"
          staysOpen
          onSave={(text) => onStep({ kind: "add", text })}
          onClose={() => setAdding(false)}
        />
      ) : (
        <SmallWord onClick={() => setAdding(true)}>{task.steps.length === 0 ? "in steps" : "one more step"}</SmallWord>
      )}
    </div>
  );
}
