"use client";

import { useEffect, useRef, useState } from "react";
import { useDraft } from "../parts/use-draft";
import { type MarkedWords, markedWords } from "./marked-words";

/** Follows the words that are marked in the letter. */
export function useMarkedWords(): MarkedWords | null {
  const [marked, setMarked] = useState<MarkedWords | null>(null);
  useEffect(() => {
    const look = () => setMarked(markedWords());
    document.addEventListener("selectionchange", look);
    return () => document.removeEventListener("selectionchange", look);
  }, []);
  return marked;
}

/** A slip of one's own: from marked words, or typed for the letter. What was typed stays until it has become a slip. */
export function OwnSlip({
  marked,
  onMarked,
  onTyped,
  focusCall,
  conversationId,
}: {
  conversationId: string;
  marked: MarkedWords | null;
  onMarked: () => void;
  onTyped: (line: string) => Promise<boolean>;
  focusCall: number;
}) {
  const [line, setLine] = useDraft(`slip ${conversationId}`);
  const field = useRef<HTMLInputElement>(null);
  useEffect(() => {
    if (focusCall > 0) field.current?.focus();
  }, [focusCall]);
  return (
    <div className="rounded-[13px] border border-dashed border-tie px-3 py-[9px] text-[12.5px] leading-[18px] text-soft">
      {marked ? (
        <button
          type="button"
          className="block w-full truncate text-left font-semibold text-act"
          onMouseDown={(event) => event.preventDefault()}
          onClick={onMarked}
        >
          Make a slip of “{marked.words}”
        </button>
      ) : (
        <div>
          <b className="font-semibold text-act">Mark any words</b> in the letter to make a slip of your own,
        </div>
      )}
      <input
        ref={field}
        className="field mt-2 !h-8 text-ink"
        aria-label="A task for this letter"
        placeholder="or type a task for this letter"
        value={line}
        onChange={(event) => setLine(event.target.value)}
        onKeyDown={(event) => {
          if (event.key === "Escape") field.current?.blur();
          if (event.key === "Enter" && line.trim() !== "") {
            void onTyped(line).then((isDone) => {
              if (isDone) {
                setLine("");
                field.current?.blur();
              }
            });
          }
        }}
      />
    </div>
  );
}
