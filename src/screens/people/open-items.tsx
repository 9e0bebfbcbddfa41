"use client";

import { firstNameOf } from "../../core/letters/first-name";
import { readLine } from "../../core/tasks/read-line";
import type { OpenItems } from "../../core/views/review-view";
import { useHouse, useToday } from "../parts/house";
import { OpenTasks } from "../parts/open-tasks";
import { useActs } from "../parts/use-acts";
import { useDraft } from "../parts/use-draft";

/** One page for a call: what is open either way, and a line whose words become a task of ours or something they owe us. */
export function OpenItemsWith({ id, name, items }: { id: string; name: string; items: OpenItems }) {
  const house = useHouse();
  const { now, calendar } = useToday();
  const { run } = useActs();
  const [line, setLine] = useDraft(`with ${id}`);
  const first = firstNameOf(name);
  const make = async (isTheirs: boolean) => {
    const read = readLine(line, house.team, house.projects, now, calendar, house.figures);
    if (read.title === "") return;
    const project = [...items.theirs, ...items.ours].find((task) => task.projectId)?.projectId ?? null;
    const done = await run(
      "make task",
      {
        title: read.title,
        ownerId: isTheirs ? null : (read.ownerId ?? house.me.id),
        theirsId: isTheirs ? id : null,
        due: read.due ? { ...read.due, zone: house.zone } : null,
        priority: read.priority,
        projectId: read.projectId ?? project,
        workstreamId: null,
      },
      {
        says: (made) =>
          isTheirs ? `${first} owes it: ${made.made[0]?.reference}.` : `Ours to do: ${made.made[0]?.reference}.`,
      },
    );
    if (done) setLine("");
  };
  return (
    <div className="border-b border-hairline">
      <div className="grid grid-cols-2 max-sm:grid-cols-1">
        <section aria-label={`What ${name} owes us`}>
          <h2 className="px-5 pb-1 pt-3 text-[15px]">They owe us</h2>
          <OpenTasks tasks={items.theirs} label="They owe us" none="Nothing." />
        </section>
        <section aria-label={`What we owe ${name}`} className="border-l border-hairline max-sm:border-l-0">
          <h2 className="px-5 pb-1 pt-3 text-[15px]">We owe them</h2>
          <OpenTasks tasks={items.ours} label="We owe them" none="Nothing." />
        </section>
      </div>
      <div className="flex flex-wrap gap-2 border-t border-hairline bg-wash px-5 py-3">
        <input
          className="field min-w-[220px] flex-1"
          aria-label="From the call, in one line"
          placeholder="Key of the compound by Thursday"
          value={line}
          onChange={(event) => setLine(event.target.value)}
          onKeyDown={(event) => {
            if (event.key === "Enter") void make(false);
          }}
        />
        <button type="button" className="btn" disabled={line.trim() === ""} onClick={() => void make(false)}>
          We do it
        </button>
        <button type="button" className="btn is-line" disabled={line.trim() === ""} onClick={() => void make(true)}>
          {first} owes it
        </button>
      </div>
    </div>
  );
}
