"use client";

import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useCallback, useEffect, useRef, useState } from "react";
import type { Correspondent } from "../../core/letters/letter";
import { ask } from "../parts/client";

/** A letter as it is being written. */
export interface Written {
  readonly to: readonly Correspondent[];
  readonly cc: readonly Correspondent[];
  readonly subject: string;
  readonly text: string;
  readonly from: string;
}

interface Answer {
  readonly values: Written | null;
  readonly from: readonly Correspondent[];
}

/** Milliseconds of quiet after which what was typed goes to the server. */
const QUIET_MS = 600;

const here = (about: string) => `letter:${about}`;

function inThisWindow(about: string): Written | null {
  const text = localStorage.getItem(here(about));
  try {
    return text ? (JSON.parse(text) as Written) : null;
  } catch {
    return null;
  }
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
  begin: (own: readonly Correspondent[]) => Omit<Written, "from">,
) {
  const queries = useQueryClient();
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
        inThisWindow(about) ??
        data.values ?? { ...start.current(data.from), from: data.from.at(-1)?.address ?? "" },
    );
  }, [data, about]);
  const change = useCallback(
    (to: Partial<Written>) =>
      setWritten((old) => {
        if (!old) return old;
        const next = { ...old, ...to };
        localStorage.setItem(here(about), JSON.stringify(next));
        clearTimeout(timer.current);
        timer.current = setTimeout(() => void send(about, next), QUIET_MS);
        return next;
      }),
    [about],
  );
  const forget = useCallback(() => {
    clearTimeout(timer.current);
    localStorage.removeItem(here(about));
    queries.removeQueries({ queryKey: ["draft", about] });
    void send(about, null);
  }, [about, queries]);
  /** Puts it back as it was: a letter that was taken back is to be written on. */
  const restore = useCallback(
    (values: Written) => {
      localStorage.setItem(here(about), JSON.stringify(values));
      void send(about, values);
    },
    [about],
  );
  return { written, from: data?.from ?? [], change, forget, restore };
}
