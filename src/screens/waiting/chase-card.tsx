"use client";

import { useEffect, useState } from "react";
import type { WaitRow } from "../../core/views/waiting-view";
import { chaseOf } from "../../core/waiting/chase-of";
import { useHouse, useToday } from "../parts/house";
import { PersonLabel } from "../parts/marks";
import { SmallWord } from "../parts/small-word";
import { PlanLine, type PlannedChases } from "./plan-line";

/** A chase as it would go out. */
export interface Chase {
  readonly subject: string;
  readonly text: string;
  readonly isReworded: boolean;
}

/** The chase of each wait, in our own words unless it was reworded; what was reworded stays in this window until it is sent. */
export function useChases(): {
  chaseOf: (row: WaitRow) => Chase;
  reword: (row: WaitRow, text: string) => void;
} {
  const { me, zone } = useHouse();
  const { today, calendar } = useToday();
  const [reworded, setReworded] = useState<Readonly<Record<string, string>>>({});
  useEffect(() => setReworded(JSON.parse(sessionStorage.getItem(PLACE) ?? "{}") as Record<string, string>), []);
  const keyOf = (row: WaitRow) => `${row.task.id} ${row.chases}`;
  return {
    chaseOf: (row) => {
      const own = reworded[keyOf(row)] ?? "";
      const { subject, text } = chaseOf(row, me.name, { today, zone, calendar });
      return { subject, text: own || text, isReworded: own !== "" };
    },
    reword: (row, text) => {
      const next = { ...reworded, [keyOf(row)]: text };
      sessionStorage.setItem(PLACE, JSON.stringify(next));
      setReworded(next);
    },
  };
}

const PLACE = "chases reworded";

/** A letter that is ready, folded: to whom, and how it begins. */
export function FoldedChase({ row, text, onPick }: { row: WaitRow; text: string; onPick: () => void }) {
  return (
    <li className="paper relative mb-2 px-3 py-2">
      <div className="flex items-center gap-2">
        <PersonLabel initials={row.from?.initials ?? "?"} name={row.from?.name ?? ""} isTeam={false} size="small" />
        <button
          type="button"
          className="min-w-0 flex-1 truncate text-left text-[13.5px] font-bold after:absolute after:inset-0 after:content-['']"
          onClick={onPick}
        >
          {row.from?.name}
        </button>
        <span className="flex-none text-[12px] text-soft">{row.task.reference}</span>
      </div>
      <p className="font-letter mt-0.5 line-clamp-2 text-[13.5px] leading-[18px]">
        {text.split("\n").slice(2).join(" ").trim()}
      </p>
    </li>
  );
}

/** The letter that is being looked over: from whom, to whom, about what, its words, and why it is ready. */
export function OpenChase(props: {
  readonly row: WaitRow;
  readonly chase: Chase;
  readonly why: string;
  readonly isRewording: boolean;
  readonly onRewording: (isRewording: boolean) => void;
  readonly onReword: (text: string) => void;
  readonly onSend: () => void;
  readonly onPlan: (plan: PlannedChases) => Promise<boolean>;
}) {
  const { row, chase } = props;
  const [isPlanning, setPlanning] = useState(false);
  const { me } = useHouse();
  const firm = row.from && "firm" in row.from ? row.from.firm : null;
  return (
    <article className="paper mb-3 border-2 border-rim" aria-label={`Letter to ${row.from?.name}`}>
      <dl className="grid grid-cols-[52px_minmax(0,1fr)] border-b border-hairline px-4 py-2.5 text-[13px] leading-[19px] [&>dt]:text-soft">
        <dt>From</dt>
        <dd className="truncate">
          <b>{me.name}</b>
          {row.forWhom && row.forWhom.id !== me.id && <span className="text-soft"> for {row.forWhom.name}</span>}
        </dd>
        <dt>To</dt>
        <dd className="truncate">
          <b>{row.from?.name}</b>
          {firm && <span className="text-soft">, {firm}</span>}
        </dd>
        <dt>Subject</dt>
        <dd className="truncate font-semibold" title={chase.subject}>
          {chase.subject}
        </dd>
      </dl>
      {props.isRewording ? (
        <textarea
          autoFocus
          aria-label="Words of the letter"
          className="font-letter block w-full resize-none bg-transparent px-4 py-3 text-[15px] leading-[23px] [field-sizing:content]"
          rows={9}
          value={chase.text}
          onChange={(event) => props.onReword(event.target.value)}
          onKeyDown={(event) => {
            if (event.key === "Escape") {
              event.stopPropagation();
              props.onRewording(false);
            }
            if (event.key === "Enter" && (event.ctrlKey || event.metaKey)) {
              event.preventDefault();
              props.onSend();
            }
          }}
        />
      ) : (
        <div className="font-letter whitespace-pre-wrap px-4 py-3 text-[15px] leading-[23px] [overflow-wrap:anywhere]">
          {chase.text}
        </div>
      )}
      <p className="border-t border-hairline bg-wash px-4 py-2 text-[12.5px]">
        <b>
          {row.chases === 0 ? "The first chase" : `Chased ${row.chases === 1 ? "once" : `${row.chases} times`} before`}
        </b>
        <span className="text-soft">, {props.why}</span>
        {chase.isReworded && (
          <button type="button" className="word ml-2" onClick={() => props.onReword("")}>
            our wording again
          </button>
        )}
        {!isPlanning && (
          <SmallWord className="ml-2" onClick={() => setPlanning(true)}>
            let it leave by itself later
          </SmallWord>
        )}
      </p>
      {isPlanning && (
        <div className="px-3 pb-3">
          <PlanLine row={row} onPlan={props.onPlan} onClose={() => setPlanning(false)} />
        </div>
      )}
    </article>
  );
}
