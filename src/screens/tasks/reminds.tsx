"use client";

import { firstNameOf } from "../../core/letters/first-name";
import { sayMomentFully } from "../../core/time/say-day";
import type { TaskSheet } from "../../core/views/views";
import { useHouse, useToday } from "../parts/house";
import { SmallWord } from "../parts/small-word";

/** Who is reminded of a task, and when next; in plain words where nobody is. */
export function Reminds(props: {
  readonly sheet: TaskSheet;
  readonly onRemind: () => void;
  readonly onForget: (reminderId: string) => void;
}) {
  const { task, reminders } = props.sheet;
  const { me, team } = useHouse();
  const { now } = useToday();
  if (task.state === "done" || task.state === "called off") return null;
  const coming = reminders.filter((one) => one.at > now.at);
  const nameOf = (id: string) =>
    id === me.id ? "you" : firstNameOf(team.find((one) => one.id === id)?.name ?? "somebody");
  const others = coming.filter((one) => one.id === null);
  const own = coming.filter((one) => one.id !== null);
  const nobody = !task.due
    ? "no date: nobody is reminded"
    : !task.owner
      ? "nobody has it: nobody is reminded"
      : task.side === "theirs"
        ? "it stands in Waiting; nobody is reminded by itself"
        : "";
  return (
    <span className="block text-[12.5px] text-soft">
      {others[0] ? (
        <>
          reminds {nameOf(others[0].personId)} {sayMomentFully(others[0].at, now.zone, now)}
          {others.length > 1 && `, and ${sayMomentFully(others[1]!.at, now.zone, now)}`}
        </>
      ) : (
        <span className={task.due && !task.owner ? "text-late" : ""}>{nobody}</span>
      )}
      {own.map((one) => (
        <span key={one.id} className="block">
          reminds you {sayMomentFully(one.at, now.zone, now)}{" "}
          <SmallWord onClick={() => props.onForget(one.id!)}>not then</SmallWord>
        </span>
      ))}{" "}
      <SmallWord onClick={props.onRemind} title="Be reminded at a time of your own (M)">
        remind me
      </SmallWord>
    </span>
  );
}
