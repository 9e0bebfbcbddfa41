"use client";

import { readLine } from "../../core/tasks/read-line";
import { sayDay, sayDistance } from "../../core/time/say-day";
import { useHouse, useToday } from "../parts/house";
import { LineField } from "../parts/line-field";
import { useDraft } from "../parts/use-draft";

/** A wait by hand, from one plain line: "Colm: number of the road closure permit by Thursday". */
export function NewWait(props: {
  readonly outside: readonly { readonly id: string; readonly name: string; readonly address: string }[];
  readonly projectId: string | null;
  readonly onMake: (input: unknown) => Promise<boolean>;
  readonly onClose: () => void;
}) {
  const house = useHouse();
  const { now, today, calendar } = useToday();
  const [line, setLine] = useDraft("new wait");
  const read = readLine(line, props.outside, house.projects, now, calendar, house.figures);
  const from = props.outside.find((one) => one.id === read.ownerId);
  const make = async () => {
    if (!from || read.title === "") return;
    const isMade = await props.onMake({
      title: read.title,
      ownerId: null,
      theirsId: from.id,
      due: read.due ? { ...read.due, zone: house.zone } : null,
      priority: read.priority,
      projectId: read.projectId ?? props.projectId,
      workstreamId: null,
    });
    if (isMade) setLine("");
  };
  const glossed: [string, string][] = [
    ["from", from?.name ?? "whose name? “Colm: …” or “… from Colm”"],
    ["what", read.title || "what they owe us"],
    ["by", read.due ? `${sayDay(read.due.day, today)}, ${sayDistance(read.due.day, today, calendar)}` : "no date"],
  ];
  return (
    <LineField
      label="A new wait, in one line"
      placeholder="Colm: number of the road closure permit by Thursday"
      line={line}
      onLine={setLine}
      does="Wait for it"
      isReady={from !== undefined && read.title !== ""}
      onDo={() => void make()}
      onClose={props.onClose}
      columns="1fr 2fr 1fr"
      glossed={glossed}
    />
  );
}
