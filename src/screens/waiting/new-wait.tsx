"use client";

import { readLine } from "../../core/tasks/read-line";
import { sayDay, sayDistance } from "../../core/time/say-day";
import { useHouse, useToday } from "../parts/house";
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
    <div className="border-b border-hairline bg-wash px-4 py-3">
      <div className="flex gap-2">
        <input
          autoFocus
          className="field !h-10 flex-1 !text-[15px] font-semibold"
          aria-label="A new wait, in one line"
          placeholder="Colm: number of the road closure permit by Thursday"
          value={line}
          onChange={(event) => setLine(event.target.value)}
          onKeyDown={(event) => {
            if (event.key === "Enter") void make();
            if (event.key === "Escape") {
              event.stopPropagation();
              props.onClose();
            }
          }}
        />
        <button type="button" className="btn !h-10" onClick={() => void make()} disabled={!from || read.title === ""}>
          Wait for it
        </button>
      </div>
      <dl className="mt-2 grid grid-cols-[1fr_2fr_1fr] gap-x-5 text-[12px] max-sm:grid-cols-1">
        {glossed.map(([name, value]) => (
          <div key={name} className="min-w-0 border-l border-act pl-2">
            <dt className="font-semibold text-act">{name}</dt>
            <dd className="truncate text-[13px] font-semibold">{value}</dd>
          </div>
        ))}
      </dl>
    </div>
  );
}
