"use client";

import { useQueryClient } from "@tanstack/react-query";
import { type ReactNode, useRef, useState } from "react";
import { askAnew } from "../parts/ask-anew";

interface Fault {
  readonly source: string;
  readonly why: string;
  readonly isKept: boolean;
}

interface Progress {
  readonly name: string;
  readonly share: number;
  readonly fresh: number;
  readonly here: number;
  readonly faults: readonly Fault[];
  readonly isDone: boolean;
}

async function* linesOf(body: ReadableStream<Uint8Array>): AsyncGenerator<string> {
  const reader = body.pipeThrough(new TextDecoderStream() as ReadableWritablePair<string, Uint8Array>).getReader();
  let rest = "";
  for (;;) {
    const { value, done } = await reader.read();
    if (done) break;
    const lines = (rest + value).split("\n");
    rest = lines.pop() ?? "";
    yield* lines;
  }
  if (rest !== "") yield rest;
}

/** Takes mail files that are dropped anywhere on it, or chosen, and says how far it is and what came of them. */
export function DropMail({ children }: { children: (choose: () => void) => ReactNode }) {
  const queries = useQueryClient();
  const input = useRef<HTMLInputElement>(null);
  const [isOver, setOver] = useState(false);
  const [progress, setProgress] = useState<Progress | null>(null);

  const bring = async (files: readonly File[]) => {
    const faults: Fault[] = [];
    let fresh = 0;
    let here = 0;
    const total = files.reduce((sum, file) => sum + file.size, 0) || 1;
    let before = 0;
    for (const file of files) {
      const show = (bytes: number, isDone = false) =>
        setProgress({
          name: file.name,
          share: Math.min(1, (before + bytes) / total),
          fresh,
          here,
          faults: [...faults],
          isDone,
        });
      show(0);
      try {
        const response = await fetch(`/api/import?name=${encodeURIComponent(file.name)}`, {
          method: "POST",
          body: file,
        });
        if (!response.ok || !response.body)
          throw new Error((await response.json().catch(() => null))?.says ?? `The server answered ${response.status}.`);
        let last = { fresh: 0, here: 0, notReadable: [] as Fault[], fault: undefined as string | undefined };
        for await (const line of linesOf(response.body)) {
          last = { ...last, ...JSON.parse(line) };
          setProgress({
            name: file.name,
            share: Math.min(1, (before + (JSON.parse(line).bytes ?? 0)) / total),
            fresh: fresh + last.fresh,
            here: here + last.here,
            faults: [...faults, ...last.notReadable],
            isDone: false,
          });
        }
        fresh += last.fresh;
        here += last.here;
        faults.push(
          ...last.notReadable,
          ...(last.fault ? [{ source: file.name, why: last.fault, isKept: false }] : []),
        );
      } catch (error) {
        faults.push({
          source: file.name,
          why: `It could not be brought in: ${error instanceof Error ? error.message : "no connection"} The file is still where it was.`,
          isKept: false,
        });
      }
      before += file.size;
      show(0, file === files.at(-1));
    }
    void askAnew(queries);
  };

  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: dropping is a second way; the button "Bring mail in" is the first
    <div
      className="relative flex min-h-0 flex-1 flex-col"
      onDragOver={(event) => {
        if (!event.dataTransfer.types.includes("Files")) return;
        event.preventDefault();
        setOver(true);
      }}
      onDragLeave={(event) => {
        if (event.currentTarget === event.target || !event.currentTarget.contains(event.relatedTarget as Node))
          setOver(false);
      }}
      onDrop={(event) => {
        if (!event.dataTransfer.types.includes("Files")) return;
        event.preventDefault();
        setOver(false);
        void bring([...event.dataTransfer.files]);
      }}
    >
      {children(() => input.current?.click())}
      <input
        ref={input}
        type="file"
        multiple
        accept=".eml,.mbox,.mbx,message/rfc822,application/mbox"
        className="hidden"
        aria-label="Mail files"
        onChange={(event) =>
          void bring([...(event.target.files ?? [])]).finally(() => {
            if (input.current) input.current.value = "";
          })
        }
      />
      {isOver && (
        <div className="pointer-events-none absolute inset-2 z-40 flex items-center justify-center rounded-[16px] border-[3px] border-dashed border-act bg-act-wash/90 text-[18px] font-bold text-act">
          Drop mail here: .eml or mbox. The whole team will see it.
        </div>
      )}
      {progress && (
        <div role="status" className="pan fixed bottom-[74px] right-4 z-40 w-[340px] p-4 text-[13px]">
          <div className="flex items-baseline justify-between gap-2">
            <b className="head truncate text-[14px]">
              {progress.isDone ? "Mail brought in" : `Bringing in ${progress.name}`}
            </b>
            {progress.isDone && (
              <button type="button" className="word" onClick={() => setProgress(null)}>
                Close
              </button>
            )}
          </div>
          {!progress.isDone && (
            <div className="my-2 h-1.5 overflow-hidden rounded-[3px] bg-hairline">
              <div className="h-1.5 bg-act" style={{ width: `${Math.round(100 * progress.share)}%` }} />
            </div>
          )}
          <div className="mt-1 text-soft">
            {progress.fresh} new · {progress.here} already here · {progress.faults.length} not readable
          </div>
          {progress.faults.length > 0 && (
            <ul className="mt-2 max-h-40 overflow-auto">
              {progress.faults.map((fault) => (
                <li key={fault.source} className="mb-1">
                  <b className="break-all">{fault.source}</b>: {fault.why}{" "}
                  {fault.isKept ? "It is kept as it came, and waits in Sort." : ""}
                </li>
              ))}
            </ul>
          )}
        </div>
      )}
    </div>
  );
}
