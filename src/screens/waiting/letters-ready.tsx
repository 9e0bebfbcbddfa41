"use client";

import { useState } from "react";
import type { WaitRow } from "../../core/views/waiting-view";
import { useToday } from "../parts/house";
import { KeyCap } from "../parts/marks";
import { FoldedChase, OpenChase, type useChases } from "./chase-card";
import { nextWords } from "./next-words";
import type { PlannedChases } from "./plan-line";

/** Minutes that one letter takes to look over, for the sentence at the head. */
const MINUTES_A_LETTER = 0.5;

/** The bar under the letters: what its keys do. */
export function ChaseActs(props: { onSend: () => void; onReword: () => void; onLeave: () => void }) {
  return (
    <div className="acts is-narrow" role="toolbar" aria-label="Acts">
      <button type="button" className="is-chief" onClick={props.onSend}>
        <KeyCap name="Enter" />
        Good, next
      </button>
      <button type="button" onClick={props.onReword}>
        <KeyCap name="W" />
        Reword
      </button>
      <button type="button" onClick={props.onLeave}>
        <KeyCap name="L" />
        Leave out
      </button>
    </div>
  );
}

/** The letters to look over: how many, the one that is open, and the others below it. */
export function LettersReady(props: {
  readonly ready: readonly WaitRow[];
  readonly open: WaitRow | null;
  readonly dealt: number;
  readonly chases: ReturnType<typeof useChases>;
  readonly isRewording: boolean;
  readonly onRewording: (isRewording: boolean) => void;
  readonly onPick: (id: string) => void;
  readonly onSend: () => void;
  readonly onPlan: (row: WaitRow, plan: PlannedChases) => Promise<boolean>;
}) {
  const { ready, open, dealt } = props;
  const { today } = useToday();
  const all = ready.length + dealt;
  const minutes = Math.max(1, Math.ceil(ready.length * MINUTES_A_LETTER));
  return (
    <section aria-label="Letters to look over">
      <h2 className="text-[17px]">
        {ready.length === 0 ? "No letter to look over" : `${ready.length} letter${ready.length === 1 ? "" : "s"} ready`}
      </h2>
      {all > 0 && (
        <>
          <div className="mt-2 h-1.5 overflow-hidden rounded-full bg-hairline" aria-hidden="true">
            <div className="h-full bg-act" style={{ width: `${(dealt / all) * 100}%` }} />
          </div>
          <p className="mb-3 mt-1.5 text-[12.5px] text-soft">
            {dealt} of {all} looked over
            {ready.length > 0 ? ` · about ${minutes} minute${minutes === 1 ? "" : "s"}` : ""}
          </p>
        </>
      )}
      {all === 0 && (
        <p className="mb-3 text-[13px] text-soft">
          A letter is written when a promise is broken, before something is needed, or when somebody is silent for
          longer than is usual.
        </p>
      )}
      {open && (
        <OpenChase
          key={open.task.id}
          row={open}
          onPlan={(plan) => props.onPlan(open, plan)}
          chase={props.chases.chaseOf(open)}
          why={nextWords(open, today).why}
          isRewording={props.isRewording}
          onRewording={props.onRewording}
          onReword={(text) => props.chases.reword(open, text)}
          onSend={props.onSend}
        />
      )}
      <ul>
        {ready
          .filter((row) => row !== open)
          .map((row) => (
            <FoldedChase
              key={row.task.id}
              row={row}
              text={props.chases.chaseOf(row).text}
              onPick={() => props.onPick(row.task.id)}
            />
          ))}
      </ul>
    </section>
  );
}

/** Letters that were left out today, kept in this browser: tomorrow they are there again. */
export function useLeftOut(today: string): [readonly string[], (id: string) => void] {
  const place = `chases left out ${today}`;
  const [left, setLeft] = useState<readonly string[]>(() =>
    typeof window === "undefined" ? [] : (JSON.parse(localStorage.getItem(place) ?? "[]") as string[]),
  );
  return [
    left,
    (id) => {
      const next = [...left, id];
      localStorage.setItem(place, JSON.stringify(next));
      setLeft(next);
    },
  ];
}
