"use client";

import { type FoundSlip, isSure } from "../../core/reading/slip";
import { sayDuration } from "../../core/time/duration";
import { sayDay } from "../../core/time/say-day";
import { useHouse, useToday } from "../parts/house";
import { KindMark } from "../parts/marks";

/** A slip of one's own letter is known again by its kind and words while one goes on writing around it. */
export function slipKey(slip: FoundSlip, text: string): string {
  return `${slip.kind} ${text.slice(slip.start, slip.end)}`;
}

function becomes(
  slip: FoundSlip,
  ours: ReadonlyMap<string, string>,
  me: string,
  nameOf: (a: string) => string,
): string {
  if (slip.owner === null) return "a task that nobody has yet";
  if (slip.owner === me) return "your task";
  const colleague = ours.get(slip.owner);
  return colleague ? `a task for ${colleague.split(" ")[0]}` : `you wait for ${nameOf(slip.owner)}`;
}

/** What the letter asks and promises, beside its words: ticked ones are kept with it when it goes. */
export function WrittenSlips(props: {
  readonly slips: readonly FoundSlip[];
  readonly text: string;
  readonly isKept: (slip: FoundSlip) => boolean;
  readonly nameOf: (address: string) => string;
  readonly onTurn: (slip: FoundSlip) => void;
}) {
  const { me, team } = useHouse();
  const { today } = useToday();
  const ours = new Map(team.map(({ address, name }) => [address, name]));
  if (props.slips.length === 0) return null;
  return (
    <fieldset className="mb-2 border-t border-hairline pt-2">
      <legend className="pr-2 text-[12px] font-semibold text-soft">Kept with it when it goes</legend>
      <ul className="grid gap-1">
        {props.slips.map((slip) => {
          const isKept = props.isKept(slip);
          return (
            <li key={slipKey(slip, props.text)}>
              <label className="flex items-start gap-2 text-[13px] leading-[18px] max-sm:min-h-11 max-sm:items-center">
                <input
                  type="checkbox"
                  className="mt-[3px] flex-none"
                  checked={isKept}
                  onChange={() => props.onTurn(slip)}
                />
                <span className="mt-[2px] flex-none">
                  <KindMark kind={slip.kind} number={null} size={14} />
                </span>
                <span className={`min-w-0 flex-1 ${isKept ? "" : "text-soft"}`}>
                  <b className="font-semibold">{slip.title}</b>
                  <span className="text-soft">
                    {" · "}
                    {becomes(slip, ours, me.address, props.nameOf)}
                    {slip.due ? `, by ${sayDay(slip.due.day, today)}` : ", no date"}
                    {slip.estimate !== null && `, ${sayDuration(slip.estimate)}`}
                    {!isSure(slip) && ", not sure"}
                  </span>
                </span>
              </label>
            </li>
          );
        })}
      </ul>
    </fieldset>
  );
}
