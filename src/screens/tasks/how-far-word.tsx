"use client";

import { useState } from "react";
import type { TaskRow } from "../../core/views/views";
import { PickWord } from "../words/pick-word";

const STEPS = [10, 20, 30, 40, 50, 60, 70, 80, 90] as const;

/** How far a task is, in per cent, as its owner says; a checklist says it by itself. */
export function HowFarWord({
  task,
  onHowFar,
}: {
  task: TaskRow;
  onHowFar: (percent: number | null) => Promise<boolean>;
}) {
  const [isOpen, setOpen] = useState(false);
  if (task.steps.length > 0) return null;
  const words = (percent: number) => `${percent} per cent`;
  return (
    <span
      className={`ml-2 text-[12.5px] font-medium [&>button]:inline-flex [&>button]:min-h-6 [&>button]:items-center ${task.percent === null ? "text-soft" : ""}`}
    >
      <PickWord
        label="How far it is"
        shown={task.percent === null ? "how far?" : words(task.percent)}
        isOpen={isOpen}
        onOpen={setOpen}
        width={96}
        picks={() => [
          ...STEPS.map((percent) => ({
            id: String(percent),
            value: percent as number | null,
            name: words(percent),
            matches: [words(percent)],
          })),
          { id: "none", value: null, name: "not said", matches: ["not said"] },
        ]}
        onPick={(percent) => void onHowFar(percent)}
      />
    </span>
  );
}
