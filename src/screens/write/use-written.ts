"use client";

import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useCallback, useEffect, useRef, useState } from "react";
import type { Correspondent } from "../../core/letters/letter";
import { ask } from "../parts/client";
import { useHouse } from "../parts/house";

/** A letter as it is being written. */
export interface Written {
  readonly to: readonly Correspondent[];
  readonly cc: readonly Correspondent[];
  readonly subject: string;
  readonly text: string;
  readonly from: string;
  readonly files: readonly WrittenFile[];
}

/** A file that goes along. */
export interface WrittenFile {
  readonly id: string;
  readonly name: string;
  readonly size: number;
}

interface Answer {
  readonly values: Written | null;
  readonly from: readonly Correspondent[];
}

/** Milliseconds of quiet after which what was typed goes to the server. */
const QUIET_MS = 600;

function inThisWindow(place: string): Written | null {
  const text = localStorage.getItem(place);
  try {
    return text ? (JSON.parse(text) as Written) : null;
  } catch {
    return null;
  }
}

function withFiles(kept: Written | null): Written | null {
  return kept && { ...kept, files: kept.files ?? [] };
}

function send(about: string, values: Written | null): Promise<unknown> {
  return fetch("/api/drafts", {
    method: "PUT",
    headers: { "content-type": "application/json" },
    body: JSON.stringify({ about, values }),
    keepalive: true,
  }).catch(() => null);
}

/**
 * A letter being written about something: kept in this browser at every key and on the server after every pause, so that it
 * survives a reload, a crash and a change of machine. `begin` gives what it starts
 * with, by the addresses that are ours.
 */
export function useWritten(
  about: string,
  answersId: string | null,
  begin: (own: readonly Correspondent[]) => Omit<Written, "from" | "files">,
) {
  const queries = useQueryClient();
  const { me } = useHouse();
  // Browsers are shared: a letter that is not sent is nobody else's.
  const place = `letter:${me.id}:${about}`;
  const key = ["draft", about, answersId];
  const { data } = useQuery({
    queryKey: key,
    queryFn: () =>
      ask<Answer>(`/api/drafts?about=${encodeURIComponent(about)}${answersId ? `&answers=${answersId}` : ""}`),
    staleTime: Number.POSITIVE_INFINITY,
  });
  const [written, setWritten] = useState<Written | null>(null);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const start = useRef(begin);
  useEffect(() => {
    if (!data) return;
    setWritten(
      (old) =>
        old ??
        withFiles(inThisWindow(place) ?? data.values) ?? {
          ...start.current(data.from),
          files: [],
          from: data.from.at(-1)?.address ?? "",
        },
    );
  }, [data, place]);
  const change = useCallback(
    (to: Partial<Written>) =>
      setWritten((old) => {
        if (!old) return old;
        const next = { ...old, ...to };
        localStorage.setItem(place, JSON.stringify(next));
        clearTimeout(timer.current);
        timer.current = setTimeout(() => void send(about, next), QUIET_MS);
        return next;
      }),
    [about, place],
  );
  const forget = useCallback(() => {
    clearTimeout(timer.current);
    localStorage.removeItem(place);
    // What was asked for meanwhile still has the draft: a new paper must not begin with a letter that is sent.
    void queries.cancelQueries({ queryKey: ["draft", about] });
    queries.setQueriesData<Answer>({ queryKey: ["draft", about] }, (old) => old && { ...old, values: null });
    // Asked for anew the next time: a letter that is taken back is a draft again.
    void send(about, null).then(() => queries.removeQueries({ queryKey: ["draft", about] }));
  }, [about, place, queries]);
  return { written, from: data?.from ?? [], change, forget };
}
