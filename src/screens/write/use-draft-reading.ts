"use client";

import { useQuery } from "@tanstack/react-query";
import { useEffect, useRef, useState } from "react";
import type { FoundChange } from "../../core/following/item";
import type { OpenTask } from "../../core/following/task-changes";
import type { Correspondent } from "../../core/letters/letter";
import type { Draft } from "../../core/reading/read-draft";
import type { FoundSlip, Person } from "../../core/reading/slip";
import { ask } from "../parts/client";
import { useHouse, useToday } from "../parts/house";
import type { DraftAsk } from "./draft-reader.worker";

const NONE_OPEN: readonly OpenTask[] = [];

/** Milliseconds of quiet after which what was typed is read. */
const QUIET_MS = 350;

const asPerson = ({ name, address }: Correspondent): Person => ({ id: address, name: name || address, address });

/** What was read, and the text it was read in. */
export interface DraftReading {
  readonly slips: readonly (FoundSlip | FoundChange)[];
  readonly text: string;
}

/** What the letter that is being written asks and promises, read in a thread of the browser after every pause. */
export function useDraftReading(
  draft: Draft | null,
  known: readonly Correspondent[],
  answersId: string | null,
): DraftReading {
  const { team, figures } = useHouse();
  const { now, calendar } = useToday();
  const { data: open = NONE_OPEN } = useQuery({
    queryKey: ["open tasks", answersId],
    queryFn: () => ask<readonly OpenTask[]>(`/api/open-tasks?beside=${answersId}`),
    enabled: answersId !== null,
  });
  const [reading, setReading] = useState<DraftReading>({ slips: [], text: "" });
  const worker = useRef<Worker | null>(null);
  const count = useRef(0);
  useEffect(() => {
    const reader = new Worker(new URL("./draft-reader.worker.ts", import.meta.url), { type: "module" });
    reader.onmessage = ({ data }: MessageEvent<DraftReading & { id: number }>) => {
      // An older answer that comes late says nothing of what stands there now.
      if (data.id === count.current) setReading(data);
    };
    worker.current = reader;
    return () => {
      worker.current = null;
      reader.terminate();
    };
  }, []);
  const ours = new Set(team.map(({ address }) => address));
  const people = [...(draft?.to ?? []), ...(draft?.cc ?? []), ...known].filter(({ address }) => !ours.has(address));
  const asking: Omit<DraftAsk, "id"> | null = draft && {
    draft,
    team: team.map(({ name, address, nicknames, work }) => ({ id: address, name, address, nicknames, role: work })),
    outside: [...new Map(people.map((one) => [one.address, asPerson(one)])).values()],
    now,
    settings: { calendar, figures },
    open,
  };
  // Read anew where words or people have changed; the clock alone is no reason.
  const key = JSON.stringify(draft && [draft.text, draft.to, draft.cc, open]);
  const newest = useRef(asking);
  newest.current = asking;
  useEffect(() => {
    if (key === "null") return;
    const timer = setTimeout(() => {
      count.current += 1;
      worker.current?.postMessage({ ...newest.current!, id: count.current } satisfies DraftAsk);
    }, QUIET_MS);
    return () => clearTimeout(timer);
  }, [key]);
  return reading;
}
