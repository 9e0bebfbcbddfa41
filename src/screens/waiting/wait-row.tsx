"use client";

import { memo } from "react";
import type { WaitRow } from "../../core/views/waiting-view";
import { useHouse, useToday } from "../parts/house";
import { PersonLabel } from "../parts/marks";
import { nextWords, silenceWords } from "./next-words";
import { SilenceLine } from "./silence-line";

/** The sign of a letter that is to be looked over. */
export function LetterSign() {
  return (
    <svg width="11" height="13" viewBox="0 0 11 13" className="inline-block flex-none" aria-hidden="true">
      <path d="M.7 .7H10.3V12.3H.7ZM3 4H8M3 6.5H8M3 9H8" fill="none" stroke="currentColor" strokeWidth="1.3" />
    </svg>
  );
}

/** One wait: from whom, what, for whom, its line, and what comes next. */
export const WaitRowView = memo(function WaitRowView({
  row,
  isHere,
  onPick,
}: {
  row: WaitRow;
  isHere: boolean;
  onPick: (id: string) => void;
}) {
  const { me } = useHouse();
  const { now, today } = useToday();
  const next = nextWords(row, today);
  const silence = silenceWords(row, now, today);
  const { from, task, forWhom } = row;
  const firm = from && "firm" in from ? from.firm : null;
  return (
    <div
      className={`relative grid h-full grid-rows-[minmax(0,1fr)] grid-cols-[minmax(0,248px)_34px_minmax(0,1fr)_152px] items-stretch border-b border-hairline pl-4 max-md:grid-cols-[minmax(0,1fr)_152px] ${isHere ? "here" : "hover:bg-wash"}`}
    >
      <div className="flex min-w-0 items-center gap-2.5 pr-2">
        {from ? (
          <PersonLabel initials={from.initials} name={from.name} isTeam={!row.isOutside} size="large" />
        ) : (
          <span className="inline-block h-[23px] w-8 flex-none rounded-[6px] border border-dashed border-act" />
        )}
        <div className="min-w-0 flex-1 leading-[17px]">
          <div className="flex items-baseline gap-2">
            <b className={`min-w-0 flex-1 truncate text-[14px] ${from ? "" : "text-act"}`}>
              {from ? (from.id === me.id ? "you" : from.name) : "Nobody yet"}
            </b>
            <span className="flex-none text-[12px] text-soft">{task.reference}</span>
          </div>
          <button
            type="button"
            data-wait={task.id}
            aria-current={isHere ? "true" : undefined}
            className="block w-full truncate text-left text-[13px] after:absolute after:inset-0 after:content-['']"
            onClick={() => onPick(task.id)}
          >
            {task.title}
            <span className="sr-only">
              , {silence.words}, {next.what}
              {firm ? `, ${firm}` : ""}
            </span>
          </button>
        </div>
      </div>
      <span className="flex items-center max-md:hidden">
        {forWhom && <PersonLabel initials={forWhom.initials} name={`for ${forWhom.name}`} isTeam size="small" />}
      </span>
      <span className="min-w-0 max-md:hidden">
        <SilenceLine row={row} />
      </span>
      <span className="min-w-0 self-center pl-3 pr-4 leading-[17px]">
        <b className={`flex items-center gap-1.5 text-[13px] ${next.isNow ? "text-act" : ""}`}>
          {next.isLetter && <LetterSign />}
          <span className="truncate">{next.what}</span>
        </b>
        <span className="block truncate text-[12px] text-soft max-md:hidden" title={next.why}>
          {next.why}
        </span>
        <span
          className={`hidden truncate text-[12px] max-md:block ${silence.look === "long" ? "text-late" : "text-soft"}`}
        >
          {silence.words}
        </span>
      </span>
    </div>
  );
});
