"use client";

import type { ChangeKind, FoundChange } from "../../core/following/item";
import { firstNameOf } from "../../core/letters/first-name";
import { type FoundSlip, isSure } from "../../core/reading/slip";
import { sayDuration } from "../../core/time/duration";
import { sayDay } from "../../core/time/say-day";
import { useHouse, useToday } from "../parts/house";
import { KindMark } from "../parts/marks";

/** A slip of one's own letter is known again by its kind and words while one goes on writing around it. */
export function slipKey(slip: FoundSlip | FoundChange, text: string): string {
  const what = "changes" in slip ? `${slip.changes.change} ${slip.changes.taskId}` : slip.kind;
  return `${what} ${text.slice(slip.start, slip.end)}`;
}

/** What a change does to its task once the letter goes. */
const DOES: Readonly<Record<ChangeKind, string>> = {
  done: "finishes the task",
  "called off": "calls the task off",
  declined: "frees the task",
  passed: "passes the task on",
  moved: "moves the task",
  part: "a note on the task",
  promised: "moves the task",
  reminded: "nothing",
};

function becomes(
  slip: FoundSlip | FoundChange,
  ours: ReadonlyMap<string, string>,
  me: string,
  nameOf: (a: string) => string,
): string {
  if ("changes" in slip) {
    const { change } = slip.changes;
    // As the act will do it: what names nobody is not passed on, and what names no day moves nothing.
    const isMove = change === "promised" || change === "moved" || (change === "passed" && slip.owner === null);
    if (isMove) return slip.due ? DOES.moved : DOES.part;
    return DOES[change];
  }
  if (slip.owner === null) return "a task that nobody has yet";
  if (slip.owner === me) return "your task";
  const colleague = ours.get(slip.owner);
  return colleague ? `a task for ${firstNameOf(colleague)}` : `you wait for ${nameOf(slip.owner)}`;
}

/** What the letter asks and promises, beside its words: ticked ones are kept with it when it goes. */
export function WrittenSlips(props: {
  readonly slips: readonly (FoundSlip | FoundChange)[];
  readonly text: string;
  readonly isKept: (slip: FoundSlip | FoundChange) => boolean;
  readonly nameOf: (address: string) => string;
  readonly onTurn: (slip: FoundSlip | FoundChange) => void;
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
                    {slip.due ? `, by ${sayDay(slip.due.day, today)}` : "changes" in slip ? "" : ", no date"}
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
