"use client";

import { useQuery } from "@tanstack/react-query";
import Link from "next/link";
import { sayDay, sayMomentFully } from "../../core/time/say-day";
import type { LettersWith } from "../../core/views/find-view";
import type { OpenItems } from "../../core/views/review-view";
import { ask } from "../parts/client";
import { useToday } from "../parts/house";
import { OpenItemsWith } from "./open-items";

/** Somebody outside: what is open with them either way, and all letters to and from them, the newest first. */
export function LettersWithScreen({ id, found, items }: { id: string; found: LettersWith; items: OpenItems }) {
  const { now, today } = useToday();
  const open = useQuery({
    queryKey: ["open with", id],
    queryFn: () => ask<OpenItems>(`/api/people/${id}/open`),
    initialData: items,
  }).data;
  return (
    <div className="min-h-0 flex-1 overflow-y-auto px-4 pb-4 pt-[14px]">
      <section className="pan mx-auto max-w-[860px]" aria-label={`Letters with ${found.name}`}>
        <div className="border-b border-hairline px-5 py-3">
          <h1 className="text-[20px]">{found.name}</h1>
          <p className="text-[12.5px] text-soft">
            {[found.firm, found.address].filter(Boolean).join(" · ")}
            {found.awayUntil !== null && found.awayUntil >= today && ` · away until ${sayDay(found.awayUntil, today)}`}{" "}
            ·{" "}
            <Link className="word" href={`/waiting?person=${id}`}>
              their silence
            </Link>
          </p>
        </div>
        <OpenItemsWith id={id} name={found.name} items={open} />
        <h2 className="px-5 pb-1 pt-3 text-[15px]">Letters</h2>
        {found.letters.length === 0 && <p className="px-5 py-6 text-soft">There are no letters that you may see.</p>}
        <ul>
          {found.letters.map((letter) => (
            <li key={letter.id} className="border-b border-hairline last:border-b-0">
              <Link
                href={`/letters/${letter.id}`}
                className="flex flex-wrap items-baseline gap-x-3 px-5 py-2 hover:bg-wash"
              >
                <span className="min-w-0 flex-1 truncate">
                  <b>{letter.subject || "(no subject)"}</b>
                </span>
                <span className="text-[12.5px] text-soft">
                  {letter.isTheirs ? "they" : letter.from} wrote · {letter.wayIn} ·{" "}
                  {sayMomentFully(letter.sentAt, now.zone, now)}
                </span>
              </Link>
            </li>
          ))}
        </ul>
      </section>
    </div>
  );
}
