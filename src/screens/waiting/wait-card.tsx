"use client";

import Link from "next/link";
import { useState } from "react";
import { sayDay, sayDistance, sayMomentFully } from "../../core/time/say-day";
import type { WaitRow } from "../../core/views/waiting-view";
import { readCall } from "../../core/waiting/read-call";
import { useHouse, useToday } from "../parts/house";
import { KeyCap } from "../parts/marks";
import { useDraft } from "../parts/use-draft";
import { nextWords } from "./next-words";
import { PlanLine, type PlannedChases, PlanStands } from "./plan-line";

/** What a line about a call comes to. */
export interface NotedCall {
  readonly text: string;
  readonly isReached: boolean;
  readonly due?: { readonly day: string; readonly time: string | null; readonly zone: string };
}

/** One line about a call, with how it was understood below. */
function CallLine({
  row,
  onNote,
  onClose,
}: {
  row: WaitRow;
  onNote: (call: NotedCall) => Promise<boolean>;
  onClose: () => void;
}) {
  const { zone, figures } = useHouse();
  const { now, today, calendar } = useToday();
  const [text, setText] = useDraft(`call ${row.task.id}`);
  const read = readCall(text, now, calendar, figures);
  const save = async () => {
    if (text.trim() === "") return;
    const call = { text, isReached: read.isReached, ...(read.due ? { due: { ...read.due, zone } } : {}) };
    if (await onNote(call)) {
      setText("");
      onClose();
    }
  };
  return (
    <div className="mt-2">
      <input
        autoFocus
        className="field w-full"
        aria-label="How the call went"
        placeholder="rang, no answer · will send on the 3rd"
        value={text}
        onChange={(event) => setText(event.target.value)}
        onKeyDown={(event) => {
          if (event.key === "Enter") void save();
          if (event.key === "Escape") {
            event.stopPropagation();
            onClose();
          }
        }}
      />
      {text.trim() !== "" && (
        <p className="mt-1 border-l border-act pl-2 text-[12.5px]">
          {read.isReached ? "They were reached: the silence begins anew" : "Nobody was reached: the silence goes on"}
          {read.due && (
            <>
              {"; by "}
              <b>{sayDay(read.due.day, today)}</b>, {sayDistance(read.due.day, today, calendar)}
            </>
          )}
        </p>
      )}
      <button type="button" className="btn is-small mt-2" disabled={text.trim() === ""} onClick={() => void save()}>
        Note the call
      </button>
    </div>
  );
}

/** The wait that is here: what was said, what comes next, and what can be done about it. */
export function WaitCard(props: {
  readonly row: WaitRow;
  readonly isCalling: boolean;
  readonly onCalling: (isCalling: boolean) => void;
  readonly onNote: (call: NotedCall) => Promise<boolean>;
  readonly onLetter: (() => void) | null;
  readonly onPlan: (plan: PlannedChases) => Promise<boolean>;
}) {
  const { row } = props;
  const [isPlanning, setPlanning] = useState(false);
  const { now, today } = useToday();
  const next = nextWords(row, today);
  return (
    <section className="mb-3 border-b border-hairline pb-3" aria-label={`Wait ${row.task.reference}`}>
      <h3 className="text-[15px] leading-[20px] [overflow-wrap:anywhere]">{row.task.title}</h3>
      <p className="text-[12.5px] text-soft">
        {row.from?.name ?? "Nobody yet"} · {row.task.reference} · {row.task.project ?? "no project"}
      </p>
      {row.quote && row.quote.words.trim() !== "" && (
        <blockquote className="font-letter mt-2 text-[14px] leading-[20px] [overflow-wrap:anywhere]">
          <span className="passage !cursor-auto">
            <i className="corner-open" />
            {row.quote.words.replace(/\s+/g, " ")}
            <i className="corner-close" />
          </span>
          <span className="font-ui block text-[12px] text-soft" style={{ fontFamily: "var(--font-ui)" }}>
            {row.quote.isTheirs ? row.from?.name : "We"}, {sayMomentFully(row.quote.at, now.zone, now)}
          </span>
        </blockquote>
      )}
      <p className="mt-2 text-[13px]">
        <b className={next.isNow ? "text-act" : ""}>{next.what}</b>
        <span className="text-soft">: {next.why}</span>
        {row.usual !== null && (
          <span className="text-soft">
            . They usually answer within {row.usual} working day{row.usual === 1 ? "" : "s"}.
          </span>
        )}
      </p>
      {row.task.chasePlan && (
        <PlanStands
          plan={row.task.chasePlan}
          row={row}
          onEnd={() => void props.onPlan({ firstAt: null, every: 1, letters: 1 })}
        />
      )}
      {isPlanning ? (
        <PlanLine row={row} onPlan={props.onPlan} onClose={() => setPlanning(false)} />
      ) : props.isCalling ? (
        <CallLine row={row} onNote={props.onNote} onClose={() => props.onCalling(false)} />
      ) : (
        <div className="mt-2 flex flex-wrap gap-2">
          {props.onLetter && (
            <button type="button" className="btn is-small is-line" onClick={props.onLetter}>
              A letter now
            </button>
          )}
          {row.isOutside && (
            <button type="button" className="btn is-small is-line" onClick={() => props.onCalling(true)}>
              Note a call <KeyCap name="C" />
            </button>
          )}
          {props.onLetter && !row.task.chasePlan && (
            <button type="button" className="btn is-small is-line" onClick={() => setPlanning(true)}>
              Letters by themselves
            </button>
          )}
          {next.what === "Read their letter" && row.inSortId && (
            <Link className="btn is-small is-line" href={`/sort/${row.inSortId}`}>
              Read it in Sort
            </Link>
          )}
          <Link className="btn is-small is-line" href={`/tasks/${row.task.slug}`}>
            Open the task <KeyCap name="O" />
          </Link>
        </div>
      )}
    </section>
  );
}
