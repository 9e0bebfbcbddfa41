"use client";

import { createContext, type ReactNode, useCallback, useContext, useEffect, useMemo, useRef, useState } from "react";

/** Something to tell the person: what was done, with a way back; or what went wrong. */
export interface Saying {
  readonly text: string;
  readonly isFault?: boolean;
  readonly action?: { readonly label: string; readonly run: () => void };
}

const Says = createContext<(saying: Saying) => void>(() => {});

/** How long a saying stays: news for a moment, a fault until it was read or something else is said. */
const NEWS_MS = 6_000;
const FAULT_MS = 14_000;

/** One line at the foot of the screen that says what has just happened. */
export function SaysProvider({ children }: { children: ReactNode }) {
  const [saying, setSaying] = useState<(Saying & { id: number }) | null>(null);
  const count = useRef(0);
  const say = useCallback((next: Saying) => {
    count.current += 1;
    setSaying({ ...next, id: count.current });
  }, []);
  useEffect(() => {
    if (!saying) return;
    const timer = setTimeout(() => setSaying(null), saying.isFault ? FAULT_MS : NEWS_MS);
    return () => clearTimeout(timer);
  }, [saying]);
  const value = useMemo(() => say, [say]);
  return (
    <Says.Provider value={value}>
      {children}
      <div role="status" aria-live="polite">
        {saying && (
          <div key={saying.id} className={`says ${saying.isFault ? "is-fault" : ""}`}>
            {saying.text}
            {saying.action && (
              <button
                type="button"
                className="ml-3 underline underline-offset-2"
                onClick={() => {
                  saying.action?.run();
                  setSaying(null);
                }}
              >
                {saying.action.label}
              </button>
            )}
          </div>
        )}
      </div>
    </Says.Provider>
  );
}

export function useSay(): (saying: Saying) => void {
  return useContext(Says);
}
