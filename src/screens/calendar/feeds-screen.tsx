"use client";

import { useState } from "react";
import { ServerSaysNo, tell } from "../parts/client";
import { useSay } from "../parts/says";

const FEEDS = [
  [
    "days.ics",
    "What is due, day by day",
    "One entry a day that names what is due and what is over, each with its link.",
  ],
  ["tasks.ics", "Tasks", "Each of your tasks with its date, state and priority, for programs that keep task lists."],
] as const;

/** The private addresses of one's calendar feeds, and the way to new ones. */
export function FeedsScreen({ first }: { first: string }) {
  const [base, setBase] = useState(first);
  const say = useSay();
  const copy = async (address: string) => {
    try {
      await navigator.clipboard.writeText(address);
      say({ text: "The address is copied." });
    } catch {
      say({ text: "It could not be copied here: mark it and copy it by hand.", isFault: true });
    }
  };
  const renew = async () => {
    try {
      const answer = await tell<{ base: string }>("/api/feed", {});
      setBase(answer.base);
      say({ text: "New addresses. The old ones no longer work." });
    } catch (error) {
      say({ text: error instanceof ServerSaysNo ? error.message : "Nothing was changed.", isFault: true });
    }
  };
  return (
    <div className="min-h-0 flex-1 overflow-y-auto px-4 pb-4 pt-[14px] max-sm:px-2">
      <section className="pan mx-auto max-w-[860px]" aria-label="Calendar feeds">
        <div className="border-b border-hairline px-5 py-3">
          <h1 className="text-[20px]">Your tasks in your calendar</h1>
          <p className="text-[13px] text-soft">
            Give one of these addresses to your calendar program as a calendar to subscribe to. Whoever knows it can
            read what is yours to do, without signing in: keep it to yourself.
          </p>
        </div>
        {FEEDS.map(([file, name, words]) => (
          <div key={file} className="border-b border-hairline px-5 py-3">
            <h2 className="text-[15px]">{name}</h2>
            <p className="text-[12.5px] text-soft">{words}</p>
            <div className="mt-2 flex flex-wrap gap-2">
              <input
                readOnly
                className="field min-w-[240px] flex-1 text-[13px]"
                aria-label={`Address of ${name}`}
                value={`${base}/${file}`}
                onFocus={(event) => event.target.select()}
              />
              <button type="button" className="btn is-line" onClick={() => void copy(`${base}/${file}`)}>
                Copy
              </button>
            </div>
          </div>
        ))}
        <div className="flex flex-wrap items-center gap-3 px-5 py-3">
          <button type="button" className="btn is-line" onClick={() => void renew()}>
            New addresses
          </button>
          <span className="text-[12.5px] text-soft">
            If somebody has seen one who should not: the old ones end at once.
          </span>
        </div>
      </section>
    </div>
  );
}
