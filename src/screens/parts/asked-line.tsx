"use client";

import type { ReactNode } from "react";

/** One line that is asked for in its place, what can be done with it, and below it how it was understood. */
export function AskedLine(props: {
  readonly name: string;
  readonly label: string;
  readonly placeholder: string;
  readonly line: string;
  readonly onLine: (line: string) => void;
  readonly does: string;
  readonly isReady: boolean;
  readonly onDo: () => void;
  readonly onClose: () => void;
  /** What else can be done, beside the button. */
  readonly more?: ReactNode;
  readonly words: string;
}) {
  return (
    <section className="rounded-[13px] border border-act bg-pan p-3" aria-label={props.name}>
      <div className="flex flex-wrap gap-2">
        <input
          autoFocus
          className="field min-w-0 flex-1 font-semibold"
          aria-label={props.label}
          placeholder={props.placeholder}
          value={props.line}
          onChange={(event) => props.onLine(event.target.value)}
          onKeyDown={(event) => {
            if (event.key === "Enter" && props.isReady) props.onDo();
            if (event.key === "Escape") {
              event.stopPropagation();
              props.onClose();
            }
          }}
        />
        <button type="button" className="btn is-small" disabled={!props.isReady} onClick={props.onDo}>
          {props.does}
        </button>
        {props.more}
      </div>
      <p className="mt-1.5 border-l border-act pl-2 text-[12.5px] text-soft">{props.words}</p>
    </section>
  );
}
