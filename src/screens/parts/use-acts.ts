"use client";

import { useQueryClient } from "@tanstack/react-query";
import { useCallback, useRef } from "react";
import { askAnew } from "./ask-anew";
import { type Acted, act, ServerSaysNo } from "./client";
import { useSay } from "./says";

/** How an act is shown: at once by `show` (which gives back how to take it back), then told by `says`. */
export interface HowShown {
  readonly show?: () => () => void;
  readonly says?: (done: Acted) => string | null;
  readonly onDone?: (done: Acted) => void;
  /** Whether the line that tells of it offers the way back. */
  readonly canUndo?: boolean;
}

/**
 * Performs acts one after the other, shown at once and taken back visibly where they fail. `undo` takes back the last one
 * of this screen, or the person's latest.
 */
export function useActs(): {
  run: (name: string, input: unknown, how?: HowShown) => Promise<boolean>;
  undo: (onDone?: (done: Acted) => void) => Promise<boolean>;
} {
  const queries = useQueryClient();
  const say = useSay();
  const queue = useRef<Promise<unknown>>(Promise.resolve());

  const run = useCallback(
    (name: string, input: unknown, how: HowShown = {}): Promise<boolean> => {
      const takeBack = how.show?.();
      const next = queue.current.then(async () => {
        try {
          const done = await act(name, input);
          how.onDone?.(done);
          const text = how.says?.(done);
          if (text) {
            const { entryId } = done;
            say({
              text,
              action:
                how.canUndo !== false && entryId
                  ? {
                      label: "Undo",
                      run: () => void runRef.current("undo", { entryId }, { says: () => "Undone.", canUndo: false }),
                    }
                  : undefined,
            });
          }
          await askAnew(queries);
          return true;
        } catch (error) {
          takeBack?.();
          say({
            text: error instanceof ServerSaysNo ? error.message : "Something went wrong. Nothing was changed.",
            isFault: true,
          });
          void askAnew(queries);
          return false;
        }
      });
      queue.current = next;
      return next;
    },
    [queries, say],
  );
  const runRef = useRef(run);
  runRef.current = run;

  const undo = useCallback(
    (onDone?: (done: Acted) => void) =>
      run("undo", { entryId: null }, { says: () => "Undone.", onDone, canUndo: false }),
    [run],
  );
  return { run, undo };
}
