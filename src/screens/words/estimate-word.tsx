"use client";

import { DAY_MINUTES, readDuration, sayDuration } from "../../core/time/duration";
import { type Pick, PickWord } from "./pick-word";

const OFFERED = [15, 30, 60, 120, DAY_MINUTES / 2, DAY_MINUTES, 2 * DAY_MINUTES, 5 * DAY_MINUTES];

function asPick(minutes: number): Pick<number | null> {
  return { id: String(minutes), value: minutes, name: sayDuration(minutes), matches: [sayDuration(minutes)] };
}

/** How long the work takes, as a word; opened, one picks a length or types one: "90 min", "a day and a half". */
export function EstimateWord(props: {
  readonly estimate: number | null;
  readonly isOpen: boolean;
  readonly onOpen: (isOpen: boolean) => void;
  readonly onPick: (minutes: number | null) => void;
}) {
  return (
    <PickWord
      label="How long it takes"
      shown={props.estimate === null ? "how long?" : sayDuration(props.estimate)}
      picks={() => [
        ...OFFERED.map(asPick),
        { id: "none", value: null, name: "not said", matches: ["not said", "none"] },
      ]}
      typedPick={(typed) => {
        const minutes = readDuration(/^\s*\d+\s*$/.test(typed) ? "" : typed);
        return minutes === null ? null : asPick(minutes);
      }}
      isOpen={props.isOpen}
      onOpen={props.onOpen}
      onPick={props.onPick}
      width={140}
    />
  );
}
