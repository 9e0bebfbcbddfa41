"use client";

import { type ReactNode, useState } from "react";
import { isSure } from "../../core/reading/slip";
import { sayDay } from "../../core/time/say-day";
import type { SlipView } from "../../core/views/views";
import { useToday } from "../parts/house";

/** The foot of the lit slip: why it is proposed, and what can be done with it. */
export function SlipFoot(props: {
  readonly slip: SlipView;
  readonly keep: string;
  readonly children?: ReactNode;
  readonly onKeep: () => void;
  readonly onHandOver?: (() => void) | null;
  readonly onBrushOff: () => void;
}) {
  const { slip } = props;
  const { today } = useToday();
  const [isWhyShown, showWhy] = useState(false);
  return (
    <>
      <div className="mt-[5px] flex flex-wrap items-center gap-2 text-[12px] text-soft">
        {props.children}
        <button
          type="button"
          className="font-medium max-sm:h-11 max-sm:px-2"
          aria-expanded={isWhyShown}
          onClick={() => showWhy(!isWhyShown)}
        >
          <span className="word">why?</span>
        </button>
        <span className="ml-auto flex gap-1">
          <button
            type="button"
            className="rounded-md px-1.5 py-0.5 font-semibold text-act hover:bg-act-wash max-sm:h-11 max-sm:rounded-[11px] max-sm:border-2 max-sm:border-rim max-sm:px-5 max-sm:text-[13px] max-sm:text-ink"
            onClick={props.onKeep}
            title="Keep this slip (K)"
          >
            {props.keep}
          </button>
          {props.onHandOver && (
            <button
              type="button"
              className="rounded-md px-1.5 py-0.5 font-semibold text-act hover:bg-act-wash max-sm:h-11 max-sm:rounded-[11px] max-sm:border-2 max-sm:border-rim max-sm:px-4 max-sm:text-[13px] max-sm:text-ink"
              onClick={props.onHandOver}
              title="Keep it and hand it over with a note (H)"
            >
              Hand over
            </button>
          )}
          <button
            type="button"
            className="rounded-md px-1.5 py-0.5 font-semibold text-soft hover:bg-wash max-sm:h-11 max-sm:rounded-[11px] max-sm:border-2 max-sm:border-rim max-sm:px-4 max-sm:text-[13px] max-sm:text-ink"
            onClick={props.onBrushOff}
            title="Brush this slip off (X)"
          >
            Brush off
          </button>
        </span>
      </div>
      {isWhyShown && (
        <p className="mt-1 border-t border-hairline pt-1 text-[12px] leading-[16px] text-soft">
          Because: {slip.reason}. {!isSure(slip) && "The reader is often wrong about such passages."}
          {slip.otherDays.length > 0 &&
            ` The day could also be ${slip.otherDays
              .slice(0, 3)
              .map((day) => sayDay(day, today))
              .join(" or ")}.`}
        </p>
      )}
    </>
  );
}
